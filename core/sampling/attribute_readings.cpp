#include "sampling/attribute_readings.h"

#include <algorithm>

#include "base/error.h"
#include "base/text.h"
#include "grid/crs.h"
#include "sampling/readings.h"

namespace zp {
namespace {

Layer inSystemOf(const Layer& other, Layer points) {
  const CrsChange change(points.crs, other.crs);
  for (auto& shape : points.shapes)
    if (!shape.bring(change)) shape = {};
  points.crs = other.crs;
  return points;
}

Matches matchesOf(const Layer& points, const Layer& other, Attributes which,
                  const Progress& progress) {
  PlaceMatch how;
  if (which == Attributes::OfNearest) how.relation = PlaceRelation::Nearest;
  return matchByPlace(points, other, how, progress);
}

}  // namespace

AttributeReadings readAttributesAt(const Layer& points, const Layer& other, const std::string& name,
                                   Attributes which, const std::vector<std::string>& taken,
                                   const Progress& progress) {
  if (std::all_of(other.shapes.begin(), other.shapes.end(),
                  [](const Shape& s) { return s.empty(); }))
    throw Error("“{}” has no places, so nothing of it can be read.", name);
  if (which == Attributes::OfPolygonAround &&
      std::all_of(other.shapes.begin(), other.shapes.end(),
                  [](const Shape& s) { return s.rings.empty(); }))
    throw Error("“{}” has no polygons for a point to lie in; read its nearest instead.", name);
  const bool degrees = !points.crs.empty() && crsIsGeographic(points.crs) && !other.crs.empty() &&
                       !crsIsGeographic(other.crs);
  const bool moved = which == Attributes::OfNearest && degrees;
  const Layer there = moved ? inSystemOf(other, points) : Layer();
  const Layer& measured = moved ? there : points;
  const Matches matches = matchesOf(measured, other, which, progress);
  AttributeReadings out;
  std::vector<std::string> all = taken;
  const auto add = [&](const std::string& column) {
    all.push_back(columnBeside(name + " " + column, all));
    out.columns.push_back(all.back());
  };
  for (const auto& column : other.table.columns) add(column);
  if (which == Attributes::OfNearest) {
    add("distance");
    out.distance = out.columns.back();
  }
  const bool projected = !measured.crs.empty() && !crsIsGeographic(measured.crs);
  const double metres = projected ? crsMetresPerUnit(measured.crs) : 1;
  for (size_t p = 0; p < points.shapes.size(); ++p) {
    const auto& rows = matches.rows[p];
    out.none += rows.empty() ? 1 : 0;
    out.several += rows.size() > 1 ? 1 : 0;
    std::vector<std::string> cells;
    if (!rows.empty()) cells = other.table.rows[rows[0]];
    cells.resize(other.table.columns.size());
    if (which == Attributes::OfNearest)
      cells.push_back(rows.empty() ? "" : shortest(matches.measures[p][0] * metres));
    out.rows.push_back(std::move(cells));
  }
  return out;
}

void appendTo(Table& table, const AttributeReadings& readings) {
  table.columns.insert(table.columns.end(), readings.columns.begin(), readings.columns.end());
  for (size_t r = 0; r < table.rows.size(); ++r)
    table.rows[r].insert(table.rows[r].end(), readings.rows[r].begin(), readings.rows[r].end());
}

}  // namespace zp
