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

/// Curves through time; where one has no value at a date it is broken. Those of another quantity
/// stand in a strip of their own below, along the same dates.
class CurveChart : public BrushedChart {
  Q_OBJECT
 public:
  explicit CurveChart(QWidget* parent = nullptr);
  void show(const std::vector<DrawnCurve>& curves, Along along,
            const std::vector<DrawnCurve>& below = {});
  void setTitles(const QString& x, const QString& y, const QString& below = {});
  bool hasStrip() const { return strip_ != nullptr; }
  /// Over the others, in the accent; nothing: none.
  void lay(const std::optional<DrawnCurve>& curve);
  /// The curve that runs nearest to a place in the chart, where one is near; -1 for none.
  int curveAt(const QPointF& values) const;

 protected:
  void resizeEvent(QResizeEvent* e) override;

 private:
  QCPGraph* line(const DrawnCurve& drawn, QCPAxisRect* in);
  void band(const DrawnCurve& drawn);
  void setStrip(bool on);
  void scaleAxes();
  void nameCurves();
  double across(double at) const;

  std::vector<DrawnCurve> curves_;
  std::optional<DrawnCurve> laid_;
  Along along_ = Along::Date;
  QCPAxisRect* strip_ = nullptr;
  QCPMarginGroup* edges_;        // of both
  QString across_, up_, below_;  // the titles of the axes
  std::vector<QCPItemText*> names_;
};

}  // namespace zp
