#pragma once
#include "charts/curve_chart.h"
#include "desks/sampling/table/chart_page.h"

namespace zp {

/// One column through time: a curve a group, its mean with a band of one spread, by date, by the
/// day of the year with a curve for each year, or by the days since a date in the rows; a second
/// column in a strip below, such as the water level. The chosen
/// rows are a curve of their own; a click on a curve chooses its rows, a rectangle those of the
/// dates it holds.
class CurvesPage : public ChartPage {
  Q_OBJECT
 public:
  CurvesPage(TableBook& book, SheetModel& sheet);
  bool redraw() override;
  void showChoice() override;
  CurveChart& chart() override { return *chart_; }
  std::vector<QColor> colours() const override;
  static constexpr size_t kMostCurves = 40;

 private:
  SeasonRows rowsOf(const Column& value, const Column& date, const std::vector<bool>* only) const;
  QString nameOf(const SeasonCurve& curve) const;
  bool inDecibels(const Column& value) const;
  std::string layerOf(size_t row) const;
  std::vector<DrawnCurve> drawn(const std::vector<SeasonCurve>& curves) const;
  void tell(size_t curves);
  void fillLayers();
  Along along() const;

  QComboBox *y_, *below_, *date_, *by_, *layer_, *along_, *since_;
  QWidget* layerRow_;
  CurveChart* chart_;
  std::vector<SeasonCurve> curves_;
};

}  // namespace zp
