#pragma once
#include "charts/values_chart.h"
#include "desks/sampling/table/chart_page.h"

namespace zp {

/// How often the values of one column occur.
class ValuesPage : public ChartPage {
  Q_OBJECT
 public:
  ValuesPage(TableBook& book, SheetModel& sheet);
  bool redraw() override;
  void showChoice() override { chart_->choose(chosenShown()); }
  ValuesChart& chart() override { return *chart_; }

 private:
  QComboBox* x_;
  ValuesChart* chart_;
};

/// The spread of one column in each group of another; a click on a box chooses its rows.
class BoxesPage : public ChartPage {
  Q_OBJECT
 public:
  BoxesPage(TableBook& book, SheetModel& sheet);
  bool redraw() override;
  void showChoice() override {}
  BoxChart& chart() override { return *chart_; }
  std::vector<QColor> colours() const override;

 private:
  QComboBox *x_, *by_;
  BoxChart* chart_;
  std::vector<std::vector<size_t>> groups_;  // rows that are shown
};

}  // namespace zp
