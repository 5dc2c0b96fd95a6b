#include "base/error.h"
#include "sampling/table_edits.h"
#include "study/steps/step_run.h"
#include "study/table_places.h"

namespace zp {
namespace {

bool groups(const Json& edits) {
  return std::any_of(edits.begin(), edits.end(),
                     [](const Json& edit) { return edit.contains("group"); });
}

Product runTable(StepRun& r) {
  const Product& source = r.source("table");
  if (source.kind != ProductKind::Table) throw Error("“{}” is no table of readings.", source.name);
  const Table before = readTable(source.file.string());
  const Json& edits = r.step().at("edits");
  const Sheet sheet = edited(sheetOf(before), edits);
  Table table = tableOf(sheet);
  r.begin(ProductKind::Table, ".csv");
  if (!groups(edits)) {
    if (auto places = placesOfRows(source, before)) {
      TablePlaces now{places->of, {}};
      for (const size_t row : sheet.origin) now.rows.push_back(places->rows[row]);
      notePlaces(now, table, r.product.facts);
    }
    std::vector<std::pair<std::string, std::string>> columns;
    for (const auto& c : sheet.columns)
      if (!c.from.empty()) columns.push_back({c.from, c.name});
    keepColumnNotes(source, columns, sheet.rows() == before.rows.size(), r.product.facts);
  }
  writeFileAtomically(r.temporary, toCsv(table));
  r.product.facts["rows"] = table.rows.size();
  r.product.facts["columns"] = table.columns;
  return r.finish();
}

}  // namespace

namespace steps {
extern const StepKind table{
    "table",
    "A table from another: with computed columns, chosen rows, or a row a group",
    {{"table", Holds::Product, true, "Which one"},
     {"edits", Holds::Edits, true,
      "What is done to it, one after the other: {add formula}, {fill formula where}, {paste by "
      "values}, {rename to}, {drop}, {keep}, {sort down} or {group of}"}},
    &runTable};
}
}  // namespace zp
