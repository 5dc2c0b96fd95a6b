#include "view/map_view.h"

#include <QtWidgets>
#include <cmath>
#include <numbers>

#include "look/look.h"
#include "view/ramp.h"

namespace zp {

MapView::MapView(TileStore& tiles, QWidget* parent) : QWidget(parent), tiles_(tiles) {
  setMouseTracking(true);
  setFocusPolicy(Qt::StrongFocus);
  setMinimumSize(160, 120);
  setAttribute(Qt::WA_OpaquePaintEvent);
  setObjectName("view");
  setAccessibleName("View");
  connect(&tiles_, &TileStore::arrived, this, qOverload<>(&QWidget::update));
}

void MapView::changed() {
  update();
  Q_EMIT moved();
}

void MapView::setCrs(const std::string& crs) {
  if (crs == crs_) return;
  crs_ = crs;
  fitted_ = false;
}

void MapView::setFront(const Picture& p) {
  front_ = p;
  if (!fitted_ && !p.none()) fit();
  update();
}

void MapView::setBack(const Picture& p) {
  back_ = p;
  update();
}

void MapView::setVeil(const Picture& p) {
  if (veil_.key == p.key) return;
  tiles_.forget(veil_.key);
  veil_ = p;
  update();
}

void MapView::setCurtain(bool on) {
  curtainOn_ = on;
  update();
}

void MapView::setShapes(std::vector<ViewShape> shapes) {
  shapes_ = std::move(shapes);
  update();
}

void MapView::setPoints(std::vector<ViewPoint> points) {
  points_ = std::move(points);
  update();
}

void MapView::setTool(Tool tool) {
  if (tool == tool_) return;
  tool_ = tool;
  drawing_.clear();
  setCursor(tool == Tool::DrawArea ? Qt::CrossCursor : Qt::ArrowCursor);
  if (tool == Tool::DrawArea) setFocus();
  Q_EMIT toolChanged();
  update();
}

void MapView::setEmptyText(const QString& title, const QString& text) {
  emptyTitle_ = title;
  emptyText_ = text;
  update();
}

void MapView::setMark(Place centre, double size) {
  mark_ = centre;
  markSize_ = size;
  update();
}

void MapView::fit() {
  const Picture& p = front_.none() ? back_ : front_;
  if (p.none()) return;
  const Grid g = gridOf(p);
  Extent e = g.extent();
  if (!crs_.empty() && !g.crs.empty() && !crsSame(crs_, g.crs)) {
    const CrsChange change(g.crs, crs_);
    bool first = true;
    for (const auto& [c, r] : {std::pair{0, 0}, {g.width, 0}, {0, g.height}, {g.width, g.height}}) {
      Place at = g.toMap(c, r);
      if (!change.apply(at)) continue;
      if (first) e = {at.x, at.y, at.x, at.y};
      first = false;
      e.include(at);
    }
  }
  zoomTo(e);
  fitted_ = width() > 0;
  keepFitted_ = true;  // until one pans or zooms
}

void MapView::zoomTo(const Extent& e) {
  centre_ = {(e.left + e.right) / 2, (e.bottom + e.top) / 2};
  scale_ = std::max({(e.right - e.left) / std::max(1, width()),
                     (e.top - e.bottom) / std::max(1, height()), 1e-12});
  changed();
}

void MapView::setCentre(Place c, double unitsPerPixel) {
  centre_ = c;
  scale_ = unitsPerPixel;
  fitted_ = true;
  keepFitted_ = false;
  changed();
}

Extent MapView::visible() const {
  const Place a = toMap({0, 0}),
              b = toMap({static_cast<double>(width()), static_cast<double>(height())});
  return {a.x, b.y, b.x, a.y};
}

Place MapView::toMap(QPointF p) const {
  return {centre_.x + (p.x() - width() / 2.0) * scale_,
          centre_.y - (p.y() - height() / 2.0) * scale_};
}

QPointF MapView::toScreen(Place p) const {
  return {(p.x - centre_.x) / scale_ + width() / 2.0, (centre_.y - p.y) / scale_ + height() / 2.0};
}

void MapView::resizeEvent(QResizeEvent*) {
  if ((!fitted_ || keepFitted_) && !front_.none()) fit();
}

void MapView::paintPicture(QPainter& p, const Picture& picture, const QRect& clip, Wanted& wanted) {
  if (picture.none() || clip.isEmpty()) return;
  p.save();
  p.setClipRect(clip);
  const int level = static_cast<int>(std::floor(std::log2(scale_)));
  const auto rectOf = [&](TileId id) {
    const MapPiece piece = TileStore::pieceOf(id);
    const double size = TileStore::kSize * piece.unitsPerPixel;
    const QPointF a = toScreen({piece.left, piece.top}),
                  b = toScreen({piece.left + size, piece.top - size});
    return QRect(a.toPoint(), b.toPoint() - QPoint(1, 1));  // whole pixels, so that no seam shows
  };
  const double span = TileStore::kSize * std::exp2(level);
  const Place first = toMap(clip.topLeft()), last = toMap(clip.bottomRight() + QPoint(1, 1));
  const auto x0 = static_cast<int64_t>(std::floor(first.x / span)),
             x1 = static_cast<int64_t>(std::floor(last.x / span));
  const auto y0 = static_cast<int64_t>(std::floor(-first.y / span)),
             y1 = static_cast<int64_t>(std::floor(-last.y / span));
  std::set<TileId> coarse;
  for (int64_t y = y0; y <= y1; ++y)
    for (int64_t x = x0; x <= x1; ++x) {
      const TileId id{level, x, y};
      const QRect target = rectOf(id);
      if (const QImage* image = tiles_.tile(picture.key, id)) {
        p.drawImage(target, *image);
        continue;
      }
      // Coarse pixels at once: the nearest parent that is there, scaled up.
      for (int up = 1; up <= 5; ++up) {
        const TileId parent{level + up, x >> up, y >> up};
        if (up == 3) coarse.insert(parent);
        if (const QImage* image = tiles_.tile(picture.key, parent)) {
          const double part = TileStore::kSize / std::exp2(up);
          const double ox = static_cast<double>(x - (parent.x << up)) * part,
                       oy = static_cast<double>(y - (parent.y << up)) * part;
          p.drawImage(target, *image, QRectF(ox, oy, part, part).toRect());
          break;
        }
      }
      wanted.emplace_back(picture, id);
    }
  // The coarse ones are painted first.
  for (const TileId& id : coarse)
    if (tiles_.tile(picture.key, id) == nullptr) wanted.insert(wanted.begin(), {picture, id});
  p.restore();
}

void MapView::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.fillRect(rect(), tokens().around);
  if (front_.none() && back_.none()) return paintEmpty(p);
  p.setRenderHint(QPainter::SmoothPixmapTransform, false);
  Wanted wanted;
  const Picture& shown = peeking_ && !back_.none() ? back_ : front_;
  if (curtainOn_ && !back_.none() && !peeking_) {
    paintPicture(p, back_, QRect(0, 0, curtainX(), height()), wanted);
    paintPicture(p, front_, QRect(curtainX(), 0, width() - curtainX(), height()), wanted);
  } else {
    paintPicture(p, shown, rect(), wanted);
  }
  if (!veil_.none() && !peeking_) {
    const int left = curtainOn_ && !back_.none() ? curtainX() : 0;
    p.setOpacity(0.6);
    paintPicture(p, veil_, QRect(left, 0, width() - left, height()), wanted);
    p.setOpacity(1);
  }
  tiles_.want(wanted, crs_);
  p.setRenderHint(QPainter::Antialiasing);
  paintShapes(p);
  paintPoints(p);
  if (mark_) {
    const QPointF c = toScreen(*mark_);
    const double half = std::max(5.0, markSize_ / scale_ / 2);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(QColor(0, 0, 0, 160), 4));
    p.drawRect(QRectF(c.x() - half, c.y() - half, 2 * half, 2 * half));
    p.setPen(QPen(Qt::white, 2));
    p.drawRect(QRectF(c.x() - half, c.y() - half, 2 * half, 2 * half));
  }
  paintDrawing(p);
  if (bare_) return;
  if (curtainOn_ && !back_.none() && !peeking_) paintCurtain(p);
  paintTitles(p);
  paintScaleBar(p);
  if (hasFocus()) {
    p.setPen(QPen(tokens().accent, 1));
    p.setBrush(Qt::NoBrush);
    p.drawRect(QRectF(0.5, 0.5, width() - 1, height() - 1));
  }
}

bool MapView::complete() const {
  return tiles_.idle();
}

void MapView::paintEmpty(QPainter& p) {
  p.setPen(tokens().text);
  p.setFont(textFont(14, QFont::DemiBold));
  p.drawText(rect().adjusted(40, 0, -40, -250), Qt::AlignCenter | Qt::TextWordWrap, emptyTitle_);
  p.setPen(tokens().second);
  p.setFont(textFont(10));
  p.drawText(rect().adjusted(40, 0, -40, -180), Qt::AlignCenter | Qt::TextWordWrap, emptyText_);
}

void MapView::paintShapes(QPainter& p) {
  for (const auto& s : shapes_) {
    QPainterPath path;
    path.setFillRule(Qt::OddEvenFill);
    for (const auto& ring : s.shape.rings) {
      QPolygonF polygon;
      for (const auto& place : ring) polygon << toScreen(place);
      polygon << polygon.front();
      path.addPolygon(polygon);
    }
    if (!path.boundingRect().intersects(rect())) continue;
    QColor fill = s.colour;
    fill.setAlpha(70);
    p.setBrush(s.filled ? QBrush(fill) : QBrush(Qt::NoBrush));
    p.setPen(QPen(QColor(0, 0, 0, 110), s.chosen ? 4.5 : 3.2));
    if (!s.dashed) p.drawPath(path);
    QPen pen(s.chosen   ? tokens().accent
             : s.filled ? QColor(Qt::white)
                        : s.colour,
             s.chosen ? 2.4 : 1.5);
    if (s.dashed) pen.setDashPattern({5, 4});
    p.setPen(pen);
    p.drawPath(path);
    if (!s.chosen) continue;
    p.setBrush(Qt::white);
    p.setPen(Qt::NoPen);
    for (const auto& ring : s.shape.rings)
      for (const auto& place : ring) {
        const QPointF c = toScreen(place);
        p.drawRect(QRectF(c.x() - 3.5, c.y() - 3.5, 7, 7));
      }
  }
}

void MapView::paintPoints(QPainter& p) {
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

void MapView::paintDrawing(QPainter& p) {
  if (tool_ != Tool::DrawArea) return;
  QPolygonF line;
  for (const auto& place : drawing_) line << toScreen(place);
  QPolygonF whole = line;
  whole << mouse_;
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
  const QString hint =
      drawing_.size() < 3 ? "Click around the area. Esc stops."
                          : "Double-click or Enter closes the area. Backspace takes a corner back.";
  p.setFont(textFont(9.5));
  const QRectF box = QRectF(p.fontMetrics().boundingRect(hint)).adjusted(-10, -6, 10, 6);
  const QRectF at(12, height() - 84, box.width(), box.height());
  p.setBrush(tokens().overlay);
  p.drawRoundedRect(at, 4, 4);
  p.setPen(tokens().text);
  p.drawText(at, Qt::AlignCenter, hint);
}

void MapView::paintKey(QPainter& p, const Picture& picture, bool atRight, int top) {
  p.setFont(textFont(9.5));
  const QFontMetrics m = p.fontMetrics();
  if (picture.kind == Picture::Kind::Classes) {
    int wide = 0;
    for (const auto& c : picture.legend.classes)
      wide = std::max(wide, m.horizontalAdvance(q(c.name)));
    const int row = 21, h = row * static_cast<int>(picture.legend.classes.size()) + 12,
              w = wide + 46;
    const QRectF box(atRight ? width() - 12 - w : 12, top + 34, w, h);
    p.setPen(Qt::NoPen);
    p.setBrush(tokens().overlay);
    p.drawRoundedRect(box, 4, 4);
    double y = box.top() + 6;
    for (const auto& c : picture.legend.classes) {
      const bool dim = picture.onlyClass != 0 && picture.onlyClass != c.code;
      p.setOpacity(dim ? 0.4 : 1);
      p.setBrush(toQt(c.colour));
      p.setPen(Qt::NoPen);
      p.drawRoundedRect(QRectF(box.left() + 10, y + 5, 11, 11), 2, 2);
      p.setPen(tokens().text);
      p.drawText(QRectF(box.left() + 29, y, wide + 10, row), Qt::AlignVCenter, q(c.name));
      p.setOpacity(1);
      keyRows_.emplace_back(QRectF(box.left(), y, box.width(), row), c.code);
      y += row;
    }
  }
}

void MapView::paintTitles(QPainter& p) {
  keyRows_.clear();
  const auto draw = [&](const Picture& picture, bool atRight) {
    if (picture.none()) return;
    const QFont bold = textFont(9.5, QFont::Medium);
    p.setFont(bold);
    const QString text =
        picture.detail.isEmpty() ? picture.title : picture.title + " · " + picture.detail;
    const bool scaled =
        picture.kind == Picture::Kind::Index || picture.kind == Picture::Kind::Formula;
    const Overview* o = tiles_.overview(picture.key);
    QString range;
    if (scaled && o != nullptr)
      range = compact(o->stretch.low[0]) + "…" + compact(o->stretch.high[0]);
    const int textWide = p.fontMetrics().horizontalAdvance(text);
    const int rangeWide =
        range.isEmpty() ? 0 : QFontMetrics(figureFont(9)).horizontalAdvance(range);
    const int w = textWide + 20 + (scaled ? 100 + rangeWide + 16 : 0);
    const QRectF box(atRight ? width() - w - 12 : 12, 12, w, 27);
    p.setPen(Qt::NoPen);
    p.setBrush(tokens().overlay);
    p.drawRoundedRect(box, 4, 4);
    p.setPen(tokens().text);
    p.drawText(box.adjusted(10, 0, 0, 0), Qt::AlignVCenter, text);
    if (scaled) {
      const auto& colours = ramp(picture.ramp);
      const double x = box.left() + 10 + textWide + 10;
      for (int i = 0; i < 90; ++i)
        p.fillRect(QRectF(x + i, box.top() + 8, 1.2, 11),
                   QColor(colours[static_cast<size_t>(i * 255 / 89)]));
      p.setFont(figureFont(9));
      p.drawText(QRectF(x + 98, box.top(), rangeWide + 10, box.height()), Qt::AlignVCenter, range);
    }
    paintKey(p, picture, atRight, 12);
  };
  if (curtainOn_ && !back_.none() && !peeking_) {
    draw(back_, false);
    draw(front_, true);
  } else {
    draw(peeking_ && !back_.none() ? back_ : front_, false);
  }
}

double MapView::metresPerUnit() const {
  if (crs_.empty()) return 0;
  if (crsIsGeographic(crs_)) return 111320 * std::cos(centre_.y * std::numbers::pi / 180);
  return crsMetresPerUnit(crs_);
}

void MapView::paintScaleBar(QPainter& p) {
  const double unit = metresPerUnit();
  const double perPixel = (unit > 0 ? unit : 1) * scale_;
  const double most = 130 * perPixel;
  double length = std::pow(10, std::floor(std::log10(most)));
  if (length * 5 <= most)
    length *= 5;
  else if (length * 2 <= most)
    length *= 2;
  const double w = length / perPixel;
  const QString text = unit <= 0        ? compact(length) + " pixels"
                       : length >= 1000 ? QString::number(length / 1000) + " km"
                                        : QString::number(length) + " m";
  const double y = height() - 34, x = 16;
  // Readable on any picture, and on the empty ground beside it.
  const QColor ink = tokens().text;
  QColor halo = tokens().around;
  halo.setAlpha(190);
  const QPolygonF bar({QPointF(x, y - 5), QPointF(x, y), QPointF(x + w, y), QPointF(x + w, y - 5)});
  p.setBrush(Qt::NoBrush);
  p.setPen(QPen(halo, 4));
  p.drawPolyline(bar);
  p.setPen(QPen(ink, 1.6));
  p.drawPolyline(bar);
  QPainterPath path;
  path.addText(x, y + 18, textFont(9.5), text);
  p.strokePath(path, QPen(halo, 3));
  p.fillPath(path, ink);
}

void MapView::paintCurtain(QPainter& p) {
  const int x = curtainX(), y = height() / 2;
  p.setPen(QPen(Qt::white, 2));
  p.drawLine(x, 0, x, height());
  p.setBrush(Qt::white);
  p.setPen(Qt::NoPen);
  p.drawEllipse(QPointF(x, y), 14, 14);
  p.setBrush(QColor("#262626"));
  p.drawPolygon(QPolygonF({QPointF(x - 3, y - 4), QPointF(x - 8, y), QPointF(x - 3, y + 4)}));
  p.drawPolygon(QPolygonF({QPointF(x + 3, y - 4), QPointF(x + 8, y), QPointF(x + 3, y + 4)}));
}

bool MapView::nearCurtain(QPointF p) const {
  return curtainOn_ && !back_.none() && !bare_ && std::abs(p.x() - curtainX()) < 8;
}

void MapView::mousePressEvent(QMouseEvent* e) {
  setFocus();
  if (e->button() != Qt::LeftButton && e->button() != Qt::MiddleButton) return;
  pressed_ = e->position();
  pressedHere_ = true;
  pressedCentre_ = centre_;
  draggingCurtain_ = e->button() == Qt::LeftButton && nearCurtain(pressed_);
}

void MapView::mouseMoveEvent(QMouseEvent* e) {
  mouse_ = e->position();
  if (draggingCurtain_) {
    curtainAt_ = std::clamp(mouse_.x() / width(), 0.02, 0.98);
    return update();
  }
  const bool held = pressedHere_ && (e->buttons() & (Qt::LeftButton | Qt::MiddleButton));
  if (held && !panning_ && (mouse_ - pressed_).manhattanLength() > 5) panning_ = true;
  if (panning_) {
    const QPointF d = mouse_ - pressed_;
    keepFitted_ = false;
    centre_ = {pressedCentre_.x - d.x() * scale_, pressedCentre_.y + d.y() * scale_};
    changed();
  } else if (tool_ == Tool::Look) {
    setCursor(nearCurtain(mouse_) ? Qt::SplitHCursor : Qt::ArrowCursor);
  }
  if (tool_ == Tool::DrawArea) update();
  Q_EMIT hovered(toMap(mouse_));
}

void MapView::mouseReleaseEvent(QMouseEvent* e) {
  if (!pressedHere_) return;
  const bool wasClick = !panning_ && !draggingCurtain_ && e->button() == Qt::LeftButton;
  panning_ = draggingCurtain_ = pressedHere_ = false;
  if (!wasClick) return;
  if (tool_ == Tool::DrawArea) {
    drawing_.push_back(toMap(e->position()));
    return update();
  }
  for (const auto& [box, code] : keyRows_)
    if (box.contains(e->position())) return Q_EMIT onlyClassAsked(code);
  Q_EMIT clicked(toMap(e->position()));
}

void MapView::mouseDoubleClickEvent(QMouseEvent* e) {
  if (tool_ != Tool::DrawArea || e->button() != Qt::LeftButton) return;
  QKeyEvent enter(QEvent::KeyPress, Qt::Key_Return, Qt::NoModifier);
  keyPressEvent(&enter);
}

void MapView::wheelEvent(QWheelEvent* e) {
  zoomBy(std::pow(1.0015, -e->angleDelta().y()), e->position());
  e->accept();
}

void MapView::zoomBy(double factor, QPointF around) {
  const Place before = toMap(around);
  keepFitted_ = false;
  scale_ = std::clamp(scale_ * factor, 1e-9, 1e7);
  const Place after = toMap(around);
  centre_ = {centre_.x + before.x - after.x, centre_.y + before.y - after.y};
  changed();
}

void MapView::keyPressEvent(QKeyEvent* e) {
  const double step = 80 * scale_;
  const bool arrow = e->key() == Qt::Key_Left || e->key() == Qt::Key_Right ||
                     e->key() == Qt::Key_Up || e->key() == Qt::Key_Down;
  if (arrow) keepFitted_ = false;
  switch (e->key()) {
    case Qt::Key_Left:
      centre_.x -= step;
      return changed();
    case Qt::Key_Right:
      centre_.x += step;
      return changed();
    case Qt::Key_Up:
      centre_.y += step;
      return changed();
    case Qt::Key_Down:
      centre_.y -= step;
      return changed();
    case Qt::Key_Plus:
    case Qt::Key_Equal:
      return zoomBy(1 / 1.4, QPointF(width() / 2.0, height() / 2.0));
    case Qt::Key_Minus:
      return zoomBy(1.4, QPointF(width() / 2.0, height() / 2.0));
    case Qt::Key_ParenRight:
    case Qt::Key_0:
      if (e->modifiers() & Qt::ShiftModifier) {
        const Picture& p = front_.none() ? back_ : front_;
        if (!p.none()) setCentre(centre_, gridOf(p).pixelWidth());
        return;
      }
      return fit();
    case Qt::Key_X:
      return Q_EMIT swapAsked();
    case Qt::Key_QuoteLeft:
      peeking_ = true;
      return update();
    case Qt::Key_Escape:
      if (tool_ == Tool::DrawArea) return setTool(Tool::Look);
      break;
    case Qt::Key_Backspace:
      if (tool_ == Tool::DrawArea && !drawing_.empty()) {
        drawing_.pop_back();
        return update();
      }
      break;
    case Qt::Key_Return:
    case Qt::Key_Enter:
      if (tool_ == Tool::DrawArea && drawing_.size() >= 3) {
        const Ring ring = drawing_;
        drawing_.clear();
        Q_EMIT areaDrawn(ring);
        return update();
      }
      break;
    default:
      break;
  }
  QWidget::keyPressEvent(e);
}

void MapView::keyReleaseEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_QuoteLeft && !e->isAutoRepeat()) {
    peeking_ = false;
    return update();
  }
  QWidget::keyReleaseEvent(e);
}

void MapView::leaveEvent(QEvent*) {
  Q_EMIT left();
}

}  // namespace zp
