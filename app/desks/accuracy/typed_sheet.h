#pragma once
#include "accuracy/typed_matrix.h"
#include "desks/accuracy/matrix_view.h"
#include "desks/panel.h"

namespace zp {

/// A matrix made elsewhere, typed or pasted, and what follows from it.
class TypedSheet : public QWidget {
  Q_OBJECT
 public:
  explicit TypedSheet(Workbench& bench);
  void open();

 Q_SIGNALS:
  void leaveAsked();

 private:
  QLayout* buildMatrix();
  QWidget* buildMeasures();
  void read();
  void tell(const TypedMatrix& typed, const Assessment& a);
  void fillClasses(const TypedMatrix& typed, const Assessment& a);

  Workbench& bench_;
  QPlainTextEdit* text_;
  QPushButton* turned_;
  QLabel *told_, *measures_;
  MatrixView* view_;
  QTableWidget* classes_;
  QWidget *side_, *spare_;
};

}  // namespace zp
