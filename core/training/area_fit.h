#pragma once
#include "training/signature.h"

namespace zp {

/// How one training area lies among the others of its class.
struct AreaFit {
  size_t area = 0;  // its place among the training areas
  int code = 0;
  size_t pixels = 0;
  Eigen::VectorXd mean;
  /// How far its mean lies from that of the other areas of its class, in their spreads: the root
  /// mean square over the features that vary there. NaN for the only area of a class.
  double apart = 0;
};

/// Of every area that has samples, class by class; within a class the one that fits least first.
std::vector<AreaFit> fitOfAreas(const Samples& samples);

}  // namespace zp
