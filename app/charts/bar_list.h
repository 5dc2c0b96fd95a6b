#pragma once
#include <QtWidgets>

#include "look/spoken.h"

namespace zp {

/// Figures under each other, each with its name, a bar as long as it is large, and its text.
class BarList : public QWidget, public Spoken {
  Q_OBJECT
 public:
  struct Bar {
    QString name;
    double value = 0;  // not below 0
    QString figure;
  };
  explicit BarList(QWidget* parent = nullptr);

  void setBars(const QList<Bar>& bars);
  const QList<Bar>& bars() const { return bars_; }
  QSize sizeHint() const override;
  QSize minimumSizeHint() const override { return sizeHint(); }
  QAccessible::Role role() const override { return QAccessible::List; }
  QList<SpokenPart> parts() const override;

 protected:
  void paintEvent(QPaintEvent* e) override;

 private:
  int rowHeight() const;
  QList<Bar> bars_;
};

}  // namespace zp
