#pragma once
#include "desks/panel.h"
#include "sampling/plan.h"
#include "background/latest.h"

namespace zp {

/// A sampling plan, seen on the view before it is made.
class PlanPanel : public Panel {
  Q_OBJECT
 public:
  PlanPanel(Workbench& bench, MapView& view);
  void refresh() override;
  void leave() override;
  void forget() override;
  Heading heading() const override;
  QString action() const override;
  QString missing() const override;
  Json step() const override;
  void showResult(const QString& product) override;
  std::vector<ViewPoint> points() const override { return shown_; }

 Q_SIGNALS:
  void made(const QString& points);

 private:
  void buildPlan();
  void buildFields();
  void fillOver();
  void fillInside();
  void later();
  void place();
  void show(const PlannedPoints& placed);
  void showNone(const QString& why);
  SamplingPlan plan() const;
  bool stratified() const { return stratified_->isChecked(); }

  MapView& view_;
  Latest job_;
  QString scene_;
  QTimer settle_;
  QPushButton *random_, *stratified_;
  QComboBox *over_, *inside_;
  QSpinBox *count_, *seed_;
  QDoubleSpinBox* apart_;
  QLabel *unit_, *countLabel_, *planned_;
  std::vector<ViewPoint> shown_;
  std::optional<size_t> placed_;  // how many the plan gives
  QString cannot_;                // why it gives none
  bool filling_ = false;
};

}  // namespace zp
