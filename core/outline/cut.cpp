#include "outline/cut.h"

#include <ogr_geometry.h>

#include <algorithm>

#include "base/error.h"
#include "grid/gdal_start.h"
#include "outline/ogr_shape.h"

namespace zp {
namespace {

std::unique_ptr<OGRGeometry> squaresOf(const std::vector<Span>& pixels, const Grid& grid) {
  OGRMultiPolygon all;
  for (const auto& s : pixels) {
    OGRLinearRing ring;
    const std::pair<int, int> corners[] = {
        {s.from, s.row}, {s.to, s.row}, {s.to, s.row + 1}, {s.from, s.row + 1}};
    for (const auto& [column, row] : corners) {
      const Place p = grid.toMap(column, row);
      ring.addPoint(p.x, p.y);
    }
    ring.closeRings();
    OGRPolygon square;
    square.addRing(&ring);
    all.addGeometry(&square);
  }
  return std::unique_ptr<OGRGeometry>(all.UnionCascaded());
}

bool holds(const std::vector<Span>& pixels, Place at) {
  return std::any_of(pixels.begin(), pixels.end(), [&](const Span& s) {
    return at.y >= s.row && at.y < s.row + 1 && at.x >= s.from && at.x < s.to;
  });
}

Shape cut(const Shape& shape, const std::vector<Span>& pixels, const Grid& grid, bool inside) {
  Shape out;
  for (const auto& p : shape.points)
    if (holds(pixels, grid.toPixel(p)) == inside) out.points.push_back(p);
  if (shape.rings.empty() || pixels.empty()) {
    if (!inside) out.rings = shape.rings;
    return out;
  }
  GdalMessages messages;
  Shape rings;
  rings.rings = shape.rings;
  std::unique_ptr<OGRGeometry> whole = toGeometry(rings);
  if (!whole->IsValid()) whole.reset(whole->MakeValid());
  const auto squares = squaresOf(pixels, grid);
  if (whole == nullptr || squares == nullptr) throw Error("An area crosses itself; draw it anew.");
  const std::unique_ptr<OGRGeometry> part(inside ? whole->Intersection(squares.get())
                                                 : whole->Difference(squares.get()));
  if (part == nullptr) throw Error("An area could not be cut ({}).", messages.last());
  addGeometry(part.get(), out);
  return out;
}

}  // namespace

Shape outlineOf(const std::vector<Span>& pixels, const Grid& grid) {
  Shape out;
  if (!pixels.empty()) addGeometry(squaresOf(pixels, grid).get(), out);
  return out;
}

Shape cutTo(const Shape& shape, const std::vector<Span>& pixels, const Grid& grid) {
  return cut(shape, pixels, grid, true);
}

Shape cutAway(const Shape& shape, const std::vector<Span>& pixels, const Grid& grid) {
  return cut(shape, pixels, grid, false);
}

}  // namespace zp
