// What is drawn in the view and put over its pictures.
#include "look/look.h"
#include "view/map_view.h"

namespace zp {

/// Very many are small squares: discs would lie over each other, and take long.
void MapView::paintManyPoints(QPainter& p) {
  for (const auto& point : points_) {
    const QPointF c = toScreen(point.place);
    const QColor colour = point.ring.isValid() ? point.ring
                          : point.chosen       ? tokens().accent
                                               : point.colour;
    p.fillRect(QRect(static_cast<int>(c.x()) - 1, static_cast<int>(c.y()) - 1, 3, 3), colour);
  }
}

void MapView::paintPoints(QPainter& p) {
  constexpr size_t kMany = 3000;
  if (points_.size() > kMany) return paintManyPoints(p);
  for (const auto& point : points_) {
    const QPointF c = toScreen(point.place);
    if (!rect().adjusted(-10, -10, 10, 10).contains(c.toPoint())) continue;
    if (point.ring.isValid()) {
      p.setBrush(Qt::NoBrush);
      p.setPen(QPen(QColor(0, 0, 0, 190), 7));
      p.drawEllipse(c, 7, 7);
      p.setPen(QPen(Qt::white, 5));
      p.drawEllipse(c, 7, 7);
      p.setPen(QPen(point.ring, 3));
      p.drawEllipse(c, 7, 7);
      p.setPen(QPen(Qt::white, 1));
      p.setBrush(point.colour);
      p.drawEllipse(c, 3.5, 3.5);
      continue;
    }
    const double r = point.chosen ? 6 : 4;
    p.setPen(QPen(QColor(0, 0, 0, 190), 3));
    p.setBrush(Qt::NoBrush);
    p.drawEllipse(c, r, r);
    p.setPen(QPen(Qt::white, 1.3));
    p.setBrush(point.colour);
    p.drawEllipse(c, r, r);
  }
}

void MapView::paintBrush(QPainter& p) {
  const double wide = std::max(2.0, brushWidth_ / scale_);
  QColor colour = tokens().accent;
  p.setPen(QPen(colour, 1.4));
  p.setBrush(Qt::NoBrush);
  if (inside_ || byKeys_) p.drawEllipse(pointer(), wide / 2, wide / 2);
  if (drawing_.empty()) return;
  QPainterPath path(toScreen(drawing_[0]));
  for (const auto& place : drawing_) path.lineTo(toScreen(place));
  path.lineTo(path.currentPosition() + QPointF(0.01, 0));
  colour.setAlpha(120);
  p.setPen(QPen(colour, wide, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
  p.drawPath(path);
}

void MapView::paintDrawing(QPainter& p) {
  edit_.paint(p, screenOf());
  if (tool_ == Tool::Brush) return paintBrush(p);
  if (tool_ == Tool::DrawBox) return paintBox(p);
  if (tool_ != Tool::DrawArea) return;
  QPolygonF line;
  for (const auto& place : drawing_) line << toScreen(place);
  QPolygonF whole = line;
  whole << pointer();
  QColor fill = tokens().accent;
  fill.setAlpha(50);
  p.setBrush(fill);
  p.setPen(QPen(QColor(0, 0, 0, 140), 4));
  if (!drawing_.empty()) p.drawPolygon(whole);
  p.setPen(QPen(tokens().accent, 2));
  if (!drawing_.empty()) p.drawPolygon(whole);
  p.setBrush(Qt::white);
  p.setPen(Qt::NoPen);
  for (const auto& c : line) p.drawRect(QRectF(c.x() - 3.5, c.y() - 3.5, 7, 7));
  paintHint(p, drawing_.size() < 3
                   ? txt("Click around the area. Esc stops.")
                   : txt("Double-click or Enter closes the area. Backspace takes a corner back."));
}

/// Open in its middle, so that the pixel that is meant is seen.
void MapView::paintCross(QPainter& p) const {
  const QPointF at = pointer();
  for (const QPen& pen : {QPen(QColor(0, 0, 0, 160), 4), QPen(Qt::white, 1.6)}) {
    p.setPen(pen);
    for (const QPointF way : {QPointF(1, 0), QPointF(-1, 0), QPointF(0, 1), QPointF(0, -1)})
      p.drawLine(at + 5 * way, at + 16 * way);
  }
}

void MapView::paintBox(QPainter& p) {
  paintHint(p, txt("Drag across the view from corner to corner. Esc stops."));
  if (drawing_.empty()) return;
  QColor fill = tokens().accent;
  fill.setAlpha(50);
  p.setBrush(fill);
  for (const QPen& pen : {QPen(QColor(0, 0, 0, 140), 4), QPen(tokens().accent, 2)}) {
    p.setPen(pen);
    p.drawRect(QRectF(toScreen(drawing_[0]), pointer()).normalized());
  }
}

/// What to do next, at the bottom of the view.
void MapView::paintHint(QPainter& p, const QString& hint) {
  p.setPen(Qt::NoPen);
  p.setFont(textFont(9.5));
  const QRectF box = QRectF(p.fontMetrics().boundingRect(hint)).adjusted(-10, -6, 10, 6);
  const QRectF at(12, height() - 84, box.width(), box.height());
  p.setBrush(tokens().overlay);
  p.drawRoundedRect(at, 4, 4);
  p.setPen(tokens().text);
  p.drawText(at, Qt::AlignCenter, hint);
}

}  // namespace zp
