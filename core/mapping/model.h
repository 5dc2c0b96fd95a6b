#pragma once
#include <filesystem>
#include <memory>

#include "legend/legend.h"
#include "mapping/method.h"
#include "training/signature.h"
#include "training/subclasses.h"

namespace zp {

/// How a map learns, but for what it learns from.
struct MapPlan {
  std::string method;
  Json settings = Json::object();
  Subclasses subclasses = Subclasses::Together;
  double least = 0;  // pixels for whose class less speaks (Method::support) get none
};

/// All a trained map needs to be made again on another scene: format zany-patch-model.
struct Model {
  MapPlan plan;
  /// The lines of its features (feature/feature_kind.h). Empty in a model of version 1, which is of
  /// the bands of a scene in the order they were chosen in.
  std::vector<std::string> features;
  Legend legend;                         // of the classes it maps
  std::vector<SubclassCode> subclasses;  // that it learned by themselves
  std::shared_ptr<const Classifier> classifier;
  size_t trainingPixels = 0, conflicts = 0;
};

/// Trains on samples; the lines of the features are the caller's to say. Error: see Method::train,
/// subclassesOf.
Model trainOn(const Samples& samples, const MapPlan& plan, const Legend& legend,
              const Progress& progress = Progress());
/// From signatures alone, with the lines that ask for their features. `legend`: what else is known
/// of their classes. Error: a method that needs the training pixels themselves, or subclasses.
Model modelOf(const SignatureSet& set, const MapPlan& plan, Legend legend);
Json toJson(const Model& model);
/// Error: another format, an unknown method, what was learned is not complete, more than 1024
/// classes or 64 features, a class that the legend lacks.
Model readModel(const std::filesystem::path& file);

}  // namespace zp
