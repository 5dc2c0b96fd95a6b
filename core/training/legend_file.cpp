#include "training/legend_file.h"

#include <algorithm>
#include <fstream>

#include "base/error.h"
#include "base/text.h"
#include "outline/layer.h"

namespace zp {
namespace {

bool isCsv(const std::filesystem::path& file) {
  return lowered(file.extension().string()) == ".csv";
}

Legend fromTable(const Table& table, const std::string& file) {
  const size_t code = table.column("code"), name = table.column("name");
  const auto optional = [&](const char* column) {
    return static_cast<size_t>(std::find(table.columns.begin(), table.columns.end(), column) -
                               table.columns.begin());
  };
  const size_t colour = optional("colour"), about = optional("description"),
               parts = optional("subclasses");
  Legend legend;
  for (size_t r = 0; r < table.rows.size(); ++r) {
    const auto& row = table.rows[r];
    LegendClass c;
    c.code = classCode(row[code], "row " + std::to_string(r + 1) + " of “" + file + "”");
    c.name = trimmed(row[name]);
    if (c.name.empty()) throw Error("Class {} of the legend has no name; give it one.", c.code);
    c.colour =
        colour < row.size() && !row[colour].empty() ? colourFrom(row[colour]) : suggestedColour(r);
    if (about < row.size()) c.description = row[about];
    for (const auto& part : split(parts < row.size() ? row[parts] : "", ';'))
      if (!trimmed(part).empty()) c.subclasses.push_back({trimmed(part)});
    legend.add(std::move(c));
  }
  if (legend.classes.empty()) throw Error("“{}” holds no class.", file);
  return legend;
}

}  // namespace

Legend readLegendFile(const std::filesystem::path& file) {
  return isCsv(file) ? fromTable(readTable(file.string()), file.filename().string())
                     : readLegend(file);
}

void writeLegendFile(const std::filesystem::path& temporary, const std::filesystem::path& target,
                     const Legend& legend) {
  if (!isCsv(target)) return writeLegend(temporary, legend);
  Table table{{"code", "name", "colour", "description", "subclasses"}, {}};
  for (const auto& c : legend.classes) {
    std::string parts;
    for (const auto& s : c.subclasses) parts += (parts.empty() ? "" : "; ") + s.name;
    table.rows.push_back(
        {std::to_string(c.code), c.name, colourText(c.colour), c.description, parts});
  }
  std::ofstream out(temporary, std::ios::binary);
  out << toCsv(table);
  out.flush();
  if (!out) throw Error("The legend could not be written to “{}”.", target.string());
}

}  // namespace zp
