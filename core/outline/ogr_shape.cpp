#include "outline/ogr_shape.h"

#include <ogr_geometry.h>

#include <vector>

namespace zp {
namespace {

void addRing(const OGRLinearRing* ring, Shape& shape) {
  if (ring == nullptr || ring->getNumPoints() < 3) return;
  Ring places;
  for (int i = 0; i < ring->getNumPoints(); ++i) places.push_back({ring->getX(i), ring->getY(i)});
  if (places.size() > 1 && places.front().x == places.back().x &&
      places.front().y == places.back().y)
    places.pop_back();
  shape.rings.push_back(std::move(places));
}

}  // namespace

void addGeometry(const OGRGeometry* g, Shape& shape) {
  if (g == nullptr || g->IsEmpty()) return;
  const auto type = wkbFlatten(g->getGeometryType());
  if (type == wkbPoint) {
    const auto* p = g->toPoint();
    shape.points.push_back({p->getX(), p->getY()});
  } else if (type == wkbLineString) {
    auto& line = shape.lines.emplace_back();
    for (const auto& p : g->toLineString()) line.push_back({p.getX(), p.getY()});
  } else if (type == wkbPolygon) {
    for (const auto* ring : g->toPolygon()) addRing(ring, shape);
  } else if (OGR_GT_IsSubClassOf(type, wkbGeometryCollection)) {
    for (const auto* part : g->toGeometryCollection()) addGeometry(part, shape);
  } else if (OGR_GT_IsNonLinear(type)) {
    const std::unique_ptr<OGRGeometry> linear(g->getLinearGeometry());
    if (linear && !OGR_GT_IsNonLinear(linear->getGeometryType())) addGeometry(linear.get(), shape);
  }
}

namespace {
std::unique_ptr<OGRGeometry> linesOf(const Shape& shape) {
  auto all = std::make_unique<OGRMultiLineString>();
  for (const auto& places : shape.lines) {
    OGRLineString line;
    for (const auto& p : places) line.addPoint(p.x, p.y);
    all->addGeometry(&line);
  }
  return all;
}
}  // namespace

std::unique_ptr<OGRGeometry> toGeometry(const Shape& shape) {
  if (!shape.points.empty()) {
    return std::make_unique<OGRPoint>(shape.points[0].x, shape.points[0].y);
  }
  if (shape.rings.empty() && !shape.lines.empty()) return linesOf(shape);
  // Rings under the even–odd rule are sorted into outer rings and holes by OGR.
  std::vector<OGRGeometry*> parts;
  for (const auto& places : shape.rings) {
    OGRLinearRing ring;
    for (const auto& p : places) ring.addPoint(p.x, p.y);
    ring.closeRings();
    auto* polygon = new OGRPolygon();
    polygon->addRing(&ring);
    parts.push_back(polygon);
  }
  int valid = 0;
  std::unique_ptr<OGRGeometry> whole(OGRGeometryFactory::organizePolygons(
      parts.data(), static_cast<int>(parts.size()), &valid, nullptr));
  return std::unique_ptr<OGRGeometry>(OGRGeometryFactory::forceToMultiPolygon(whole.release()));
}

}  // namespace zp
