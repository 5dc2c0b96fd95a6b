#include "accuracy/reference_from.h"

#include <algorithm>
#include <cmath>
#include <set>

#include "base/text.h"
#include "sampling/join_tables.h"
#include "sampling/readings.h"

namespace zp {

std::vector<std::string> saidByRaster(const std::vector<Place>& places, const std::string& crs,
                                      const std::filesystem::path& map, const Progress& progress) {
  const Readings codes = readAt(places, crs, {{map, 1, "map"}}, progress);
  std::vector<std::string> said;
  for (const double code : codes.values[0])
    said.push_back(std::isnan(code) || code == 0 ? "" : shortest(code));
  return said;
}

std::vector<std::string> saidByPolygons(const std::vector<Place>& places, const std::string& crs,
                                        const Layer& polygons, const std::string& column,
                                        const Progress& progress) {
  const size_t c = polygons.table.column(column);
  Layer points{"points", crs, {}, {}};
  for (const auto& p : places) points.shapes.push_back({{}, {p}});
  points.table.rows.resize(places.size());
  const Matches matches = matchByPlace(points, polygons, {}, progress);
  std::vector<std::string> said(places.size());
  for (size_t i = 0; i < places.size(); ++i)
    if (!matches.rows[i].empty()) said[i] = polygons.table.rows[matches.rows[i][0]][c];
  return said;
}

int classSaid(const std::string& cell, const std::map<std::string, int>& match,
              const Legend& legend) {
  if (const auto at = match.find(cell); at != match.end()) return at->second;
  for (const auto& c : legend.classes)
    if (lowered(trimmed(c.name)) == lowered(trimmed(cell))) return c.code;
  const auto number = parseNumber(trimmed(cell));
  if (!number || *number != std::floor(*number) || *number < 1 || *number > 65535) return 0;
  return legend.find(static_cast<int>(*number)) != nullptr ? static_cast<int>(*number) : 0;
}

namespace {

/// The two fields of a line; the second may hold what parts fields itself.
std::pair<std::string, std::string> fieldsOf(const std::string& line) {
  for (const char separator : {'\t', ';', ','})
    if (const size_t at = line.find(separator); at != std::string::npos) {
      std::string cell = trimmed(line.substr(at + 1));
      if (cell.size() > 1 && cell.front() == '"' && cell.back() == '"')
        cell = cell.substr(1, cell.size() - 2);
      return {trimmed(line.substr(0, at)), cell};
    }
  return {trimmed(line), ""};
}

}  // namespace

ListedLabels labelsInList(const std::string& text, const Labelling& labelling,
                          const Legend& legend) {
  std::set<long long> ids;
  for (const auto& p : labelling.points()) ids.insert(p.id);
  ListedLabels out;
  for (const auto& line : split(text, '\n')) {
    if (trimmed(line).empty()) continue;
    const auto [id, cell] = fieldsOf(line);
    const auto number = parseInteger(id);
    if (!number) {
      ++out.otherLines;
    } else if (ids.count(*number) == 0) {
      ++out.otherPoints;
    } else if (const int code = classSaid(cell, {}, legend); code != 0) {
      out.labels[static_cast<int>(*number)] = code;
    } else if (!cell.empty() && std::find(out.otherClasses.begin(), out.otherClasses.end(), cell) ==
                                    out.otherClasses.end()) {
      out.otherClasses.push_back(cell);
    }
  }
  return out;
}

}  // namespace zp
