#include "training/training_area.h"

#include <fmt/format.h>

#include <algorithm>
#include <map>

#include "base/error.h"

namespace zp {

std::vector<TrainingArea> readTrainingAreas(const std::string& name, const TrainingFields& fields,
                                            const std::string& crs) {
  if (crs.empty())
    throw Error(
        "The scene has no reference system, so training areas cannot be placed on it; give "
        "it one first.");
  const Layer layer = readLayer(name, crs);
  const auto& t = layer.table;
  const size_t code = t.column(fields.code);
  const auto optional = [&](const std::string& column) {
    return column.empty() ? t.columns.size() : t.column(column);
  };
  const size_t className = optional(fields.name), subclass = optional(fields.subclass);
  std::vector<TrainingArea> areas;
  for (size_t r = 0; r < t.rows.size(); ++r) {
    if (layer.shapes[r].rings.empty() && layer.shapes[r].points.empty()) continue;
    const auto& row = t.rows[r];
    TrainingArea a;
    a.code = classCode(row[code], fmt::format("row {} of “{}”", r + 1, name));
    if (className < row.size()) a.className = row[className];
    if (subclass < row.size()) a.subclass = row[subclass];
    a.shape = layer.shapes[r];
    areas.push_back(std::move(a));
  }
  if (areas.empty())
    throw Error("“{}” holds no polygons or points; choose a layer with shapes.", name);
  return areas;
}

Layer toLayer(const std::vector<TrainingArea>& areas, const std::string& crs) {
  Layer layer;
  layer.name = "training";
  layer.crs = crs;
  layer.table.columns = {"code", "class", "subclass"};
  for (const auto& a : areas) {
    layer.table.rows.push_back({std::to_string(a.code), a.className, a.subclass});
    layer.shapes.push_back(a.shape);
  }
  return layer;
}

Legend legendOf(const std::vector<TrainingArea>& areas, Legend known) {
  for (const auto& a : areas) known.addMissing(a.code, a.className);
  return known;
}

namespace {

using Run = LabelledPixels::Run;

/// Cuts the overlapping spans of one row into pieces with one class each.
void resolveRow(int row, const std::vector<Run>& spans, LabelledPixels& out) {
  std::vector<int> edges;
  for (const auto& s : spans) edges.push_back(s.from), edges.push_back(s.to);
  std::sort(edges.begin(), edges.end());
  edges.erase(std::unique(edges.begin(), edges.end()), edges.end());
  for (size_t i = 0; i + 1 < edges.size(); ++i) {
    int code = 0;
    size_t area = 0;
    bool conflict = false;
    for (const auto& s : spans) {
      if (s.from > edges[i] || s.to <= edges[i]) continue;
      conflict = conflict || (code != 0 && s.code != code);
      if (code == 0) area = s.area;
      code = s.code;
    }
    const auto length = static_cast<size_t>(edges[i + 1] - edges[i]);
    if (conflict) {
      out.conflicts += length;
    } else if (code != 0) {
      out.pixels += length;
      out.runs.push_back({row, edges[i], edges[i + 1], code, area});
    }
  }
}

}  // namespace

LabelledPixels labelPixels(const std::vector<TrainingArea>& areas, const Grid& grid) {
  LabelledPixels out;
  std::map<int, std::vector<Run>> rows;
  for (size_t i = 0; i < areas.size(); ++i) {
    const auto& a = areas[i];
    auto spans = pixelsInside(a.shape, grid);
    const auto points = pixelsOfPoints(a.shape, grid);
    spans.insert(spans.end(), points.begin(), points.end());
    if (spans.empty()) ++out.outside;
    for (const auto& s : spans) rows[s.row].push_back({s.row, s.from, s.to, a.code, i});
  }
  for (const auto& [row, spans] : rows) resolveRow(row, spans, out);
  return out;
}

}  // namespace zp
