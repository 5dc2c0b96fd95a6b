#pragma once
#include "charts/chart.h"
#include "mapping/cluster_number.h"

namespace zp {

/// What so many clusters would be like: what is left within them, and how well they part.
class NumberChart : public Chart {
 public:
  explicit NumberChart(QWidget* parent = nullptr);
  void show(const std::vector<NumberTrial>& trials);
};

}  // namespace zp
