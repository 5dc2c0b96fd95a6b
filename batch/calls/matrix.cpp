#include "accuracy/matrix_table.h"
#include "calls.h"
#include "strata_arguments.h"

namespace fs = std::filesystem;

namespace zp {
namespace calls {

Call matrix(CLI::App& app) {
  struct Arguments {
    std::string table, reference, mapped;
    bool turned = false;
    StrataArguments strata;
    OutputArguments output;
  };
  auto* call = app.add_subcommand("matrix", "Confusion matrix of a table of points");
  auto a = std::make_shared<Arguments>();
  call->add_option("TABLE", a->table, "A CSV or vector layer")->required();
  call->add_option("--reference", a->reference, "Field with the reference label")->required();
  call->add_option("--mapped", a->mapped, "Field with the class of the map")->required();
  a->strata.addTo(*call, "that of --mapped");
  call->add_flag("--turned", a->turned, "In the CSV, rows are the reference and columns the map");
  a->output.addTo(*call, "CSV to write", false);
  return {call, [a](const Progress& progress) {
            Outputs outputs(a->output.replace);
            fs::path temporary;
            if (!a->output.out.empty())
              temporary = outputs.add(a->output.out, {fileOfLayer(a->table)});
            const Table table = readTable(a->table);
            const auto pairs = pairsFrom(table, a->mapped, a->reference);
            const auto m = confusionMatrix(pairs, a->strata.legend());
            const Assessment counts = assessCounts(m);
            std::optional<Assessment> weighted;
            double whole = 0;
            if (a->strata.given()) {
              const auto areas = a->strata.areas(progress);
              for (const auto& [code, area] : areas) whole += area;
              const auto drawnIn = a->strata.drawnIn(table, a->mapped);
              std::vector<DrawnPoint> points;
              for (size_t i = 0; i < pairs.size(); ++i)
                points.push_back({drawnIn[i], pairs[i].mapped, pairs[i].reference});
              weighted = assessByStrata(m, points, areas);
            }
            if (!temporary.empty()) {
              const Assessment& shown = weighted ? *weighted : counts;
              writeFileAtomically(temporary, toCsv(toTable(m, shown, {a->turned, true})));
              outputs.commit();
            }
            Json json = told(m, counts, weighted, whole);
            json["outputs"] = names(outputs);
            return json;
          }};
}

}  // namespace calls
}  // namespace zp
