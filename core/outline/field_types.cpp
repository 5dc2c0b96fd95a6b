#include "outline/field_types.h"

#include "base/text.h"

namespace zp {

std::vector<FieldType> typesOf(const Table& table) {
  std::vector<FieldType> types;
  for (size_t c = 0; c < table.columns.size(); ++c) {
    bool whole = true, number = true, any = false;
    for (const auto& row : table.rows) {
      const std::string& cell = row[c];
      if (cell.empty()) continue;
      any = true;
      const auto integer = parseInteger(cell);
      whole = whole && integer && std::to_string(*integer) == cell;
      const bool padded = cell.size() > 1 && cell[0] == '0' && cell[1] != '.';
      number = number && !padded && parseNumber(cell).has_value();
      if (!number) break;
    }
    types.push_back(!any || !number ? FieldType::Text
                    : whole         ? FieldType::Integer
                                    : FieldType::Real);
  }
  return types;
}

}  // namespace zp
