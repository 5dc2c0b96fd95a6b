#include "desks/accuracy/tint.h"

namespace zp {
namespace {

QColor mixed(const QColor& a, const QColor& b, double share) {
  const auto part = [share](float from, float to) {
    return static_cast<float>(from + share * (to - from));
  };
  return QColor::fromRgbF(part(a.redF(), b.redF()), part(a.greenF(), b.greenF()),
                          part(a.blueF(), b.blueF()));
}

}  // namespace

QColor matrixTint(const Assessment& a, size_t i, size_t j) {
  const bool light = currentLook() == "daylight";
  const size_t size = a.shares.size();
  if (i == j) {
    double mapped = 0, reference = 0;
    for (size_t k = 0; k < size; ++k) mapped += a.shares[i][k], reference += a.shares[k][i];
    return mixed(tokens().panel, light ? QColor("#9c86d8") : QColor("#8a74c8"),
                 0.35 + 0.5 * a.shares[i][j] / std::max(mapped, reference));
  }
  double most = 1e-12;
  for (size_t r = 0; r < size; ++r)
    for (size_t c = 0; c < size; ++c)
      if (r != c) most = std::max(most, a.shares[r][c]);
  return mixed(tokens().panel, light ? QColor("#d98a68") : QColor("#a8543c"),
               0.22 + 0.5 * a.shares[i][j] / most);
}

}  // namespace zp
