#pragma once
#include "outline/layer.h"

namespace zp {

/// What the cells of each column of a table are; a column of numbers that would read back
/// otherwise, such as "007", is text.
std::vector<FieldType> typesOf(const Table& table);

}  // namespace zp
