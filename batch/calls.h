#pragma once
#include <CLI/CLI.hpp>

#include "base/json.h"
#include "base/progress.h"

namespace zp {

/// One call of zpatch: what it was asked for, and what to do. `run` returns the JSON that --json
/// prints; `outputs` is added by main.
struct Call {
  CLI::App* app = nullptr;
  std::function<Json(const Progress&)> run;
};

std::vector<Call> addCalls(CLI::App& app);

}  // namespace zp
