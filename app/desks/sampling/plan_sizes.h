#pragma once
#include "desks/sampling/chip_choice.h"
#include "desks/sampling/class_points.h"

namespace zp {

/// How many points a plan places, as its kind asks for it.
class PlanSizes : public QWidget {
  Q_OBJECT
 public:
  PlanSizes();
  /// "stratified", "random", "systematic", "blocks" or "by-hand".
  void setPlan(const QString& plan);
  const QString& plan() const { return plan_; }
  /// The class map of a stratified plan; nullptr: none.
  void showClasses(const Study& study, const Product* map);
  /// Over another grid: the unit of lengths, and lengths that suit it where none was given.
  void suit(const Grid& grid, const QString& unit);
  /// What a step says of it.
  Json fields() const;
  void take(const Json& step);
  /// Why nothing can be placed.
  QString missing() const;
  /// What the plan gives.
  void tell(const std::map<int, size_t>& planned, const std::map<int, size_t>& asked) {
    classes_->tell(planned, asked);
  }
  /// What such points are called.
  QString name() const;
  int inEachClass() const {
    return plan_ == "stratified" && split() == "equal" ? each_->value() : 0;
  }

 Q_SIGNALS:
  void changed();

 private:
  QSpinBox* number(const QString& name, int value);
  QDoubleSpinBox* length(const QString& name);
  QWidget* buildStratified();
  QWidget* buildLattice();
  QWidget* buildBlocks();
  std::string split() const;
  bool bySpacing() const;
  void splitChosen();
  void showFields();

  QString plan_ = "stratified", unit_;
  QWidget *stratified_, *random_, *lattice_, *blocksBox_;
  ChipChoice *splits_, *by_, *forms_;
  QSpinBox *each_, *all_, *across_, *down_, *blocks_, *inBlock_;
  QDoubleSpinBox *spacing_, *blockSize_;
  QLabel *eachLabel_, *spacingUnit_, *blockUnit_;
  QWidget *spacingRow_, *sidesRow_, *countRow_;
  QPushButton* chooseClasses_;
  ClassPoints* classes_;
};

}  // namespace zp
