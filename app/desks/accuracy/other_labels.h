#pragma once
#include "desks/accuracy/label_book.h"
#include "look/parts.h"

namespace zp {

/// The accuracy that these labels give against that of labels of other points: another map, another
/// year, another place.
class OtherLabels : public QWidget {
  Q_OBJECT
 public:
  OtherLabels(Workbench& bench, LabelBook& book);
  /// Not seen where there are no others.
  void open();

 private:
  void tell();
  QString verdict(const Product& labels) const;
  Workbench& bench_;
  LabelBook& book_;
  QComboBox* others_;
  QLabel* told_;
};

}  // namespace zp
