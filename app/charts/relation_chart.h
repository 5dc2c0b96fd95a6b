#pragma once
#include <optional>

#include "charts/brushed_chart.h"
#include "sampling/relation.h"

namespace zp {

/// Dots of two quantities, each in its colour, with a line and the band that holds the true one.
class RelationChart : public BrushedChart {
  Q_OBJECT
 public:
  explicit RelationChart(QWidget* parent = nullptr);
  /// Dot by dot; those with a NaN are left out.
  void show(const std::vector<double>& x, const std::vector<double>& y,
            const std::vector<QColor>& colours, const std::optional<Line>& line);
  /// Which of them stand out.
  void choose(const std::vector<bool>& chosen);

 private:
  void addDots();
  void addLine(const Line& line);
  QCPGraph* dots();

  std::vector<double> x_, y_;
  std::vector<QColor> colours_;
  QCPGraph *rings_ = nullptr, *inner_ = nullptr;
};

}  // namespace zp
