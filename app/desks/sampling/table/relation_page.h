#pragma once
#include "charts/relation_chart.h"
#include "desks/sampling/table/chart_page.h"

namespace zp {

/// One column against another, with the line through them.
class RelationPage : public ChartPage {
  Q_OBJECT
 public:
  RelationPage(TableBook& book, SheetModel& sheet);
  bool redraw() override;
  void showChoice() override { chart_->choose(chosenShown()); }
  RelationChart& chart() override { return *chart_; }
  std::vector<QColor> colours() const override;
  QWidget* beside() override { return beside_; }

 Q_SIGNALS:
  /// The line, applied to the picture that the column across was read from, as a step.
  void pictureAsked(const Json& step);

 private:
  QString figures(const Line& line) const;
  size_t distinctBehind(const Column& column) const;
  void addResiduals();
  Json pictureOf(const Column& column) const;
  Json pictureStep() const;

  QComboBox *x_, *y_, *by_;
  RelationChart* chart_;
  QWidget* beside_;
  QPushButton *residuals_, *picture_;
  std::optional<Line> line_;
};

}  // namespace zp
