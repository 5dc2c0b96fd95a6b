#include "table_output.h"

#include "base/text.h"
#include "outline/field_types.h"

namespace zp {

Json told(const Table& table, const Outputs& outputs, const std::function<std::string()>& text) {
  Json json{{"rows", table.rows.size()}, {"columns", table.columns}, {"outputs", names(outputs)}};
  if (json["outputs"].empty()) {
    json["values"] = table.rows;
    json["csv"] = text();
  }
  return json;
}

bool isCsv(const std::filesystem::path& target) {
  return lowered(target.extension().string()) == ".csv";
}

void writeRows(const std::filesystem::path& temporary, const std::filesystem::path& target,
               const Layer& from, const Table& table, const std::vector<size_t>& origin) {
  if (isCsv(target)) return writeFileAtomically(temporary, toCsv(table));
  const bool placed = std::any_of(from.shapes.begin(), from.shapes.end(), [](const Shape& s) {
    return !s.rings.empty() || !s.points.empty();
  });
  if (!placed || origin.size() != table.rows.size())
    throw Error("The rows have no places; write them as CSV.");
  Layer layer{"table", from.crs, table, {}};
  for (const size_t row : origin) layer.shapes.push_back(from.shapes[row]);
  writeLayer(temporary, target, layer, typesOf(table));
}

}  // namespace zp
