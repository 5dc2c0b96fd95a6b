#pragma once
#include <filesystem>
#include <memory>

#include "legend/legend.h"
#include "mapping/method.h"

namespace zp {

/// All a trained map needs to be made again on another scene: format zany-patch-model.
struct Model {
  std::string method;
  Json settings = Json::object();
  /// The lines of its features (feature/feature_kind.h). Empty in a model of version 1, which is of
  /// the bands of a scene in the order they were chosen in.
  std::vector<std::string> features;
  Legend legend;
  std::shared_ptr<const Classifier> classifier;
  size_t trainingPixels = 0, conflicts = 0;
};

/// Draws samples of the features at the training areas and trains a method on them. `lines`: those
/// that the reader's features were made from. Error: see drawSamples, Method::train.
Model trainModel(const FeatureReader& reader, const std::vector<std::string>& lines,
                 const std::string& method, const Json& settings,
                 const std::vector<TrainingArea>& areas, const Legend& legend,
                 const Progress& progress = Progress());

Json toJson(const Model& model);
/// Error: another format, an unknown method, what was learned is not complete, more than 1024
/// classes or 64 features, a class that the legend lacks.
Model readModel(const std::filesystem::path& file);

}  // namespace zp
