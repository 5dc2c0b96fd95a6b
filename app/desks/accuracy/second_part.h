#pragma once
#include "desks/accuracy/label_book.h"
#include "look/parts.h"

namespace zp {

/// The second labeller: who they are and how many points they get, how far they are, how far the
/// two agree, and what is left to settle.
class SecondPart : public QWidget {
  Q_OBJECT
 public:
  SecondPart(Workbench& bench, LabelBook& book);
  void refresh();

 Q_SIGNALS:
  void labellingAsked(LabelBook::Task task);

 private:
  QWidget* buildAsking();
  void begin();
  void tellAgreement(const Agreement& agreement);

  Workbench& bench_;
  LabelBook& book_;
  QPushButton *ask_, *start_, *goOn_, *settle_;
  QWidget* asking_;
  QLineEdit* name_;
  QComboBox* share_;
  QLabel* told_;
};

}  // namespace zp
