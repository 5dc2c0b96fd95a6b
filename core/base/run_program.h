#pragma once
#include <functional>
#include <string>
#include <vector>

#include "base/progress.h"

namespace zp {

/// Runs a program of the system, found on the path, without a shell, and waits for its end; what it
/// says is kept from the screen. False when there is no such program. Error: it failed, with the
/// last line of what it said. Cancelled: it is stopped. `told` hears each line of its output.
bool runProgram(const std::vector<std::string>& command, const Progress& progress = Progress(),
                const std::function<void(const std::string& line)>& told = {});

}  // namespace zp
