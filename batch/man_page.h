#pragma once
#include <CLI/CLI.hpp>
#include <string>

namespace zp {

/// The manual page of a command and its calls (roff, man macros), from the texts of its help.
std::string manPage(const CLI::App& app, const std::string& version);

}  // namespace zp
