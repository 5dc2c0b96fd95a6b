#include "base/text.h"
#include "calls.h"
#include "file_step.h"
#include "outline/layer.h"

namespace zp {
namespace {

struct NamingArguments {
  std::string clusters, table, legend;
  OutputArguments output;
};

/// Columns cluster and code; a cluster without a code, or with 0, is left out.
Json namesIn(const std::string& file) {
  const Table table = readTable(file);
  const size_t cluster = table.column("cluster"), code = table.column("code");
  Json named = Json::object();
  for (size_t i = 0; i < table.rows.size(); ++i) {
    const std::string key = trimmed(table.rows[i][cluster]), value = trimmed(table.rows[i][code]);
    const std::string where = fmt::format("row {} of “{}”", i + 1, file);
    const int number = classCode(key, where);
    if (named.contains(std::to_string(number)))
      throw Error("Cluster {} stands twice in “{}”; give it one class.", number, file);
    named[std::to_string(number)] = value.empty() || value == "0" ? 0 : classCode(value, where);
  }
  return named;
}

Json runNaming(const NamingArguments& a, const Progress& progress) {
  const ClassMapArgument clusters(a.clusters);
  Outputs outputs(a.output.replace);
  const auto file = outputs.add(a.output.out, {clusters.file, fileOfLayer(a.table), a.legend});
  FileStep step("name-clusters");
  step.legend(readLegend(a.legend));
  step.product("clusters", clusters.file);
  step["names"] = namesIn(a.table);
  const auto made = step.run({a.output.out, file}, progress);
  outputs.commit();
  return {{"classes", made.facts.at("classes")}, {"outputs", names(outputs)}};
}

}  // namespace

namespace calls {

Call nameClusters(CLI::App& app) {
  auto* call = app.add_subcommand("name-clusters", "Class map from clusters and a table of names");
  auto a = std::make_shared<NamingArguments>();
  call->add_option("CLUSTERS", a->clusters, "Clusters that zpatch cluster made")->required();
  call->add_option("--table", a->table,
                   "Table with the columns cluster and code; without a code, or 0: left out")
      ->required();
  call->add_option("--legend", a->legend, "Legend with the classes")->required();
  a->output.addTo(*call, "Class map to write");
  return {call, [a](const Progress& progress) { return runNaming(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
