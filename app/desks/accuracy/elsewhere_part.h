#pragma once
#include "accuracy/reference_from.h"
#include "desks/accuracy/label_book.h"
#include "look/parts.h"

namespace zp {

/// Points out for a viewer elsewhere, and what was seen there back as a list of ids and classes.
class ElsewherePart : public QWidget {
  Q_OBJECT
 public:
  ElsewherePart(Workbench& bench, LabelBook& book);
  void refresh();
  /// Without what the map says of them.
  void writePoints(const QString& file);

 protected:
  void showEvent(QShowEvent*) override { look(); }

 private:
  void look();
  void paste();
  void takeBack();

  Workbench& bench_;
  LabelBook& book_;
  QPushButton *ask_, *back_, *paste_;
  QWidget* parts_;
  QLabel* told_;
  ListedLabels listed_;              // in the clipboard
  std::optional<Labelling> before_;  // the last list
};

}  // namespace zp
