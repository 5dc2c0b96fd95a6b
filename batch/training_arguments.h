#pragma once
#include "arguments.h"
#include "training/training_area.h"

namespace zp {

/// Training areas, and what a map or signatures are made of.
struct TrainingArguments {
  std::string layer, bands;
  std::vector<std::string> features;
  TrainingFields fields;
  void addTo(CLI::App& app, bool required);
  /// Of `known`, when neither bands nor features are named and there are any.
  std::vector<std::string> lines(const Scope& scope,
                                 const std::vector<std::string>& known = {}) const;
};

}  // namespace zp
