#pragma once
#include "background/latest.h"
#include "desks/accuracy/plan_rows.h"
#include "desks/panel.h"
#include "study/planned.h"

namespace zp {

/// How many validation points a map needs and where: what one wants to know and what one guesses
/// give a split of points among the classes, which is seen before it is made.
class PlanSheet : public QWidget {
  Q_OBJECT
 public:
  explicit PlanSheet(Workbench& bench);
  /// Of a class map; `pace`: seconds that a label took so far, 0 where not known.
  void open(const QString& map, double pace);
  void forget();
  /// The places are on the picture.
  bool ready() const { return view_->complete() && !job_.pending() && !settle_.isActive(); }

 Q_SIGNALS:
  void leaveAsked();
  /// The points are made, and the labels that are to be given to them.
  void labellingAsked();

 protected:
  void keyPressEvent(QKeyEvent*) override;

 private:
  QLayout* buildLeft();
  QWidget* buildWishes();
  QLayout* buildSplits();
  QWidget* buildRight();
  void fillClasses(const Product& map);
  PlanWish wish() const;
  void setSplit(int split);
  void share();
  void sayPlan();
  void addMissing();
  void later();
  void place();
  void showPlaces(const PointsPreview& placed);
  Json step() const;
  void make();

  Workbench& bench_;
  Latest job_;
  QTimer settle_;
  std::unique_ptr<TileStore> tiles_;
  MapView* view_;
  PlanRows* rows_;
  QString map_;
  std::vector<int> codes_;
  std::vector<QString> names_;
  double pace_ = 0;
  QDoubleSpinBox *overall_, *users_, *apart_;
  QButtonGroup* splits_;
  QSpinBox* seed_;
  QCheckBox *inside_, *avoid_;
  QLabel *about_, *promise_, *cost_, *said_;
  QPushButton *add_, *make_;
};

}  // namespace zp
