#include "outline/points_from_table.h"

#include <cmath>

#include "base/error.h"
#include "base/text.h"

namespace zp {
namespace {

/// Nothing for an empty cell.
std::optional<double> coordinateIn(const Table& table, size_t row, size_t column) {
  const std::string cell = trimmed(table.rows[row][column]);
  if (cell.empty()) return {};
  const auto value = parseNumber(cell);
  if (!value || !std::isfinite(*value))
    throw Error("“{}” in row {} of the column “{}” is no coordinate.", cell, row + 1,
                table.columns[column]);
  return value;
}

void requireDegrees(Place at, size_t row) {
  if (std::abs(at.x) <= 360 && std::abs(at.y) <= 90) return;
  throw Error(
      "Row {} lies at longitude {} and latitude {}, which there is not; are the columns "
      "exchanged, or is the system another?",
      row + 1, shortest(at.x), shortest(at.y));
}

}  // namespace

Layer pointsFrom(const Table& table, const Coordinates& at, size_t* leftOut) {
  const size_t x = table.column(at.x), y = table.column(at.y);
  if (x == y) throw Error("Both coordinates come from the column “{}”; name two.", at.x);
  Layer layer{"points", crsFrom(at.system), {table.columns, {}}, {}};
  const bool degrees = crsIsGeographic(layer.crs);
  for (size_t r = 0; r < table.rows.size(); ++r) {
    const auto east = coordinateIn(table, r, x), north = coordinateIn(table, r, y);
    if (!east || !north) continue;
    const Place place{*east, *north};
    if (degrees) requireDegrees(place, r);
    layer.table.rows.push_back(table.rows[r]);
    layer.shapes.push_back({{}, {place}});
  }
  if (layer.shapes.empty()) throw Error("No row has coordinates in “{}” and “{}”.", at.x, at.y);
  if (leftOut != nullptr) *leftOut = table.rows.size() - layer.shapes.size();
  return layer;
}

}  // namespace zp
