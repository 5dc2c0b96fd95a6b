#pragma once
#include "outline/layer.h"
#include "training/signature.h"

namespace zp {

/// That holds 95 % of normally distributed values of two features: √χ²(0.95, 2).
inline constexpr double kMost = 2.4477;

/// The outline around a class in two features, as x and y: as many of its spreads from the mean in
/// every direction (an ellipse of equal Mahalanobis distance). Empty where it does not vary.
Ring ellipseOf(const Signature& signature, size_t x, size_t y, double spreads = kMost,
               size_t places = 72);

}  // namespace zp
