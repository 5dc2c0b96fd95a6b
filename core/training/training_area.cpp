#include "training/training_area.h"

#include <fmt/format.h>

#include <algorithm>
#include <map>

#include "base/error.h"
#include "base/text.h"
#include "outline/shape_json.h"

namespace zp {

namespace {

/// Of the class with this name; the next free one for a name that is new.
int codeOf(const std::string& name, Legend& names) {
  if (name.empty()) throw Error("A shape has no class name; choose another field.");
  for (const auto& c : names.classes)
    if (lowered(c.name) == lowered(name)) return c.code;
  const int code = names.firstFreeCode();
  names.addMissing(code, name);
  return code;
}

}  // namespace

std::vector<FoundClass> foundClasses(const std::vector<TrainingArea>& areas, const Legend& known) {
  std::map<int, FoundClass> found;
  for (const auto& a : areas) {
    const auto* c = known.find(a.code);
    auto& one =
        found.try_emplace(a.code, FoundClass{a.code, a.className, 0, c != nullptr}).first->second;
    if (c != nullptr) one.name = c->name;
    ++one.shapes;
  }
  std::vector<FoundClass> all;
  for (auto& [code, one] : found) all.push_back(std::move(one));
  return all;
}

Json toJson(const std::vector<TrainingArea>& areas) {
  Json json = Json::array();
  for (const auto& a : areas) {
    json.push_back({{"code", a.code},
                    {"class", a.className},
                    {"subclass", a.subclass},
                    {"shape", shapeJson(a.shape)}});
    if (!a.note.empty()) json.back()["note"] = a.note;
    if (a.lookAgain) json.back()["look_again"] = true;
  }
  return json;
}

std::vector<TrainingArea> trainingAreasFrom(const Json& json) {
  std::vector<TrainingArea> areas;
  for (const auto& a : json)
    areas.push_back({a.at("code"), a.value("class", ""), a.value("subclass", ""),
                     shapeFrom(a.at("shape")), a.value("note", ""), a.value("look_again", false)});
  return areas;
}

std::vector<TrainingArea> readTrainingAreas(const std::string& name, const TrainingFields& fields,
                                            const std::string& crs, const Legend& known) {
  if (crs.empty())
    throw Error(
        "The scene has no reference system, so training areas cannot be placed on it; give "
        "it one first.");
  const Layer layer = readLayer(name, crs);
  const auto& t = layer.table;
  if (fields.code.empty() && fields.name.empty())
    throw Error("Choose the field with the class code or the class name.");
  const auto optional = [&](const std::string& column) {
    return column.empty() ? t.columns.size() : t.column(column);
  };
  const size_t code = optional(fields.code), className = optional(fields.name),
               subclass = optional(fields.subclass);
  Legend names = known;
  std::vector<TrainingArea> areas;
  for (size_t r = 0; r < t.rows.size(); ++r) {
    if (layer.shapes[r].rings.empty() && layer.shapes[r].points.empty()) continue;
    const auto& row = t.rows[r];
    TrainingArea a;
    if (className < row.size()) a.className = row[className];
    a.code = code < row.size() ? classCode(row[code], fmt::format("row {} of “{}”", r + 1, name))
                               : codeOf(a.className, names);
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
  layer.table.columns = {"code", "class", "subclass", "note"};
  for (const auto& a : areas) {
    layer.table.rows.push_back({std::to_string(a.code), a.className, a.subclass, a.note});
    layer.shapes.push_back(a.shape);
  }
  return layer;
}

Legend legendOf(const std::vector<TrainingArea>& areas, Legend known) {
  for (const auto& a : areas) {
    known.addMissing(a.code, a.className);
    auto& parts = known.find(a.code)->subclasses;
    const Subclass part{a.subclass};
    if (!part.name.empty() && std::find(parts.begin(), parts.end(), part) == parts.end())
      parts.push_back(part);
  }
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
      out.claimedTwice.push_back({row, edges[i], edges[i + 1]});
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
