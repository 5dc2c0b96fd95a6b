#pragma once
#include "mapping/model.h"
#include "mapping/unlikeness.h"
#include "study/steps/step_run.h"

namespace zp {

/// What a step of kind "map" maps by.
struct TrainedMap {
  std::vector<std::string> lines;  // of its features
  std::unique_ptr<FeatureReader> reader;
  Samples samples;  // none for a model that was trained before
  Model model;
  std::string scene, date;
  std::optional<TrustedMap> kept;  // only the rest is mapped
};

/// Learns as the step says, or reads its model; the same step with the same inputs learns the same.
/// Error: neither a method nor a model, or both; see drawSamples, trainOn.
TrainedMap trainedMap(StepRun& run, const Json& step, const Progress& progress);

/// The trained map that a product is. Error when it is none.
TrainedMap trainedMap(StepRun& run, const Product& map, const Progress& progress);

/// What its training knows, each feature counting as much as the model says. Error: its training is
/// not in the study.
Unlikeness unlikenessOf(const TrainedMap& map);

}  // namespace zp
