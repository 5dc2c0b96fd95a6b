#pragma once
#include "study/step.h"
#include "training/area_fit.h"
#include "training/health.h"

namespace zp {

/// What is known of the training over the bands of a scene.
struct Training {
  std::shared_ptr<const Samples> samples;
  SignatureSet set;
  std::vector<ClassHealth> health;                       // in the order of the set
  std::vector<std::vector<std::vector<double>>> shapes;  // class by class, of each band
  std::vector<ConfusablePair> pairs;
  std::vector<AreaFit> areas;
  const Signature* signature(int code) const;
};

Training trainingOver(const Study& study, const Scene& scene, const Progress& progress);

/// Where the bands of a scene lie: by wavelength where every band has one, else by number.
std::vector<double> alongBands(const Scene& scene, bool& byWavelength);

}  // namespace zp
