#include "arguments.h"
#include "base/text.h"
#include "calls.h"
#include "outline/points_from_table.h"
#include "sampling/relation.h"
#include "sampling/row_formula.h"
#include "sampling/table_edits.h"
#include "table_output.h"
#include "wrong_call.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

struct TableArguments {
  std::string table, where, sort, x, y, system;
  std::vector<std::string> add, rename, drop, by, of, line;
  bool down = false;
  OutputArguments output;
};

/// "NAME=REST" as both.
std::pair<std::string, std::string> named(const char* option, const std::string& text) {
  const auto equals = text.find('=');
  if (equals == 0 || equals == std::string::npos)
    throw CLI::ValidationError(option, fmt::format("“{}” is not NAME=…", text));
  return {trimmed(text.substr(0, equals)), trimmed(text.substr(equals + 1))};
}

/// In the order in which the help names them.
Json editsOf(const TableArguments& a) {
  Json edits = Json::array();
  for (const auto& text : a.add) {
    const auto [name, formula] = named("--add", text);
    edits.push_back({{"add", name}, {"formula", formula}});
  }
  for (const auto& text : a.rename) {
    const auto [name, to] = named("--rename", text);
    edits.push_back({{"rename", name}, {"to", to}});
  }
  if (!a.where.empty()) edits.push_back({{"keep", a.where}});
  if (!a.drop.empty()) edits.push_back({{"drop", a.drop}});
  if (!a.sort.empty()) edits.push_back({{"sort", a.sort}, {"down", a.down}});
  if (!a.by.empty()) edits.push_back({{"group", a.by}, {"of", a.of}});
  return edits;
}

Json numberOrNull(double v) {
  return std::isfinite(v) ? Json(v) : Json(nullptr);
}

Json lineOf(const Sheet& sheet, const std::vector<std::string>& names) {
  const auto numbersOf = [&](const std::string& name) -> const std::vector<double>& {
    const auto& column = sheet.columns[sheet.column(name)];
    if (column.type != CellType::Number)
      throw Error("The column “{}” holds no numbers for a line.", name);
    return column.numbers;
  };
  const auto &x = numbersOf(names[0]), &y = numbersOf(names[1]);
  const Line line = fitLine(x, y);
  return {{"x", names[0]},
          {"y", names[1]},
          {"n", line.n},
          {"slope", line.slope},
          {"slope_error", line.slopeError},
          {"intercept", line.intercept},
          {"intercept_error", line.interceptError},
          {"r", numberOrNull(line.r)},
          {"r_interval", {numberOrNull(line.rLow), numberOrNull(line.rHigh)}},
          {"r_squared", numberOrNull(line.rSquared)},
          {"rmse", line.rmse},
          {"rank_correlation", numberOrNull(rankCorrelation(x, y))}};
}

/// With coordinates, its rows are points; those without are left out and counted.
Layer layerOf(const TableArguments& a, size_t& leftOut) {
  const Layer layer = readLayer(a.table);
  return a.x.empty() ? layer : pointsFrom(layer.table, {a.x, a.y, a.system}, &leftOut);
}

Json runTable(const TableArguments& a, const Json& edits) {
  Outputs outputs(a.output.replace);
  fs::path temporary;
  if (!a.output.out.empty()) temporary = outputs.add(a.output.out, {fileOfLayer(a.table)});
  size_t leftOut = 0;
  const Layer layer = layerOf(a, leftOut);
  const Sheet sheet = withPlace([&] { return edited(sheetOf(layer.table), edits); });
  const Table table = tableOf(sheet);
  const Json line = a.line.empty() ? Json() : lineOf(sheet, a.line);
  if (!temporary.empty()) {
    if (!a.by.empty() && !isCsv(a.output.out))
      throw Error("A row a group has no place; write it as CSV.");
    writeRows(temporary, a.output.out, layer, table, sheet.origin);
    outputs.commit();
  }
  Json json = told(table, outputs, [&] { return toCsv(table); });
  if (!line.is_null()) json["line"] = line;
  if (!a.x.empty()) json["without_place"] = leftOut;
  return json;
}

}  // namespace

namespace calls {

Call table(CLI::App& app) {
  auto* call = app.add_subcommand(
      "table", "Compute columns of a table, choose and order its rows, summarise them by group");
  auto a = std::make_shared<TableArguments>();
  call->add_option("TABLE", a->table, "A CSV or vector layer: FILE or FILE:LAYER")->required();
  call->add_option("--add", a->add,
                   "A column: NAME=FORMULA, in which columns stand as they are, in braces where "
                   "they are no plain word, texts and dates in quotes")
      ->allow_extra_args(false);
  call->add_option("--rename", a->rename, "A column: NAME=NEW")->allow_extra_args(false);
  call->add_option("--where", a->where, "Only rows for which this formula is true");
  call->add_option("--drop", a->drop, "Columns to leave out")->delimiter(',');
  auto* sort = call->add_option("--sort", a->sort, "The rows in the order of this column");
  call->add_flag("--down", a->down, "The largest first")->needs(sort);
  auto* by = call->add_option("--by", a->by, "A row for each group of equal cells in these columns")
                 ->delimiter(',');
  call->add_option("--of", a->of, "Of a group: count, mean, spread and quartiles of these columns")
      ->delimiter(',')
      ->needs(by);
  call->add_option("--line", a->line, "X,Y: a line by least squares, with --json")
      ->delimiter(',')
      ->expected(2);
  auto* x = call->add_option("--x", a->x,
                             "The column of eastings or longitudes: the rows become points");
  auto* y = call->add_option("--y", a->y, "And that of northings or latitudes")->needs(x);
  x->needs(y);
  auto* system =
      call->add_option("--system", a->system, "And their reference system, such as EPSG:4326")
          ->needs(x);
  x->needs(system);
  a->output.addTo(*call, "CSV or vector file to write; without it the table is printed", false);
  call->callback([a] { editsOf(*a); });
  return {call, [a](const Progress&) { return runTable(*a, editsOf(*a)); }};
}

}  // namespace calls
}  // namespace zp
