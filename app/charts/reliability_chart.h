#pragma once
#include "charts/chart.h"
#include "mapping/held_out.h"

namespace zp {

/// How many were right of what was given with so much confidence; on the diagonal, it can be
/// believed as it stands.
class ReliabilityChart : public Chart {
 public:
  explicit ReliabilityChart(QWidget* parent = nullptr);
  void show(const HeldOut& told);
};

}  // namespace zp
