#pragma once
#include <map>

#include "accuracy/confusion_matrix.h"

namespace zp {

/// Accuracies and areas weighted by the mapped area of each class, for points drawn per class of
/// the map (Olofsson et al. 2014, eq. 1–11). 95 % intervals, ± 1.96 standard errors.
struct StratifiedEstimate {
  Estimate overall;
  std::vector<Estimate> users, producers;  // in the order of the matrix's classes
  std::vector<Estimate> area;              // square metres by reference class
};

/// `mappedArea`: area of each class of the map (square metres or any unit, the estimate is in the
/// same). Error when a class that is mapped has no point, or a point's class no area.
StratifiedEstimate stratifiedEstimate(const ConfusionMatrix& m,
                                      const std::map<int, double>& mappedArea);

Json toJson(const StratifiedEstimate& e);

}  // namespace zp
