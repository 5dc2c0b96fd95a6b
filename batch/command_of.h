#pragma once
#include <CLI/CLI.hpp>

#include "base/command_words.h"

namespace zp {

/// What zpatch and its calls say of themselves, from the texts of their help.
CommandWords commandOf(const CLI::App& app);

}  // namespace zp
