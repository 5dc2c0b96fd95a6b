#pragma once
#include "study/map_step.h"
#include "training/area_fit.h"
#include "training/health.h"

namespace zp {

/// What is known of the training in some features.
struct Training {
  std::shared_ptr<const Samples> samples;
  SignatureSet set;
  std::vector<ClassHealth> health;                       // in the order of the set
  std::vector<std::vector<std::vector<double>>> shapes;  // class by class, of each band
  std::vector<ConfusablePair> pairs;
  std::vector<AreaFit> areas;
  const Signature* signature(int code) const;
};

/// In the features of a step of kind map, or in all bands of its scene where it names none.
Training trainingOver(const Study& study, const Json& step, const Progress& progress);
/// What its samples are drawn from: features, their scenes as they are now, and training.
QString sourceOfSamples(const Study& study, const Json& step);

}  // namespace zp
