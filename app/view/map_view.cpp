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
  setAccessibleName(txt("View"));
  // Tiles that arrive together are painted together, which leaves their painters the time.
  auto* soon = new QTimer(this);
  soon->setSingleShot(true);
  soon->setInterval(25);
  connect(soon, &QTimer::timeout, this, qOverload<>(&QWidget::update));
  connect(&tiles_, &TileStore::arrived, soon, [soon] {
    if (!soon->isActive()) soon->start();
  });
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
  const bool sameThing = p.of == front_.of && p.kind == front_.kind && !p.none();
  if (p.key != front_.key) staleKey_ = sameThing ? front_.key : QString();
  front_ = p;
  if (!fitted_ && !p.none()) fit();
  update();
}

void MapView::setBack(const Picture& p) {
  back_ = p;
  update();
}

void MapView::setVeil(const Picture& p, double opacity) {
  if (veil_.key == p.key && veilOpacity_ == opacity) return;
  veilOpacity_ = opacity;
  if (veil_.key != p.key) tiles_.forget(veil_.key);
  veil_ = p;
  update();
}

void MapView::setMode(Mode mode) {
  if (mode == mode_) return;
  mode_ = mode;
  if (keepFitted_) fit();
  update();
}

QList<SpokenPart> MapView::parts() const {
  QList<SpokenPart> all;
  if (!front_.none()) all << SpokenPart{txt("front") + ": " + front_.title, frontPane().toRect()};
  if (two()) all << SpokenPart{txt("back") + ": " + back_.title, rect()};
  for (const auto& row : keyRows_)
    if (const auto* c = front_.legend.find(row.code); row.code != 0 && c != nullptr)
      all << SpokenPart{q(c->name), row.box.toRect(), row.code == front_.onlyClass};
  return all;
}

void MapView::setPins(std::vector<Place> pins) {
  pins_ = std::move(pins);
  update();
}

QRectF MapView::frontPane() const {
  if (mode_ != Mode::SideBySide || !two()) return rect();
  const int half = width() / 2;  // as wide as the other, to the pixel
  return QRectF(width() - half, 0, half, height());
}

QRectF MapView::paneAt(QPointF p) const {
  const QRectF front = frontPane();
  return p.x() >= front.left() ? front : QRectF(0, 0, front.width(), height());
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
  setCursor(tool == Tool::Look ? Qt::ArrowCursor : Qt::CrossCursor);
  if (tool == Tool::DrawArea || tool == Tool::DrawBox) setFocus();
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
  if (!crs_.empty() && !g.crs.empty() && !crsSame(crs_, g.crs))
    e = broughtTo(e, g.crs, crs_).value_or(e);
  zoomTo(e);
  fitted_ = width() > 0;
  keepFitted_ = true;  // until one pans or zooms
}

void MapView::zoomTo(const Extent& e) {
  keepFitted_ = false;
  centre_ = {(e.left + e.right) / 2, (e.bottom + e.top) / 2};
  const QRectF pane = frontPane();
  scale_ = std::max({(e.right - e.left) / std::max(1.0, pane.width()),
                     (e.top - e.bottom) / std::max(1.0, pane.height()), 1e-12});
  changed();
}

void MapView::setCentre(Place c, double unitsPerPixel) {
  centre_ = c;
  scale_ = unitsPerPixel;
  fitted_ = true;
  keepFitted_ = false;
  changed();
}

void MapView::setAhead(const std::optional<Place>& place) {
  ahead_ = place;
  update();
}

Extent MapView::visible() const {
  const QRectF pane = frontPane();
  const Place a = toMap(pane.topLeft()), b = toMap(pane.bottomRight() - QPointF(1e-6, 0));
  return {a.x, b.y, b.x, a.y};
}

Place MapView::toMap(QPointF p) const {
  const QPointF middle = (pane_.isEmpty() ? paneAt(p) : pane_).center();
  return {centre_.x + (p.x() - middle.x()) * scale_, centre_.y - (p.y() - middle.y()) * scale_};
}

QPointF MapView::toScreen(Place p) const {
  const QPointF middle = (pane_.isEmpty() ? frontPane() : pane_).center();
  return {(p.x - centre_.x) / scale_ + middle.x(), (centre_.y - p.y) / scale_ + middle.y()};
}

void MapView::resizeEvent(QResizeEvent*) {
  if ((!fitted_ || keepFitted_) && !front_.none()) fit();
}

namespace {

/// The tiles that lie between two corners, at the level that a scale asks for.
std::vector<TileId> tilesOver(Place first, Place last, double scale) {
  const int level = static_cast<int>(std::floor(std::log2(scale)));
  const double span = TileStore::kSize * std::exp2(level);
  const auto at = [span](double v) { return static_cast<int64_t>(std::floor(v / span)); };
  std::vector<TileId> tiles;
  for (int64_t y = at(-first.y); y <= at(-last.y); ++y)
    for (int64_t x = at(first.x); x <= at(last.x); ++x) tiles.push_back({level, x, y});
  return tiles;
}

}  // namespace

/// What the view will show at the place that comes next.
void MapView::wantAhead(Wanted& wanted) {
  if (!ahead_) return;
  const double wide = width() * scale_ / 2, high = height() * scale_ / 2;
  for (const TileId& id : tilesOver({ahead_->x - wide, ahead_->y + high},
                                    {ahead_->x + wide, ahead_->y - high}, scale_))
    if (tiles_.tile(front_.key, id) == nullptr) wanted.emplace_back(front_, id);
}

void MapView::paintPicture(QPainter& p, const Picture& picture, const QRect& clip, Wanted& wanted) {
  if (picture.none() || clip.isEmpty()) return;
  p.save();
  p.setClipRect(clip, Qt::IntersectClip);
  const double dense = p.deviceTransform().m11();  // pixels of the screen in one of ours
  const auto rectOf = [&](TileId id) {
    const MapPiece piece = TileStore::pieceOf(id);
    const double size = TileStore::kSize * piece.unitsPerPixel;
    const QPointF a = toScreen({piece.left, piece.top}),
                  b = toScreen({piece.left + size, piece.top - size});
    // Whole pixels of the screen, so that no seam shows; what lies beyond all screens is drawn
    // nowhere.
    const auto whole = [dense](double v) {
      return std::abs(v) < 1e8 ? std::round(v * dense) / dense : 0;
    };
    return QRectF(QPointF(whole(a.x()), whole(a.y())), QPointF(whole(b.x()), whole(b.y())));
  };
  std::set<TileId> coarse;
  for (const TileId& id :
       tilesOver(toMap(clip.topLeft()), toMap(clip.bottomRight() + QPoint(1, 1)), scale_)) {
    const QRectF target = rectOf(id);
    if (const QImage* image = tiles_.tile(picture.key, id)) {
      p.drawImage(target, *image);
      continue;
    }
    // As it was displayed before, until it is there.
    if (const QImage* before = picture.key == front_.key ? tiles_.tile(staleKey_, id) : nullptr)
      p.drawImage(target, *before);
    // Coarse pixels at once: the nearest parent that is there, scaled up.
    for (int up = 1; up <= 5; ++up) {
      const TileId parent{id.level + up, id.x >> up, id.y >> up};
      if (up == 3) coarse.insert(parent);
      if (const QImage* image = tiles_.tile(picture.key, parent)) {
        const double part = TileStore::kSize / std::exp2(up);
        const double ox = static_cast<double>(id.x - (parent.x << up)) * part,
                     oy = static_cast<double>(id.y - (parent.y << up)) * part;
        p.drawImage(target, *image, QRectF(ox, oy, part, part));
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

/// A class picture that is not opaque lies over what is behind it.
void MapView::paintOver(QPainter& p, const Picture& picture, const QRect& clip, Wanted& wanted) {
  const bool through = picture.kind == Picture::Kind::Classes && picture.display.opacity < 1;
  if (through && &picture == &front_) paintPicture(p, back_, clip, wanted);
  p.setOpacity(through ? picture.display.opacity : 1);
  paintPicture(p, picture, clip, wanted);
  p.setOpacity(1);
}

void MapView::paintPane(QPainter& p, const QRectF& pane, const Picture& picture, Wanted& wanted) {
  pane_ = pane;
  const QRect clip = pane.toRect();
  p.save();
  p.setClipRect(clip);
  QRect front = clip;
  if (mode_ == Mode::Curtain && two()) {
    front.setLeft(curtainX());
    paintPicture(p, back_, QRect(0, 0, curtainX(), height()), wanted);
  }
  paintOver(p, picture, front, wanted);
  if (!veil_.none() && &picture == &front_) {
    p.setOpacity(veilOpacity_);
    paintPicture(p, veil_, front, wanted);
    p.setOpacity(1);
  }
  if (mode_ == Mode::Loupe && two()) paintLoupe(p, wanted);
  p.setRenderHint(QPainter::Antialiasing);
  paintShapes(p);
  paintPoints(p);
  paintMark(p);
  paintPins(p);
  p.setRenderHint(QPainter::Antialiasing, false);
  p.restore();
  pane_ = {};
}

void MapView::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.fillRect(rect(), tokens().around);
  if (front_.none() && back_.none()) return paintEmpty(p);
  p.setRenderHint(QPainter::SmoothPixmapTransform, false);
  Wanted wanted;
  const QRectF front = frontPane();
  if (front.left() > 0) paintPane(p, QRectF(0, 0, front.width(), height()), back_, wanted);
  paintPane(p, front, peeking_ && !back_.none() ? back_ : front_, wanted);
  all_ = wanted.empty();
  wantAhead(wanted);
  tiles_.want(wanted, crs_);
  p.setRenderHint(QPainter::Antialiasing);
  paintDrawing(p);
  if (bare_) return;
  if (mode_ == Mode::Curtain && two()) paintCurtain(p);
  if (front.left() > 0) p.fillRect(QRectF(front.left() - 1, 0, 2, height()), tokens().panel);
  paintTitles(p);
  const Inks inks = viewInks();
  paintScaleBar(p, QPointF(16, height() - 12), 130, crs_, centre_, scale_, inks);
  const double north = northAngle(crs_, centre_);
  if (std::abs(north) > 1) paintNorth(p, QPointF(190, height() - 30), north, inks);
  if (hasFocus()) {
    p.setPen(QPen(tokens().accent, 1));
    p.setBrush(Qt::NoBrush);
    p.drawRect(QRectF(0.5, 0.5, width() - 1, height() - 1));
    if (byKeys_) paintCross(p);
  }
}

/// The back picture in a round glass, three times as large.
void MapView::paintLoupe(QPainter& p, Wanted& wanted) {
  if (!inside_ && !byKeys_) return;
  constexpr double kRadius = 105, kTimes = 3;
  const Place under = toMap(pointer()), kept = centre_;
  const double keptScale = scale_;
  p.save();
  QPainterPath glass;
  glass.addEllipse(pointer(), kRadius, kRadius);
  p.setClipPath(glass);
  p.fillPath(glass, tokens().around);
  scale_ = keptScale / kTimes;
  centre_ = {under.x + (kept.x - under.x) / kTimes, under.y + (kept.y - under.y) / kTimes};
  paintPicture(p, back_, glass.boundingRect().toAlignedRect() & rect(), wanted);
  scale_ = keptScale, centre_ = kept;
  p.restore();
  p.setRenderHint(QPainter::Antialiasing);
  p.setBrush(Qt::NoBrush);
  p.setPen(QPen(QColor(0, 0, 0, 150), 5));
  p.drawEllipse(pointer(), kRadius, kRadius);
  p.setPen(QPen(Qt::white, 2));
  p.drawEllipse(pointer(), kRadius, kRadius);
}

void MapView::paintMark(QPainter& p) {
  if (!mark_) return;
  const QPointF c = toScreen(*mark_);
  const double half = std::max(5.0, markSize_ / scale_ / 2);
  p.setBrush(Qt::NoBrush);
  p.setPen(QPen(QColor(0, 0, 0, 160), 4));
  p.drawRect(QRectF(c.x() - half, c.y() - half, 2 * half, 2 * half));
  p.setPen(QPen(Qt::white, 2));
  p.drawRect(QRectF(c.x() - half, c.y() - half, 2 * half, 2 * half));
}

void MapView::paintPins(QPainter& p) {
  p.setFont(figureFont(8.5));
  for (size_t i = 0; i < pins_.size(); ++i) {
    const QPointF c = toScreen(pins_[i]);
    const QPointF head = c - QPointF(0, 20);
    p.setPen(QPen(QColor(0, 0, 0, 160), 4));
    p.drawLine(c, head);
    p.setPen(QPen(Qt::white, 1.5));
    p.drawLine(c, head);
    p.setPen(QPen(QColor(0, 0, 0, 160), 1.5));
    p.setBrush(toQt(suggestedColour(i)));
    p.drawEllipse(head, 8.5, 8.5);
    p.setPen(toQt(suggestedColour(i)).lightnessF() > 0.5 ? Qt::black : Qt::white);
    p.drawText(QRectF(head.x() - 9, head.y() - 9, 18, 18), Qt::AlignCenter, QString::number(i + 1));
  }
}

bool MapView::complete() const {
  return all_ || tiles_.idle();
}

bool MapView::anything() const {
  return tiles_.has(front_.key);
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
    for (const auto& line : s.shape.lines) {
      QPolygonF along;
      for (const auto& place : line) along << toScreen(place);
      path.addPolygon(along);
    }
    // A line that runs level has no height.
    if (!path.boundingRect().adjusted(-1, -1, 1, 1).intersects(rect())) continue;
    QColor fill = s.colour;
    fill.setAlpha(70);
    p.setBrush(s.filled && s.shape.lines.empty() ? QBrush(fill) : QBrush(Qt::NoBrush));
    p.setPen(QPen(QColor(0, 0, 0, 110), (s.chosen ? 3 : 1.7) + s.width));
    if (!s.dashed) p.drawPath(path);
    QPen pen(s.chosen           ? tokens().accent
             : s.line.isValid() ? s.line
                                : s.colour,
             s.chosen ? 2.4 : s.width);
    if (s.dashed) pen.setDashPattern({5, 4});
    p.setPen(pen);
    p.drawPath(path);
    if (!s.label.isEmpty()) {
      p.setFont(textFont(9));
      QPainterPath label;
      const QPointF middle = path.boundingRect().center();
      label.addText(middle.x() - p.fontMetrics().horizontalAdvance(s.label) / 2.0, middle.y() + 4,
                    p.font(), s.label);
      p.strokePath(label, QPen(viewInks().halo, 3));
      p.fillPath(label, tokens().text);
    }
  }
}

void MapView::setBrushWidth(double width) {
  brushWidth_ = width;
  update();
}

/// What it covers so far, and how wide it is.
void MapView::paintTitle(QPainter& p, const Picture& picture, const QRectF& pane, bool atRight) {
  if (picture.none()) return;
  p.setFont(textFont(9.5, QFont::Medium));
  const QString text =
      picture.detail.isEmpty() ? picture.title : picture.title + " · " + picture.detail;
  const Overview* o = tiles_.overview(picture.key);
  const bool ramped = hasRamp(picture) && o != nullptr;
  const int wide = p.fontMetrics().horizontalAdvance(text);
  const QString range =
      ramped ? compact(o->stretch.low[0]) + "…" + compact(o->stretch.high[0]) : "";
  const double w =
      wide + 20 + (ramped ? 112 + QFontMetrics(figureFont(9)).horizontalAdvance(range) : 0);
  const QRectF box(atRight ? pane.right() - w - 12 : pane.left() + 12, 12, w, 27);
  p.setPen(Qt::NoPen);
  p.setBrush(viewInks().box);
  p.drawRoundedRect(box, 4, 4);
  p.setPen(tokens().text);
  p.drawText(box.adjusted(10, 0, 0, 0), Qt::AlignVCenter, text);
  if (ramped)
    paintRamp(p, picture, o->stretch, {box.left() + wide + 20, box.top()}, box.height(),
              viewInks());
  const auto rows =
      paintKey(p, picture, o == nullptr ? nullptr : &o->stretch,
               {atRight ? pane.right() - 12 : pane.left() + 12, 46}, atRight, viewInks());
  keyRows_.insert(keyRows_.end(), rows.begin(), rows.end());
}

void MapView::paintTitles(QPainter& p) {
  keyRows_.clear();
  const QRectF front = frontPane();
  if (mode_ == Mode::Curtain && two()) {
    paintTitle(p, back_, rect(), false);
    paintTitle(p, front_, rect(), true);
  } else if (front.left() > 0) {
    paintTitle(p, back_, QRectF(0, 0, front.width(), height()), false);
    paintTitle(p, front_, front, false);
  } else {
    paintTitle(p, peeking_ && !back_.none() ? back_ : front_, rect(), false);
  }
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

}  // namespace zp
