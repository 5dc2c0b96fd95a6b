#pragma once
#include "charts/chart.h"

namespace zp {

/// A chart in which a rectangle drawn with the mouse chooses what lies in it; a mere click takes
/// that back, or asks for what is there.
class BrushedChart : public Chart {
  Q_OBJECT
 public:
  explicit BrushedChart(QWidget* parent = nullptr);
  QPoint pointOf(double x, double y) const;  // in the widget
  /// Around what was chosen; empty: nothing.
  bool anyChosen() const { return mark_ != nullptr; }
  void mark(const QRectF& values);

 Q_SIGNALS:
  /// In the values of both axes; empty: nothing is chosen any more.
  void brushed(const QRectF& values);
  void clickedAt(const QPointF& values);

 protected:
  void mousePressEvent(QMouseEvent*) override;
  void mouseReleaseEvent(QMouseEvent*) override;

 private:
  QPoint pressed_;
  QCPItemRect* mark_ = nullptr;
};

}  // namespace zp
