#pragma once
#include "desks/mapping/class_ticks.h"

namespace zp {

/// Several class maps made into one by an order of trust, of the first perhaps only some classes;
/// or where two of them do not agree.
class CombinePanel : public Panel {
  Q_OBJECT
 public:
  explicit CombinePanel(Workbench& bench);
  void refresh() override;
  void forget() override;
  Heading heading() const override;
  QString action() const override { return txt("Combine"); }
  QString missing() const override;
  Json step() const override;
  QPushButton* besideAction() const override { return compare_; }
  bool offersBeside() const override { return missing().isEmpty(); }

 private:
  void compare();
  void tellNewest();
  std::string first() const { return first_->currentData().toString().toStdString(); }
  std::string second() const { return second_->currentData().toString().toStdString(); }

  QComboBox *first_, *second_;
  ClassTicks* keep_;
  QPushButton* compare_;
  QLabel* said_;
};

}  // namespace zp
