#include "view/shape_edit.h"

#include "look/look.h"

namespace zp {
namespace {

// In pixels of the screen.
constexpr double kReach = 8;
constexpr double kShortest = 26;  // an edge shorter than this has no square in its middle
constexpr double kSmallest = 30;  // side of what can be edited

QPointF middleOf(const Ring& ring, size_t i, const ShapeEdit::ToScreen& toScreen) {
  return (toScreen(ring[i]) + toScreen(ring[(i + 1) % ring.size()])) / 2;
}

bool hasMiddle(const Ring& ring, size_t i, const ShapeEdit::ToScreen& toScreen) {
  return (toScreen(ring[i]) - toScreen(ring[(i + 1) % ring.size()])).manhattanLength() > kShortest;
}

}  // namespace

void ShapeEdit::set(const std::optional<Shape>& shape) {
  if (holding() && shape) return;
  shape_ = shape;
  held_.reset();
}

bool ShapeEdit::largeEnough(const ToScreen& toScreen) const {
  QRectF box;
  for (size_t r = 0; shape_ && r < shape_->rings.size(); ++r) {
    QPolygonF polygon;
    for (const auto& place : shape_->rings[r]) polygon << toScreen(place);
    box |= polygon.boundingRect();
  }
  return std::max(box.width(), box.height()) >= kSmallest;
}

std::optional<ShapeEdit::Corner> ShapeEdit::cornerAt(QPointF at, const ToScreen& toScreen) const {
  if (!largeEnough(toScreen)) return {};
  for (size_t r = 0; shape_ && r < shape_->rings.size(); ++r)
    for (size_t i = 0; i < shape_->rings[r].size(); ++i)
      if ((toScreen(shape_->rings[r][i]) - at).manhattanLength() <= kReach) return Corner{r, i};
  return {};
}

std::optional<ShapeEdit::Corner> ShapeEdit::edgeAt(QPointF at, const ToScreen& toScreen) const {
  if (!largeEnough(toScreen)) return {};
  for (size_t r = 0; shape_ && r < shape_->rings.size(); ++r) {
    const Ring& ring = shape_->rings[r];
    for (size_t i = 0; i < ring.size(); ++i)
      if (hasMiddle(ring, i, toScreen) &&
          (middleOf(ring, i, toScreen) - at).manhattanLength() <= kReach)
        return Corner{r, i};
  }
  return {};
}

bool ShapeEdit::near(QPointF at, const ToScreen& toScreen) const {
  return cornerAt(at, toScreen).has_value() || edgeAt(at, toScreen).has_value();
}

bool ShapeEdit::press(QPointF at, const ToScreen& toScreen) {
  changed_ = false;
  held_ = cornerAt(at, toScreen);
  if (held_) return true;
  const auto edge = edgeAt(at, toScreen);
  if (!edge) return false;
  Ring& ring = shape_->rings[edge->ring];
  const Place &a = ring[edge->place], &b = ring[(edge->place + 1) % ring.size()];
  const Place middle{(a.x + b.x) / 2, (a.y + b.y) / 2};
  held_ = Corner{edge->ring, edge->place + 1};
  ring.insert(ring.begin() + static_cast<std::ptrdiff_t>(edge->place + 1), middle);
  changed_ = true;
  return true;
}

void ShapeEdit::drag(Place to) {
  if (!held_) return;
  shape_->rings[held_->ring][held_->place] = to;
  changed_ = true;
}

std::optional<Shape> ShapeEdit::release() {
  held_.reset();
  return changed_ ? shape_ : std::nullopt;
}

std::optional<Shape> ShapeEdit::without(QPointF at, const ToScreen& toScreen) const {
  const auto corner = cornerAt(at, toScreen);
  if (!corner || shape_->rings[corner->ring].size() <= 3) return {};
  Shape left = *shape_;
  Ring& ring = left.rings[corner->ring];
  ring.erase(ring.begin() + static_cast<std::ptrdiff_t>(corner->place));
  return left;
}

void ShapeEdit::paint(QPainter& p, const ToScreen& toScreen) const {
  if (!shape_ || (!holding() && !largeEnough(toScreen))) return;
  for (const auto& ring : shape_->rings) {
    QPolygonF polygon;
    for (const auto& place : ring) polygon << toScreen(place);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(tokens().accent, 2));
    if (holding()) p.drawPolygon(polygon);
    p.setPen(Qt::NoPen);
    p.setBrush(tokens().accent);
    for (size_t i = 0; i < ring.size(); ++i)
      if (hasMiddle(ring, i, toScreen)) {
        const QPointF c = middleOf(ring, i, toScreen);
        p.drawRect(QRectF(c.x() - 2.5, c.y() - 2.5, 5, 5));
      }
    p.setBrush(Qt::white);
    for (const auto& c : polygon) p.drawRect(QRectF(c.x() - 3.5, c.y() - 3.5, 7, 7));
  }
}

}  // namespace zp
