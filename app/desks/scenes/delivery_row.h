#pragma once
#include "desks/panel.h"

namespace zp {

/// The grid that the study's results are delivered on: system, origin and pixel size.
class DeliveryRow : public QWidget {
  Q_OBJECT
 public:
  explicit DeliveryRow(Workbench& bench, QWidget* parent = nullptr);
  void refresh();

 Q_SIGNALS:
  void trouble(const QString& sentence);

 private:
  void set();

  Workbench& bench_;
  QCheckBox* on_;
  QWidget* fields_;
  QLineEdit *system_, *x_, *y_, *pixel_;
  QLabel* said_;
};

}  // namespace zp
