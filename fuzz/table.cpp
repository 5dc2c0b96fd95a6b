// Tables: a formula in the first line, then a CSV that it is computed over, grouped and ordered.
#include "base/csv.h"
#include "fuzz.h"
#include "sampling/group_rows.h"
#include "sampling/row_formula.h"
#include "sampling/table_edits.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](std::string text) {
    const std::string formula = takeLine(text);
    const auto file = written("table.csv", text);
    const zp::Table read = zp::readCsv(file, zp::dialectOf(file), 1000);
    writtenDown(read.columns);
    writtenDown(read.rows);
    zp::Sheet sheet = zp::sheetOf(read);
    const std::string first = sheet.columns[0].name;
    zp::applyEdit(sheet, {{"sort", first}, {"down", true}});
    zp::groupRows(sheet, {first}, {});
    zp::renamedIn(formula, first, "x");
    zp::applyEdit(sheet, {{"add", "of the formula"}, {"formula", formula}});
    zp::applyEdit(sheet, {{"keep", formula}});
  });
}
