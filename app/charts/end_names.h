#pragma once
#include "charts/chart.h"

namespace zp {

/// What runs out at the right edge of a chart at a height, in pixels.
struct EndName {
  double y = 0;
  QString text;
  QColor colour;
};

inline constexpr int kEndNameWidth = 132;

/// Names at the right of the axis, each as near to its height as the others let it; those that find
/// no room are left out.
std::vector<QCPItemText*> nameEnds(QCustomPlot& chart, std::vector<EndName> ends);

}  // namespace zp
