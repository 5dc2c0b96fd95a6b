#pragma once
#include "background/latest.h"
#include "desks/sampling/hand_points.h"
#include "desks/sampling/plan_area.h"
#include "desks/sampling/plan_sizes.h"
#include "study/planned.h"

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
  std::vector<ViewShape> shapes() const override;

  QPushButton* besideAction() const override { return toReadings_; }
  bool offersBeside() const override;

 Q_SIGNALS:
  void readingsAsked();
  void made(const QString& points);

 private:
  void buildPlan();
  void buildFields();
  void fillTopUp();
  void topUpChosen();
  void planChosen();
  void later();
  void place();
  void show(const PointsPreview& placed);
  void showOnView(const PlannedPoints& placed);
  void showNone(const QString& why);
  QString told(const PointsPreview& placed) const;
  QString warned(const PointsPreview& placed) const;
  QString unit() const;
  bool byHand() const { return sizes_->plan() == "by-hand"; }
  const Product* toppedUp() const;

  MapView& view_;
  QPushButton* toReadings_;
  Latest job_;
  QTimer settle_;
  ChipChoice* plans_;
  PlanArea* area_;
  PlanSizes* sizes_;
  HandPoints* hand_;
  QSpinBox* seed_;
  QDoubleSpinBox *apart_, *edge_;
  QComboBox *system_, *topUp_;
  QLabel *apartUnit_, *edgeUnit_, *planned_, *warning_;
  QWidget *apartRow_, *edgeRow_, *seedRow_, *topUpRow_, *systemRow_;
  QPushButton* more_;
  std::vector<ViewPoint> shown_;
  std::vector<ViewShape> blocks_;
  std::optional<size_t> placed_;  // how many the plan gives
  QString cannot_;                // why it gives none
  bool filling_ = false;
};

}  // namespace zp
