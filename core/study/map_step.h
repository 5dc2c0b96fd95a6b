#pragma once
#include "feature/feature_reader.h"
#include "mapping/model.h"
#include "study/study.h"

namespace zp {

/// What a step of kind map or cluster looks at.
struct StepFeatures {
  Scope scope;
  std::vector<std::string> lines;
  Features features;
  FeatureReader reader() const { return FeatureReader(scope, features); }
};

// Error: what the step names is gone.
StepFeatures featuresOfStep(const Study& study, const Json& step);
/// The samples of the study's training areas in the features of a step.
Samples samplesOfStep(const Study& study, const Json& step, const Progress& progress = Progress());
/// How a step of kind map learns; one of an older study too.
MapPlan planOfStep(const Json& step);

}  // namespace zp
