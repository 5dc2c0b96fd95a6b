#include "strata_arguments.h"

#include <cmath>

#include "legend/class_map.h"

namespace zp {

void StrataArguments::addTo(CLI::App& app, const char* mapped) {
  auto* map =
      app.add_option("--strata", strata, "Class map the points were drawn on, to weight by area");
  app.add_option(
         "--stratum", stratum,
         std::string("Field with the class each point was drawn in (default: ") + mapped + ")")
      ->needs(map);
}

Legend StrataArguments::legend() const {
  if (!given()) return {};
  const ClassMapArgument map(strata);
  return legendOf(RasterFile(map.file), map.band);
}

std::map<int, double> StrataArguments::areas(const Progress& progress) const {
  const ClassMapArgument map(strata);
  std::map<int, double> areas;
  for (const auto& c : classAreas(map.file, {}, progress, map.band)) areas[c.code] = c.area;
  if (!areas.empty() && std::isnan(areas.begin()->second))
    throw Error("“{}” has no reference system, so areas are not known; give it one first.", strata);
  return areas;
}

std::vector<int> StrataArguments::drawnIn(const Table& table, const std::string& mapped) const {
  std::vector<int> strata_;
  const std::string& field = stratum.empty() ? mapped : stratum;
  for (const auto& p : pairsFrom(table, field, field)) strata_.push_back(p.mapped);
  return strata_;
}

Assessed assessed(const std::vector<DrawnPoint>& points, const Legend& legend,
                  const std::map<int, double>& areas) {
  std::vector<MapAndReference> pairs;
  for (const auto& p : points) pairs.push_back({p.mapped, p.reference});
  const auto matrix = confusionMatrix(pairs, legend);
  Assessed out{matrix, assessCounts(matrix)};
  for (const auto& [code, area] : areas) out.whole += area;
  if (!areas.empty()) out.weighted = assessByStrata(matrix, points, areas, legend);
  return out;
}

Assessed assessed(const Table& table, const std::string& mapped, const std::string& reference,
                  const StrataArguments& strata, const Progress& progress) {
  const auto pairs = pairsFrom(table, mapped, reference);
  const auto drawnIn =
      strata.given() ? strata.drawnIn(table, mapped) : std::vector<int>(pairs.size());
  std::vector<DrawnPoint> points;
  for (size_t i = 0; i < pairs.size(); ++i)
    points.push_back({drawnIn[i], pairs[i].mapped, pairs[i].reference});
  return assessed(points, strata.legend(),
                  strata.given() ? strata.areas(progress) : std::map<int, double>{});
}

Json told(const Assessed& assessed) {
  const auto& [m, counts, weighted, whole] = assessed;
  Json json = toJson(m);
  json.update(toJson(counts));
  if (!weighted) return json;
  json["weighted"] = toJson(*weighted);
  Json areas = Json::array();
  for (size_t i = 0; i < m.codes.size(); ++i) {
    const Estimate& e = weighted->area[i];
    areas.push_back({{"code", m.codes[i]},
                     {"area_m2", number(e.value * whole)},
                     {"interval", {number(e.low * whole), number(e.high * whole)}},
                     {"error_m2", number(e.error * whole)}});
  }
  json["areas"] = areas;
  return json;
}

}  // namespace zp
