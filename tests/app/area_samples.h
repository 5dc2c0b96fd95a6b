#pragma once
#include "feature/feature_kind.h"
#include "study/study.h"
#include "training/samples.h"

namespace zp::testing {

/// The samples of the study's training areas over all bands of a scene.
inline Samples areaSamples(const Study& study, const Scene& scene) {
  const Scope scope(scene);
  const FeatureReader reader(scope, makeFeatures(bandLines(bandsNamed("", scene), scene), scope));
  return drawSamples(reader, trainingIn(study, scene.grid.crs), study.legend, {}, Progress());
}

}  // namespace zp::testing
