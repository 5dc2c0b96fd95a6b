#include <cpl_quad_tree.h>
#include <ogr_geometry.h>

#include <algorithm>
#include <cmath>
#include <deque>
#include <limits>
#include <memory>

#include "base/error.h"
#include "grid/crs.h"
#include "grid/gdal_start.h"
#include "outline/ogr_shape.h"
#include "sampling/join_tables.h"

namespace zp {
namespace {

using Geometry = std::unique_ptr<OGRGeometry>;

/// As a geometry that can be measured; none for a row without a shape, or one that cannot be
/// mended.
Geometry geometryOf(const Shape& shape) {
  if (shape.empty()) return nullptr;
  Geometry g = toGeometry(shape);
  if (g != nullptr && !shape.rings.empty() && !g->IsValid()) g.reset(g->MakeValid());
  return g;
}

CPLRectObj boundsOf(const OGRGeometry& g) {
  OGREnvelope e;
  g.getEnvelope(&e);
  return {e.MinX, e.MinY, e.MaxX, e.MaxY};
}

/// The shapes of a layer, to be found by where they lie.
class Places {
 public:
  explicit Places(const Layer& layer) {
    CPLRectObj all{INFINITY, INFINITY, -INFINITY, -INFINITY};
    for (const auto& shape : layer.shapes) {
      shapes_.push_back({geometryOf(shape), {}, shapes_.size()});
      Entry& e = shapes_.back();
      if (e.geometry == nullptr) continue;
      e.bounds = boundsOf(*e.geometry);
      all = {std::min(all.minx, e.bounds.minx), std::min(all.miny, e.bounds.miny),
             std::max(all.maxx, e.bounds.maxx), std::max(all.maxy, e.bounds.maxy)};
      any_ = true;
    }
    if (!any_) return;
    bounds_ = all;
    tree_.reset(CPLQuadTreeCreate(&all, [](const void* one, CPLRectObj* bounds) {
      *bounds = static_cast<const Entry*>(one)->bounds;
    }));
    for (auto& e : shapes_)
      if (e.geometry != nullptr) CPLQuadTreeInsert(tree_.get(), &e);
  }

  std::vector<size_t> near(const CPLRectObj& bounds) const {
    std::vector<size_t> found;
    if (!any_) return found;
    int n = 0;
    void** hits = CPLQuadTreeSearch(tree_.get(), &bounds, &n);
    for (int i = 0; i < n; ++i) found.push_back(static_cast<Entry*>(hits[i])->row);
    CPLFree(hits);
    std::sort(found.begin(), found.end());
    return found;
  }
  const OGRGeometry* at(size_t row) const { return shapes_[row].geometry.get(); }
  const CPLRectObj& bounds() const { return bounds_; }
  bool any() const { return any_; }

 private:
  struct Entry {
    Geometry geometry;
    CPLRectObj bounds;
    size_t row;
  };
  struct Destroy {
    void operator()(CPLQuadTree* tree) const { CPLQuadTreeDestroy(tree); }
  };
  std::deque<Entry> shapes_;  // the tree points to them
  std::unique_ptr<CPLQuadTree, Destroy> tree_;
  CPLRectObj bounds_{0, 0, 0, 0};
  bool any_ = false;
};

double areaOf(const OGRGeometry& g) {
  if (const auto* parts = dynamic_cast<const OGRGeometryCollection*>(&g)) return parts->get_Area();
  if (const auto* one = dynamic_cast<const OGRPolygon*>(&g)) return one->get_Area();
  return 0;
}

struct Found {
  size_t row;
  double measure;
};

std::vector<Found> around(const OGRGeometry& g, const Places& others) {
  std::vector<Found> found;
  for (const size_t r : others.near(boundsOf(g)))
    if (others.at(r)->Contains(&g) ||
        (wkbFlatten(g.getGeometryType()) == wkbPoint && others.at(r)->Intersects(&g)))
      found.push_back({r, 0});
  return found;
}

std::vector<Found> overlapping(const OGRGeometry& g, const Places& others, double least) {
  std::vector<Found> found;
  const double area = areaOf(g);
  if (!(area > 0)) return found;
  for (const size_t r : others.near(boundsOf(g))) {
    const Geometry both(others.at(r)->Intersection(&g));
    const double share = both == nullptr ? 0 : areaOf(*both) / area;
    if (share > least) found.push_back({r, std::min(1.0, share)});
  }
  std::stable_sort(found.begin(), found.end(),
                   [](const Found& a, const Found& b) { return a.measure > b.measure; });
  return found;
}

/// Looks farther and farther until what is found cannot be beaten by what is not.
std::vector<Found> nearest(const OGRGeometry& g, const Places& others,
                           const std::optional<double>& farthest) {
  const CPLRectObj own = boundsOf(g), all = others.bounds();
  const double whole = std::max({all.maxx, own.maxx}) - std::min({all.minx, own.minx}) +
                       std::max({all.maxy, own.maxy}) - std::min({all.miny, own.miny});
  std::vector<Found> found;
  for (double reach = std::max(whole / 256, 1e-9);; reach *= 4) {
    double best = std::numeric_limits<double>::infinity();
    for (const size_t r :
         others.near({own.minx - reach, own.miny - reach, own.maxx + reach, own.maxy + reach})) {
      const double d = others.at(r)->Distance(&g);
      if (d < 0 || d > best) continue;
      if (d < best) found.clear();
      best = d;
      found.push_back({r, d});
    }
    if (best <= reach || reach > whole) break;
    found.clear();
  }
  if (farthest && !found.empty() && found[0].measure > *farthest) found.clear();
  return found;
}

bool hasPolygons(const Layer& layer) {
  return std::any_of(layer.shapes.begin(), layer.shapes.end(),
                     [](const Shape& s) { return !s.rings.empty(); });
}

void check(const Layer& one, const Layer& other, const PlaceMatch& how) {
  if (one.crs.empty() != other.crs.empty())
    throw Error("One of the layers names no reference system, so it is not known where they meet.");
  if (how.relation != PlaceRelation::Nearest && !hasPolygons(other))
    throw Error("The other layer has no polygons; ask for the nearest, or give polygons.");
  if (how.relation == PlaceRelation::Overlap && !hasPolygons(one))
    throw Error("Points overlap nothing; ask for the polygon that each lies within.");
  if (how.relation == PlaceRelation::Nearest && !one.crs.empty() && crsIsGeographic(one.crs))
    throw Error("Distances in degrees tell nothing; give the first layer in a system in metres.");
}

Layer broughtTo(Layer layer, const std::string& crs) {
  if (crs.empty() || layer.crs.empty()) return layer;
  const CrsChange change(layer.crs, crs);
  for (auto& shape : layer.shapes)
    if (!shape.bring(change)) shape = {};  // it has no place there
  return layer;
}

}  // namespace

Matches matchByPlace(const Layer& one, const Layer& other, const PlaceMatch& how,
                     const Progress& progress) {
  startGdal();
  check(one, other, how);
  GdalMessages messages;
  const Places others(broughtTo(other, one.crs));
  Matches matches;
  if (how.relation == PlaceRelation::Overlap) matches.measure = "share";
  if (how.relation == PlaceRelation::Nearest) matches.measure = "distance";
  for (size_t i = 0; i < one.shapes.size(); ++i) {
    if (i % 256 == 0) progress.at(static_cast<double>(i) / static_cast<double>(one.shapes.size()));
    const Geometry g = geometryOf(one.shapes[i]);
    std::vector<Found> found;
    if (g != nullptr && others.any())
      found = how.relation == PlaceRelation::Within    ? around(*g, others)
              : how.relation == PlaceRelation::Overlap ? overlapping(*g, others, how.leastShare)
                                                       : nearest(*g, others, how.farthest);
    auto& rows = matches.rows.emplace_back();
    auto& measures = matches.measures.emplace_back();
    for (const auto& f : found) {
      rows.push_back(f.row);
      measures.push_back(f.measure);
    }
  }
  return matches;
}

}  // namespace zp
