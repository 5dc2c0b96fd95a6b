#pragma once
#include <CLI/CLI.hpp>

#include "file_step.h"

namespace zp {

/// A class map whose classes stay as they are, so that a call is for the rest.
struct KeptArguments {
  std::string map;
  std::vector<int> classes;
  void addTo(CLI::App& app);
  void addTo(FileStep& step, std::vector<std::filesystem::path>& inputs) const;
};

}  // namespace zp
