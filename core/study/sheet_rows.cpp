#include "study/sheet_rows.h"

#include <algorithm>
#include <set>

#include "base/error.h"
#include "base/text.h"
#include "study/run_sheet.h"
#include "study/steps/step_kind.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

const char* const kScene = "scene";

std::string fullName(const fs::path& folder, const std::string& file) {
  if (file.empty() || file.front() == '/') return file;
  // FILE:LAYER, and what is no file of this folder, such as an address, stays.
  const std::string plain = file.substr(0, file.rfind(':'));
  std::error_code ec;
  const bool here = fs::exists(folder / file, ec) || fs::exists(folder / plain, ec);
  return here ? (fs::absolute(folder) / file).lexically_normal().string() : file;
}

/// "{may} of {id}" with the cells in place.
std::string filledText(const std::string& text, const SheetRow& row) {
  std::string out;
  for (size_t at = 0; at < text.size();) {
    const size_t open = text.find('{', at), close = text.find('}', open);
    if (open == std::string::npos || close == std::string::npos) return out + text.substr(at);
    const std::string column = text.substr(open + 1, close - open - 1);
    const auto cell = row.cells.find(column);
    if (cell == row.cells.end()) {
      std::vector<std::string> columns;
      for (const auto& [name, value] : row.cells) columns.push_back(name);
      throw Error("“{}” stands in the sheet, and the table has no column “{}”.{}",
                  text.substr(open, close - open + 1), column, didYouMean(column, columns));
    }
    out += text.substr(at, open - at) + cell->second;
    at = close + 1;
  }
  return out;
}

void fillTexts(Json& value, const SheetRow& row) {
  if (value.is_string())
    value = filledText(value.get<std::string>(), row);
  else if (value.is_structured())
    for (auto& inner : value) fillTexts(inner, row);
}

void numberFrom(Json& value) {
  if (!value.is_string()) return;
  const auto text = value.get<std::string>();
  if (const auto whole = parseInteger(text))
    value = *whole;
  else if (const auto number = parseNumber(text))
    value = *number;
}

/// What was filled in is a number where the field asks for one, and a file is named in full.
void asTheFieldAsks(Json& step, const fs::path& folder) {
  for (const auto& f : stepKind(step.at("do")).fields) {
    const auto at = step.find(f.id);
    if (at == step.end()) continue;
    if (f.holds == Holds::Number || f.holds == Holds::Whole) numberFrom(*at);
    if ((f.holds == Holds::Numbers || f.holds == Holds::Indices) && at->is_array())
      for (auto& one : *at) numberFrom(one);
    if (f.holds == Holds::File && at->is_string()) *at = fullName(folder, at->get<std::string>());
  }
}

/// What the steps of a sheet name that none of them makes.
std::set<std::string> namedFromOutside(const Json& sheet) {
  std::set<std::string> named, made;
  for (Json step : sheet.at("steps")) {
    eachReference(stepKind(step.at("do")), step, [&](Json& id) {
      if (id.is_string() && made.count(id) == 0) named.insert(id.get<std::string>());
    });
    if (step.contains("as")) made.insert(step["as"].get<std::string>());
  }
  return named;
}

/// The name that a column "scene" stands for.
std::string onlyOne(const std::set<std::string>& named, const std::vector<std::string>& known,
                    const SheetRow& row) {
  if (named.count(kScene) > 0) return kScene;
  std::vector<std::string> left;
  for (const auto& name : named)
    if (row.cells.count(std::string(kScene) + " " + name) == 0) left.push_back(name);
  if (left.size() > 1)
    left.erase(std::remove_if(left.begin(), left.end(),
                              [&](const std::string& name) {
                                return std::find(known.begin(), known.end(), name) != known.end();
                              }),
               left.end());
  if (left.size() == 1) return left[0];
  if (left.empty())
    throw Error("The sheet names no scene that the column “scene” could stand for.");
  throw Error("The column “scene” could stand for {}; head it “scene NAME”.", listed(left));
}

std::map<std::string, int> rolesFrom(const std::string& text) {
  std::map<std::string, int> roles;
  for (const auto& pair : split(text, ',')) {
    const size_t equals = pair.find('=');
    const auto number =
        equals == std::string::npos ? std::nullopt : parseInteger(trimmed(pair.substr(equals + 1)));
    if (!number) throw Error("“{}” does not tell roles; write them as red=3,nir=4.", text);
    roles[trimmed(pair.substr(0, equals))] = static_cast<int>(*number);
  }
  return roles;
}

/// `suffix`: "" or " NAME", as the row's columns of this scene are headed.
Scene openFor(const SheetRow& row, const std::string& suffix, const fs::path& folder) {
  const auto cell = [&](const std::string& column) {
    const auto at = row.cells.find(column + suffix);
    return at == row.cells.end() ? std::string() : trimmed(at->second);
  };
  const std::string path = cell(kScene);
  if (path.empty()) throw Error("there is no scene under “{}”.", kScene + suffix);
  SceneOptions options;
  options.sensor = cell("sensor");
  if (const auto roles = cell("roles"); !roles.empty()) options.roles = rolesFrom(roles);
  Scene scene = openScene(fullName(folder, path), options);
  if (const auto date = cell("date"); !date.empty()) {
    scene.date = dateIn(date);
    if (scene.date.empty()) throw Error("“{}” is no date; write it as 2031-07-18.", date);
  }
  return scene;
}

}  // namespace

std::vector<SheetRow> sheetRows(const Table& table) {
  if (table.rows.empty()) throw Error("The table has no rows; give it one for each scene.");
  const auto id = std::find(table.columns.begin(), table.columns.end(), "id");
  const size_t digits = std::to_string(table.rows.size()).size();
  std::map<std::string, size_t> taken;
  std::vector<SheetRow> rows;
  for (size_t i = 0; i < table.rows.size(); ++i) {
    SheetRow row;
    for (size_t c = 0; c < table.columns.size(); ++c)
      row.cells[table.columns[c]] = table.rows[i][c];
    std::string number = std::to_string(i + 1);
    number.insert(0, digits - number.size(), '0');
    row.id = id == table.columns.end() ? number : trimmed(row.cells["id"]);
    row.folder = id == table.columns.end() ? "row-" + number : fileStem(row.id);
    if (row.id.empty()) throw Error("Row {} has no id.", i + 1);
    const auto [before, fresh] = taken.emplace(row.folder, i + 1);
    if (!fresh)
      throw Error("Rows {} and {} would both be kept in “{}”; give them ids of their own.",
                  before->second, i + 1, row.folder);
    rows.push_back(std::move(row));
  }
  return rows;
}

std::vector<SheetRow> partOf(const std::vector<SheetRow>& rows, size_t part, size_t parts) {
  std::vector<SheetRow> out;
  for (size_t i = part - 1; i < rows.size(); i += parts) out.push_back(rows[i]);
  return out;
}

Json readSheetToFill(const fs::path& file) {
  Json sheet = readJson(file, kRunSheetFormat, 1);
  requireSteps(sheet, file.string());
  return sheet;
}

Json filledSheet(const Json& sheet, const SheetRow& row, const fs::path& folder) {
  Json filled = sheet;
  for (auto& entry : filled.at("steps")) {
    fillTexts(entry, row);
    asTheFieldAsks(entry, folder);
  }
  requireRunSheet(filled, "the sheet");
  return filled;
}

std::map<std::string, Scene> scenesOfRow(const Json& sheet, const SheetRow& row,
                                         const std::vector<std::string>& known,
                                         const fs::path& folder) {
  const auto named = namedFromOutside(sheet);
  std::map<std::string, Scene> scenes;
  for (const auto& [column, cell] : row.cells) {
    const std::string start = std::string(kScene) + " ";
    if (column == kScene) {
      scenes[onlyOne(named, known, row)] = openFor(row, "", folder);
    } else if (column.rfind(start, 0) == 0) {
      const std::string name = column.substr(start.size());
      if (named.count(name) == 0)
        throw Error("The sheet names no scene “{}”, as a column is headed.{}", name,
                    didYouMean(name, {named.begin(), named.end()}));
      scenes[name] = openFor(row, " " + name, folder);
    }
  }
  return scenes;
}

}  // namespace zp
