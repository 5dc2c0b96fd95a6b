#include "study/table_places.h"

#include <algorithm>
#include <cmath>

#include "base/text.h"
#include "sampling/readings.h"

namespace zp {
namespace {

/// The rows go through all places again and again.
TablePlaces inTurn(std::string of, size_t places, size_t rows) {
  TablePlaces out{std::move(of), {}};
  for (size_t r = 0; r < rows; ++r) out.rows.push_back(places == 0 ? 0 : r % places);
  return out;
}

std::optional<TablePlaces> noted(const Json& note, const Table& table) {
  const std::string of = note.value("of", "");
  if (of.empty()) return {};
  if (!note.contains("column")) return inTurn(of, table.rows.size(), table.rows.size());
  const auto at = std::find(table.columns.begin(), table.columns.end(), note.value("column", ""));
  if (at == table.columns.end()) return {};
  TablePlaces out{of, {}};
  for (const auto& row : table.rows) {
    const auto place = parseInteger(row[static_cast<size_t>(at - table.columns.begin())]);
    if (!place || *place < 1) return {};
    out.rows.push_back(static_cast<size_t>(*place - 1));
  }
  return out;
}

}  // namespace

std::optional<TablePlaces> placesOfRows(const Product& product, const Table& table) {
  if (product.facts.contains("places") && product.facts["places"].is_object())
    return noted(product.facts["places"], table);
  if (!product.step.is_object()) return {};  // a file from elsewhere
  const std::string kind = product.step.value("do", "");
  const size_t rows = table.rows.size();
  if (kind == "readings")
    return inTurn(product.step.value("points", ""), product.facts.value("places_read", rows), rows);
  if (kind == "zones")
    return inTurn(product.step.value("outline", product.step.value("cells", "")),
                  product.facts.value("zones", rows), rows);
  return {};
}

void notePlaces(const TablePlaces& places, Table& table, Json& facts) {
  Json note{{"of", places.of}};
  bool oneByOne = true;
  for (size_t r = 0; r < places.rows.size(); ++r) oneByOne = oneByOne && places.rows[r] == r;
  if (!oneByOne) {
    const std::string column = columnBeside("place", table.columns);
    note["column"] = column;
    table.columns.push_back(column);
    for (size_t r = 0; r < table.rows.size(); ++r)
      table.rows[r].push_back(std::to_string(places.rows[r] + 1));
  }
  facts["places"] = note;
}

void noteColumn(const std::string& column, const Json& source, const std::vector<double>& values,
                size_t pixels, Json& facts) {
  facts["sources"][column] = source;
  addDistinct(column, values, pixels, facts);
}

void addDistinct(const std::string& column, const std::vector<double>& values, size_t pixels,
                 Json& facts) {
  const auto empty = static_cast<size_t>(
      std::count_if(values.begin(), values.end(), [](double v) { return std::isnan(v); }));
  Json& counts = facts["distinct_pixels"][column];
  if (counts.is_null()) counts = {{"values", size_t{0}}, {"pixels", size_t{0}}};
  counts["values"] = counts["values"].get<size_t>() + values.size() - empty;
  counts["pixels"] = counts["pixels"].get<size_t>() + pixels;
}

void keepColumnNotes(const Product& before,
                     const std::vector<std::pair<std::string, std::string>>& columns, bool sameRows,
                     Json& facts) {
  for (const char* what : {"sources", "distinct_pixels"}) {
    if (!before.facts.contains(what) || (!sameRows && what == std::string("distinct_pixels")))
      continue;
    const Json& known = before.facts[what];
    for (const auto& [was, is] : columns)
      if (known.contains(was)) facts[what][is] = known[was];
  }
}

std::optional<Layer> layerOfPlaces(const Study& study, const std::string& of) {
  if (const auto* p = study.product(of);
      p != nullptr && (p->kind == ProductKind::Points || p->kind == ProductKind::Cells))
    return readLayer(p->file.string());
  for (const auto& o : study.outlines)
    if (o.id == of) return readLayer(o.layer);
  return {};
}

}  // namespace zp
