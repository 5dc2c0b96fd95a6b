#pragma once
#include <Eigen/Core>
#include <QtWidgets>

#include "look/spoken.h"

namespace zp {

/// A square of figures, each tinted by what it is: one colour above zero, another below.
class TintedGrid : public QWidget, public Spoken {
  Q_OBJECT
 public:
  explicit TintedGrid(QWidget* parent = nullptr);
  /// `full`: a figure that is tinted fully, for each place; decimals of what is written.
  void show(const QStringList& names, const Eigen::MatrixXd& values, const Eigen::MatrixXd& full,
            int decimals);
  const Eigen::MatrixXd& values() const { return values_; }
  QRect cell(int row, int column) const;
  QAccessible::Role role() const override { return QAccessible::Table; }
  QAccessible::Role partRole() const override { return QAccessible::Cell; }
  QList<SpokenPart> parts() const override;

 protected:
  void paintEvent(QPaintEvent*) override;
  bool event(QEvent*) override;

 private:
  QString figure(int row, int column) const;
  QString told(int row, int column) const;
  QStringList names_;
  Eigen::MatrixXd values_, full_;
  int decimals_ = 2, before_ = 62;  // before the cells: the names
};

}  // namespace zp
