#pragma once
#include "charts/brushed_chart.h"
#include "charts/end_names.h"
#include "sampling/season_curve.h"

namespace zp {

/// A curve with its name at its end, and a band of one spread where it is a mean of several.
struct DrawnCurve {
  SeasonCurve curve;
  QString name;
  QColor colour;
  bool dashed = false, strong = false;
};

/// Curves through time; where one has no value at a date it is broken.
class CurveChart : public BrushedChart {
  Q_OBJECT
 public:
  explicit CurveChart(QWidget* parent = nullptr);
  void show(const std::vector<DrawnCurve>& curves, Along along);
  /// Over the others, in the accent; nothing: none.
  void lay(const std::optional<DrawnCurve>& curve);
  /// The curve that runs nearest to a place in the chart, where one is near; -1 for none.
  int curveAt(const QPointF& values) const;

 protected:
  void resizeEvent(QResizeEvent* e) override;

 private:
  QCPGraph* line(const DrawnCurve& drawn);
  void band(const DrawnCurve& drawn);
  void nameCurves();
  double across(double at) const;

  std::vector<DrawnCurve> curves_;
  std::optional<DrawnCurve> laid_;
  Along along_ = Along::Date;
  std::vector<QCPItemText*> names_;
};

}  // namespace zp
