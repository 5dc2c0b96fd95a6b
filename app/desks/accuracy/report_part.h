#pragma once
#include "desks/accuracy/label_book.h"
#include "look/parts.h"

namespace zp {

/// What a report says besides the figures, and where it goes.
class ReportPart : public QWidget {
  Q_OBJECT
 public:
  ReportPart(Workbench& bench, LabelBook& book);
  void open();
  /// Into a folder, in place of a report that is there already.
  void write(const QString& folder);

 Q_SIGNALS:
  void said(const QString& sentence);

 private:
  void choose();
  Workbench& bench_;
  LabelBook& book_;
  QLineEdit *title_, *author_, *remarks_;
  QPushButton* show_;
  QString written_;  // the page
};

}  // namespace zp
