#include "charts/brushed_chart.h"

#include "look/look.h"

namespace zp {

BrushedChart::BrushedChart(QWidget* parent) : Chart(parent) {
  setSelectionRectMode(QCP::srmCustom);
  selectionRect()->setPen(QPen(tokens().accent, 1));
  QColor fill = tokens().accent;
  fill.setAlpha(40);
  selectionRect()->setBrush(fill);
  connect(selectionRect(), &QCPSelectionRect::accepted, this, [this](const QRect& drawn) {
    QRectF values;
    if (drawn.width() > 3 && drawn.height() > 3)
      values =
          QRectF(QPointF(xAxis->pixelToCoord(drawn.left()), yAxis->pixelToCoord(drawn.bottom())),
                 QPointF(xAxis->pixelToCoord(drawn.right()), yAxis->pixelToCoord(drawn.top())));
    mark(values);
    Q_EMIT brushed(values);
  });
}

void BrushedChart::mousePressEvent(QMouseEvent* e) {
  pressed_ = e->position().toPoint();
  Chart::mousePressEvent(e);
}

/// A mere click takes back what was chosen.
void BrushedChart::mouseReleaseEvent(QMouseEvent* e) {
  Chart::mouseReleaseEvent(e);
  const QPoint at = e->position().toPoint();
  if ((at - pressed_).manhattanLength() > 3) return;
  if (mark_ != nullptr) {
    mark({});
    Q_EMIT brushed({});
  }
  Q_EMIT clickedAt({xAxis->pixelToCoord(at.x()), yAxis->pixelToCoord(at.y())});
}

QPoint BrushedChart::pointOf(double x, double y) const {
  return {static_cast<int>(xAxis->coordToPixel(x)), static_cast<int>(yAxis->coordToPixel(y))};
}

void BrushedChart::mark(const QRectF& values) {
  if (mark_ != nullptr) removeItem(std::exchange(mark_, nullptr));
  if (!values.isEmpty()) {
    mark_ = new QCPItemRect(this);
    mark_->setPen(QPen(tokens().accent, 1.4));
    mark_->topLeft->setCoords(values.left(), values.bottom());
    mark_->bottomRight->setCoords(values.right(), values.top());
  }
  replot();
}

}  // namespace zp
