#include "accuracy/matrix_table.h"
#include "arguments.h"
#include "calls.h"
#include "legend/class_map.h"
#include "wrong_call.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

std::map<int, double> mappedAreas(const ClassMapArgument& map, const std::string& said,
                                  const Progress& progress) {
  std::map<int, double> areas;
  for (const auto& c : classAreas(map.file, {}, progress, map.band)) areas[c.code] = c.area;
  if (!areas.empty() && std::isnan(areas.begin()->second))
    throw Error("“{}” has no reference system, so areas are not known; give it one first.", said);
  return areas;
}

/// Points that were drawn in the classes of the map they judge.
std::vector<DrawnPoint> drawnIn(const std::vector<MapAndReference>& pairs) {
  std::vector<DrawnPoint> points;
  for (const auto& p : pairs) points.push_back({p.mapped, p.mapped, p.reference});
  return points;
}

Json areasOf(const ConfusionMatrix& m, const Assessment& a, const std::map<int, double>& sizes) {
  double whole = 0;
  for (const auto& [code, size] : sizes) whole += size;
  Json areas = Json::array();
  for (size_t i = 0; i < m.codes.size(); ++i) {
    const Estimate& e = a.area[i];
    areas.push_back({{"code", m.codes[i]},
                     {"area_m2", number(e.value * whole)},
                     {"interval", {number(e.low * whole), number(e.high * whole)}},
                     {"error_m2", number(e.error * whole)}});
  }
  return areas;
}

}  // namespace

namespace calls {

Call matrix(CLI::App& app) {
  struct Arguments {
    std::string table, reference, mapped, strata;
    bool turned = false;
    OutputArguments output;
  };
  auto* call = app.add_subcommand("matrix", "Confusion matrix of a table of points");
  auto a = std::make_shared<Arguments>();
  call->add_option("TABLE", a->table, "A CSV or vector layer")->required();
  call->add_option("--reference", a->reference, "Field with the reference label")->required();
  call->add_option("--mapped", a->mapped, "Field with the class of the map")->required();
  call->add_option("--strata", a->strata, "Class map the points were drawn on, to weight by area");
  call->add_flag("--turned", a->turned, "In the CSV, rows are the reference and columns the map");
  a->output.addTo(*call, "CSV to write", false);
  return {call, [a](const Progress& progress) {
            Outputs outputs(a->output.replace);
            fs::path temporary;
            if (!a->output.out.empty())
              temporary = outputs.add(a->output.out, {fileOfLayer(a->table)});
            const Table table = readTable(a->table);
            Legend legend;
            std::optional<ClassMapArgument> strata;
            if (!a->strata.empty()) {
              strata.emplace(a->strata);
              legend = legendOf(RasterFile(strata->file), strata->band);
            }
            const auto pairs = pairsFrom(table, a->mapped, a->reference);
            const auto m = confusionMatrix(pairs, legend);
            Json json = toJson(m);
            Assessment shown = assessCounts(m);
            json.update(toJson(shown));
            if (strata) {
              const auto sizes = mappedAreas(*strata, a->strata, progress);
              shown = assessByStrata(m, drawnIn(pairs), sizes);
              json["weighted"] = toJson(shown);
              json["areas"] = areasOf(m, shown, sizes);
            }
            if (!temporary.empty()) {
              writeFileAtomically(temporary, toCsv(toTable(m, shown, {a->turned, true})));
              outputs.commit();
            }
            json["outputs"] = names(outputs);
            return json;
          }};
}

}  // namespace calls
}  // namespace zp
