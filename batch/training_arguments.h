#pragma once
#include "feature_arguments.h"
#include "training/training_area.h"

namespace zp {

/// Training areas, and the features that are learned of.
struct TrainingArguments {
  std::string layer;
  TrainingFields fields;
  FeatureArguments features;
  void addTo(CLI::App& app, bool required);
};

}  // namespace zp
