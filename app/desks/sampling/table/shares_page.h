#pragma once
#include "charts/shares_chart.h"
#include "desks/sampling/table/chart_page.h"

namespace zp {

/// The shares of classes in groups of rows: the mean of the shares that were read in zones or
/// cells, or how many rows hold each class.
class SharesPage : public ChartPage {
  Q_OBJECT
 public:
  SharesPage(TableBook& book, SheetModel& sheet);
  bool redraw() override;
  void showChoice() override {}
  SharesChart& chart() override { return *chart_; }
  std::vector<QColor> colours() const override;

 private:
  using Rows = std::vector<std::vector<size_t>>;
  void fillOf();
  QStringList groupRows();
  std::vector<ClassShares> readShares(const std::string& map) const;
  std::vector<ClassShares> countedShares(const Column& column) const;

  QComboBox *of_, *by_;
  SharesChart* chart_;
  Rows groups_;
};

}  // namespace zp
