#include <fmt/format.h>

#include "base/text.h"
#include "calls.h"
#include "legend/class_map.h"
#include "legend/gather_maps.h"
#include "outline/field_types.h"
#include "outline/gather_layers.h"
#include "table_output.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

struct GatherArguments {
  std::vector<std::string> files;
  std::string from, column, mark;
  OutputArguments output;
};

struct Sources {
  std::vector<GatheredFrom> all;
  size_t leftOut = 0;  // rows of the table of results that made nothing
};

Sources sourcesOf(const GatherArguments& a) {
  Sources sources;
  for (const auto& f : a.files) sources.all.push_back({f, f});
  if (a.from.empty()) return sources;
  const Table table = readTable(a.from);
  const size_t column = table.column(a.column);
  const auto id = std::find(table.columns.begin(), table.columns.end(), "id");
  for (const auto& row : table.rows) {
    if (row[column].empty()) {
      ++sources.leftOut;
      continue;
    }
    // As it stands in the table, or below the folder that the table is in.
    const fs::path file = fs::absolute(a.from).parent_path() / row[column];
    sources.all.push_back(
        {file.string(), id == table.columns.end()
                            ? row[column]
                            : row[static_cast<size_t>(id - table.columns.begin())]});
  }
  if (sources.all.empty())
    throw Error("The table “{}” names no file under “{}”.", a.from, a.column);
  return sources;
}

Json gatherRasters(const GatherArguments& a, const Sources& sources, const Progress& progress) {
  if (!a.mark.empty())
    throw CLI::ValidationError("--mark",
                               "--mark is for tables; the pixels of maps are not marked.");
  std::vector<fs::path> files;
  for (const auto& s : sources.all) files.emplace_back(s.name);
  Outputs outputs(a.output.replace);
  const auto made = gatherMaps(files, outputs.add(a.output.out, files), progress);
  outputs.commit();
  Json json = {{"files", files.size()},
               {"left_out", sources.leftOut},
               {"width", made.grid.width},
               {"height", made.grid.height}};
  if (!made.legend.classes.empty()) json["classes"] = toJson(classAreas(a.output.out));
  json["outputs"] = names(outputs);
  return json;
}

Json gatherTables(const GatherArguments& a, const Sources& sources) {
  std::vector<fs::path> files;
  for (const auto& s : sources.all) files.push_back(fileOfLayer(s.name));
  Outputs outputs(a.output.replace);
  const auto file = outputs.add(a.output.out, files);
  const Layer all = gatherLayers(sources.all, a.mark, !isCsv(a.output.out));
  if (isCsv(a.output.out))
    writeFileAtomically(file, toCsv(all.table));
  else
    writeLayer(file, a.output.out, all, typesOf(all.table));
  outputs.commit();
  return {{"files", files.size()},
          {"left_out", sources.leftOut},
          {"rows", all.table.rows.size()},
          {"columns", all.table.columns},
          {"outputs", names(outputs)}};
}

}  // namespace

namespace calls {

Call gather(CLI::App& app) {
  auto* call = app.add_subcommand("gather", "Tables below each other, or adjoining maps as one");
  auto a = std::make_shared<GatherArguments>();
  call->add_option("FILES", a->files,
                   "Tables and layers, or class maps, or rasters of a quantity on one lattice; the "
                   "first that has a value at a pixel is what counts there");
  auto* from = call->add_option("--from", a->from,
                                "A table that names the files, such as results.csv of zpatch run");
  auto* column = call->add_option("--column", a->column, "Its column that names them")->needs(from);
  from->needs(column);
  call->add_option(
      "--mark", a->mark,
      "Column to add that tells where a row comes from: the id beside the file's name, "
      "else the file");
  a->output.addTo(*call, "File to write: a table, a layer or a GeoTIFF, by its ending");
  call->callback([a] {
    if (a->files.empty() && a->from.empty()) throw CLI::RequiredError("FILES or --from");
  });
  return {call, [a](const Progress& progress) {
            const Sources sources = sourcesOf(*a);
            return looksLikeRaster(a->output.out) ? gatherRasters(*a, sources, progress)
                                                  : gatherTables(*a, sources);
          }};
}

}  // namespace calls
}  // namespace zp
