#include "desks/sampling/table/places_view.h"

#include "look/look.h"

namespace zp {

namespace {
constexpr size_t kMostShown = 20'000;  // places the view draws without a delay
constexpr int kInset = 8;

double squaredDistance(Place a, Place b) {
  return (a.x - b.x) * (a.x - b.x) + (a.y - b.y) * (a.y - b.y);
}

bool inside(const Shape& shape, Place at) {
  bool in = false;
  for (const auto& ring : shape.rings)
    for (size_t i = 0, j = ring.size() - 1; i < ring.size(); j = i++) {
      const Place a = ring[i], b = ring[j];
      if ((a.y > at.y) != (b.y > at.y) && at.x < (b.x - a.x) * (at.y - a.y) / (b.y - a.y) + a.x)
        in = !in;
    }
  return in;
}
bool meets(const Shape& shape, const QRectF& box) {
  for (const Place& p : shape.points)
    if (box.contains(p.x, p.y)) return true;
  QPainterPath area;  // under the even–odd rule, as ours
  for (const auto& ring : shape.rings) {
    QPolygonF edge;
    for (const Place& p : ring) edge << QPointF(p.x, p.y);
    area.addPolygon(edge);
    area.closeSubpath();
  }
  for (const auto& line : shape.lines) {
    QPolygonF along;
    for (const Place& p : line) along << QPointF(p.x, p.y);
    area.addPolygon(along);
  }
  return area.intersects(box);
}
}  // namespace

PlacesView::PlacesView(Workbench& bench, TableBook& book, QWidget* parent)
    : QWidget(parent), bench_(bench), book_(book), tiles_(std::make_unique<TileStore>(1)) {
  view_ = new MapView(*tiles_);
  view_->setObjectName("placesView");
  view_->setAccessibleName(txt("Where the rows lie"));
  view_->setBare(true);
  view_->setTool(MapView::Tool::Pick);
  columnIn(this, 0)->addWidget(view_);
  box_ = chip(txt("Rectangle"));
  box_->setObjectName("placesBox");
  box_->setToolTip(
      txt("Drag across the view to choose the rows of the places there; with Ctrl, "
          "beside those that are chosen"));
  box_->setParent(view_);
  box_->move(kInset, kInset);
  connect(box_, &QPushButton::toggled, this,
          [this](bool on) { view_->setTool(on ? MapView::Tool::DrawBox : MapView::Tool::Pick); });
  // Escape puts it away.
  connect(view_, &MapView::toolChanged, this, [this] {
    box_->setChecked(view_->tool() == MapView::Tool::DrawBox);
    if (view_->tool() == MapView::Tool::Look) view_->setTool(MapView::Tool::Pick);
  });
  connect(view_, &MapView::boxDrawn, this, &PlacesView::chooseIn);
  connect(view_, &MapView::clicked, this, &PlacesView::chooseAt);
  connect(&book_, &TableBook::opened, this, &PlacesView::takePlaces);
  connect(&book_, &TableBook::choiceChanged, this, &PlacesView::light);
}

void PlacesView::open(const Picture& front) {
  view_->setCrs(bench_.viewCrs());
  view_->setFront(front);
  takePlaces();
}

void PlacesView::setColours(const std::vector<QColor>& colours) {
  colours_ = colours;
  light();
}

void PlacesView::takePlaces() {
  shapes_.clear();
  colours_.clear();
  if (const Layer* layer = book_.layer(); layer != nullptr && !view_->crs().empty()) try {
      const CrsChange change(layer->crs, view_->crs());
      for (Shape shape : layer->shapes) {
        if (shapes_.size() == kMostShown) break;
        shape.bring(change);
        shapes_.push_back(std::move(shape));
      }
    } catch (const std::exception&) {
      shapes_.clear();  // they lie nowhere in this view
    }
  showAll();
  light();
}

/// All places in view, with some of what is around them.
void PlacesView::showAll() {
  constexpr double kAround = 0.04;
  Extent all{INFINITY, INFINITY, -INFINITY, -INFINITY};
  for (const auto& shape : shapes_) {
    const Extent one = shape.extent();
    if (shape.empty()) continue;
    all.include({one.left, one.bottom});
    all.include({one.right, one.top});
  }
  if (!(all.left < all.right) || !(all.bottom < all.top)) return view_->fit();
  const double x = (all.right - all.left) * kAround, y = (all.top - all.bottom) * kAround;
  view_->zoomTo({all.left - x, all.bottom - y, all.right + x, all.top + y});
}

/// A place is lit when one of its rows is chosen.
void PlacesView::light() {
  std::vector<bool> lit(shapes_.size(), false);
  std::vector<QColor> colours(shapes_.size());
  if (const auto* places = book_.places())
    for (size_t r = 0; r < places->rows.size(); ++r) {
      const size_t place = places->rows[r];
      if (place >= lit.size()) continue;
      if (r < colours_.size() && colours_[r].isValid()) colours[place] = colours_[r];
      if (r < book_.chosen().size() && book_.chosen()[r]) lit[place] = true;
    }
  std::vector<ViewShape> areas;
  std::vector<ViewPoint> points;
  for (const bool now : {false, true})  // the lit ones over the others
    for (size_t i = 0; i < shapes_.size(); ++i) {
      if (lit[i] != now) continue;
      const QColor plain = colours[i].isValid() ? colours[i] : QColor(255, 255, 255, 170);
      for (const Place& p : shapes_[i].points) points.push_back({p, plain, {}, now});
      if (shapes_[i].rings.empty() && shapes_[i].lines.empty()) continue;
      ViewShape area;
      area.shape = {shapes_[i].rings, {}, shapes_[i].lines};
      area.colour = now ? tokens().accent : plain;
      area.filled = now;
      area.width = now ? 2 : 1;
      areas.push_back(std::move(area));
    }
  view_->setShapes(std::move(areas));
  view_->setPoints(std::move(points));
}

/// The polygon around it, or the nearest point that is near.
std::optional<size_t> PlacesView::placeAt(Place at) const {
  constexpr double kNear = 9;  // pixels
  std::optional<size_t> found;
  double least = std::pow(kNear * view_->unitsPerPixel(), 2);
  for (size_t i = 0; i < shapes_.size(); ++i) {
    if (!shapes_[i].rings.empty() && inside(shapes_[i], at)) return i;
    for (const Place& p : shapes_[i].points)
      if (const double d = squaredDistance(p, at); d < least) least = d, found = i;
  }
  return found;
}

/// With Ctrl beside those that are chosen.
void PlacesView::choose(const std::function<bool(size_t)>& is) {
  std::vector<size_t> rows;
  const bool more = QGuiApplication::keyboardModifiers().testFlag(Qt::ControlModifier);
  const auto* places = book_.places();
  for (size_t r = 0; r < book_.chosen().size(); ++r)
    if ((more && book_.chosen()[r]) || (places != nullptr && is(places->rows[r])))
      rows.push_back(r);
  book_.choose(rows);
}

void PlacesView::chooseAt(Place at) {
  const auto place = placeAt(at);
  choose([&](size_t p) { return place && p == *place; });
}

/// A rectangle of hardly any size is a click.
void PlacesView::chooseIn(const Extent& box) {
  constexpr double kClick = 4;  // pixels
  const double least = kClick * view_->unitsPerPixel();
  if (box.right - box.left < least && box.top - box.bottom < least)
    return chooseAt({(box.left + box.right) / 2, (box.bottom + box.top) / 2});
  const QRectF drawn(QPointF(box.left, box.bottom), QPointF(box.right, box.top));
  std::vector<bool> met(shapes_.size());
  for (size_t i = 0; i < shapes_.size(); ++i) met[i] = meets(shapes_[i], drawn);
  choose([&](size_t p) { return p < met.size() && met[p]; });
}

}  // namespace zp
