#pragma once
#include <functional>

#include "arguments.h"
#include "outline/layer.h"

namespace zp {

/// What a call says of a table: its rows and columns and where it is written; where it is written
/// nowhere, its values, and the text that is printed.
Json told(const Table& table, const Outputs& outputs, const std::function<std::string()>& text);

/// Whether the name of a file ends as that of a CSV.
bool isCsv(const std::filesystem::path& target);
/// Rows as a CSV, or, as `target` says, as a layer with the shapes of the rows of another that they
/// came from.
void writeRows(const std::filesystem::path& temporary, const std::filesystem::path& target,
               const Layer& from, const Table& table, const std::vector<size_t>& origin);

}  // namespace zp
