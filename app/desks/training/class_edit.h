#pragma once
#include <QtWidgets>

#include "legend/legend.h"

namespace zp {

/// Name, colour and description of a class, folded out on the desk.
class ClassEdit : public QWidget {
  Q_OBJECT
 public:
  explicit ClassEdit(QWidget* parent = nullptr);
  void open(const LegendClass& of);

 Q_SIGNALS:
  void kept(const zp::LegendClass& changed);

 protected:
  void keyPressEvent(QKeyEvent*) override;

 private:
  void keep();
  void chooseColour();

  LegendClass class_;
  QLineEdit *name_, *about_;
  QPushButton* colour_;
};

}  // namespace zp
