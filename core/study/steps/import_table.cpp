#include "base/csv.h"
#include "base/error.h"
#include "outline/field_types.h"
#include "outline/points_from_table.h"
#include "sampling/sheet.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

Table tableIn(const std::filesystem::path& file, const Json& step) {
  CsvDialect dialect = dialectOf(file);
  if (step.contains("separator")) {
    const std::string separator = step["separator"];
    dialect.separator = separator == "tab" ? '\t' : separator == "semicolon" ? ';' : ',';
  }
  if (step.contains("decimal")) dialect.decimal = step["decimal"] == "comma" ? ',' : '.';
  return readCsv(file, dialect, kMostSheetRows);
}

Product runImportTable(StepRun& r) {
  const std::filesystem::path file = r.file("file");
  const Table table = tableIn(file, r.step());
  const bool placed = r.step().contains("x") || r.step().contains("y");
  if (!placed) {
    r.begin(ProductKind::Table, ".csv");
    writeFileAtomically(r.temporary, toCsv(table));
    r.product.facts = {
        {"rows", table.rows.size()}, {"columns", table.columns}, {"from", file.string()}};
    return r.finish();
  }
  for (const char* field : {"x", "y", "system"})
    if (!r.step().contains(field))
      throw Error("Say in which columns the coordinates are, and in which system.");
  size_t leftOut = 0;
  const Layer layer =
      pointsFrom(table, {r.step()["x"], r.step()["y"], r.step()["system"]}, &leftOut);
  r.begin(ProductKind::Points, ".gpkg");
  writeLayer(r.temporary, r.product.file, layer, typesOf(layer.table));
  r.product.facts = {
      {"points", layer.shapes.size()}, {"without_place", leftOut}, {"from", file.string()}};
  return r.finish();
}

}  // namespace

namespace steps {
extern const StepKind importTable{
    "import-table",
    "A table from a CSV; with coordinates, points",
    {{"file", Holds::File, true, "The CSV"},
     {"separator",
      Holds::Text,
      false,
      "Between its cells; without it, found out",
      {"comma", "semicolon", "tab"}},
     {"decimal", Holds::Text, false, "Of its numbers; without it, found out", {"point", "comma"}},
     {"x", Holds::Text, false, "Of points: the column of eastings or longitudes"},
     {"y", Holds::Text, false, "And of northings or latitudes"},
     {"system", Holds::Text, false, "And their reference system, such as EPSG:4326"}},
    &runImportTable};
}
}  // namespace zp
