#include "accuracy/stratified_estimate.h"
#include "arguments.h"
#include "calls.h"
#include "legend/class_map.h"
#include "wrong_call.h"

namespace fs = std::filesystem;

namespace zp {
namespace calls {

Call matrix(CLI::App& app) {
  struct Arguments {
    std::string table, reference, mapped, strata;
    OutputArguments output;
  };
  auto* call = app.add_subcommand("matrix", "Confusion matrix of a table of points");
  auto a = std::make_shared<Arguments>();
  call->add_option("TABLE", a->table, "A CSV or vector layer")->required();
  call->add_option("--reference", a->reference, "Field with the reference label")->required();
  call->add_option("--mapped", a->mapped, "Field with the class of the map")->required();
  call->add_option("--strata", a->strata, "Class map the points were drawn on, to weight by area");
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
            const auto m = confusionMatrix(pairsFrom(table, a->mapped, a->reference), legend);
            Json json = toJson(m);
            if (strata) {
              std::map<int, double> mapped;
              for (const auto& c : classAreas(strata->file, {}, progress, strata->band))
                mapped[c.code] = c.area;
              if (!mapped.empty() && std::isnan(mapped.begin()->second))
                throw Error(
                    "“{}” has no reference system, so areas are not known; give it one "
                    "first.",
                    a->strata);
              const auto e = stratifiedEstimate(m, mapped);
              json["weighted"] = toJson(e);
              Json areas = Json::array();
              for (size_t i = 0; i < m.codes.size(); ++i)
                areas.push_back({{"code", m.codes[i]},
                                 {"area_m2", number(e.area[i].value)},
                                 {"interval", {number(e.area[i].low), number(e.area[i].high)}}});
              json["areas"] = areas;
            }
            if (!temporary.empty()) {
              writeFileAtomically(temporary, toCsv(toTable(m)));
              outputs.commit();
            }
            json["outputs"] = names(outputs);
            return json;
          }};
}

}  // namespace calls
}  // namespace zp
