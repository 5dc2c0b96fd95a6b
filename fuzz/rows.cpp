// A run sheet with {columns}, in the first line, over the rows of a table.
#include "base/csv.h"
#include "fuzz.h"
#include "study/sheet_rows.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](std::string text) {
    const auto sheetFile = written("sheet.json", takeLine(text));
    const auto table = written("rows.csv", text);
    const auto rows = zp::sheetRows(zp::readCsv(table, zp::dialectOf(table), 1000));
    const zp::Json sheet = zp::readSheetToFill(sheetFile);
    for (const auto& row : zp::partOf(rows, 1, 3)) {
      zp::scenesOfRow(sheet, row, {}, ownFolder());
      zp::filledSheet(sheet, row, ownFolder());
    }
  });
}
