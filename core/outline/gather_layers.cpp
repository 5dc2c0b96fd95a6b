#include "outline/gather_layers.h"

#include <algorithm>

#include "base/error.h"

namespace zp {
namespace {

/// For each column of a table the place it has in `all`, where new ones are added.
std::vector<size_t> placesOfColumns(const Table& table, Table& all) {
  std::vector<size_t> places;
  for (const auto& name : table.columns) {
    const auto at = std::find(all.columns.begin(), all.columns.end(), name);
    places.push_back(static_cast<size_t>(at - all.columns.begin()));
    if (at == all.columns.end()) all.columns.push_back(name);
  }
  return places;
}

}  // namespace

Layer gatherLayers(const std::vector<GatheredFrom>& from, const std::string& mark, bool shapes) {
  Layer all;
  all.name = "gathered";
  if (!mark.empty()) all.table.columns.push_back(mark);
  for (const auto& f : from) {
    Layer one;
    if (shapes)
      one = readLayer(f.name, all.crs);
    else
      one.table = readTable(f.name);
    if (all.crs.empty()) all.crs = one.crs;
    const auto& columns = one.table.columns;
    if (!mark.empty() && std::find(columns.begin(), columns.end(), mark) != columns.end())
      throw Error("“{}” has a column “{}” already; choose another name for where rows come from.",
                  f.name, mark);
    const auto places = placesOfColumns(one.table, all.table);
    for (auto& cells : one.table.rows) {
      std::vector<std::string> row(all.table.columns.size());
      if (!mark.empty()) row[0] = f.label;
      for (size_t c = 0; c < cells.size(); ++c) row[places[c]] = std::move(cells[c]);
      all.table.rows.push_back(std::move(row));
    }
    for (auto& shape : one.shapes) all.shapes.push_back(std::move(shape));
  }
  for (auto& row : all.table.rows) row.resize(all.table.columns.size());
  return all;
}

}  // namespace zp
