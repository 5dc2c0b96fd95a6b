#include "accuracy/matrix_table.h"
#include "accuracy/typed_matrix.h"
#include "arguments.h"
#include "base/text_file.h"
#include "calls.h"
#include "strata_arguments.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

constexpr size_t kMostText = 1 << 20;  // bytes of a matrix

struct MatrixArguments {
  std::string table, reference, mapped;
  bool turned = false, counts = false, columnsAreMap = false;
  StrataArguments strata;
  OutputArguments output;
};

Assessed ofCounts(const MatrixArguments& a) {
  const TypedMatrix typed = typedMatrix(textOfFile(a.table, kMostText), a.columnsAreMap);
  Assessed out{typed.matrix, assessCounts(typed.matrix)};
  for (const auto& [code, area] : typed.areas) out.whole += area;
  if (!typed.areas.empty()) out.weighted = assess(typed);
  return out;
}

Json runMatrix(const MatrixArguments& a, const Progress& progress) {
  Outputs outputs(a.output.replace);
  fs::path temporary;
  if (!a.output.out.empty()) temporary = outputs.add(a.output.out, {fileOfLayer(a.table)});
  const Assessed found =
      a.counts ? ofCounts(a)
               : assessed(readTable(a.table), a.mapped, a.reference, a.strata, progress);
  if (!temporary.empty()) {
    writeFileAtomically(temporary, toCsv(toTable(found.matrix, found.first(), {a.turned, true})));
    outputs.commit();
  }
  Json json = told(found);
  json["outputs"] = names(outputs);
  return json;
}

}  // namespace

namespace calls {

Call matrix(CLI::App& app) {
  auto* call =
      app.add_subcommand("matrix", "Confusion matrix of a table of points, or a ready one");
  auto a = std::make_shared<MatrixArguments>();
  call->add_option("TABLE", a->table,
                   "A CSV or vector layer of points; with --counts a matrix as text")
      ->required();
  auto* reference = call->add_option("--reference", a->reference, "Field with the reference label");
  auto* mapped = call->add_option("--mapped", a->mapped, "Field with the class of the map");
  auto* counts = call->add_flag("--counts", a->counts,
                                "TABLE is a matrix of points: a row a class of the map, a column a "
                                "class of the reference; a column “area” weighs its rows");
  counts->excludes(reference)->excludes(mapped);
  call->add_flag("--columns-are-map", a->columnsAreMap,
                 "With --counts: columns are the map, rows the reference")
      ->needs(counts);
  a->strata.addTo(*call, "that of --mapped");
  call->add_flag("--turned", a->turned, "In the CSV, rows are the reference and columns the map");
  a->output.addTo(*call, "CSV to write", false);
  return {call, [a](const Progress& progress) {
            if (!a->counts && (a->reference.empty() || a->mapped.empty()))
              throw CLI::ValidationError(
                  "matrix", "give --reference and --mapped of a table of points, or --counts");
            if (a->counts && a->strata.given())
              throw CLI::ValidationError(
                  "--strata", "is of points; a ready matrix has its areas in a column “area”");
            return runMatrix(*a, progress);
          }};
}

}  // namespace calls
}  // namespace zp
