#include "arguments.h"
#include "calls.h"
#include "sampling/join_tables.h"
#include "table_output.h"
#include "wrong_call.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

struct JoinArguments {
  std::string one, other, date, several = "first";
  std::vector<std::string> by;
  int days = 0;
  bool within = false, nearest = false;
  double overlap = -1, farthest = 0;
  OutputArguments output;
};

/// "A=B", or "A" of both.
JoinKey keyFrom(const std::string& text) {
  const auto equals = text.find('=');
  if (equals == std::string::npos) return {text, text};
  return {text.substr(0, equals), text.substr(equals + 1)};
}

Matches matchesOf(const JoinArguments& a, const Layer& one, const Layer& other,
                  const Progress& progress) {
  if (a.by.empty()) {
    PlaceMatch how;
    if (a.overlap >= 0) how = {PlaceRelation::Overlap, a.overlap, {}};
    if (a.nearest) how.relation = PlaceRelation::Nearest;
    if (a.farthest > 0) how.farthest = a.farthest;
    return matchByPlace(one, other, how, progress);
  }
  std::vector<JoinKey> keys;
  for (const auto& key : a.by) keys.push_back(keyFrom(key));
  std::optional<JoinDates> dates;
  if (!a.date.empty()) dates = JoinDates{keyFrom(a.date), a.days};
  return matchByKeys(one.table, other.table, keys, dates);
}

Json runJoin(const JoinArguments& a, const Progress& progress) {
  Outputs outputs(a.output.replace);
  fs::path temporary;
  if (!a.output.out.empty())
    temporary = outputs.add(a.output.out, {fileOfLayer(a.one), fileOfLayer(a.other)});
  const Layer one = readLayer(a.one), other = readLayer(a.other);
  const auto matches = matchesOf(a, one, other, progress);
  std::vector<size_t> origin;
  const Table table = joined(one.table, other.table, matches, a.several == "all", &origin);
  if (!temporary.empty()) {
    writeRows(temporary, a.output.out, one, table, origin);
    outputs.commit();
  }
  Json json = told(table, outputs, [&] { return toCsv(table); });
  json["matched"] = matches.matched();
  json["unmatched"] = matches.rows.size() - matches.matched();
  json["several"] = matches.several();
  json["unused"] = matches.unused(other.table.rows.size());
  return json;
}

}  // namespace

namespace calls {

Call join(CLI::App& app) {
  auto* call = app.add_subcommand(
      "join", "Put the columns of another table beside those of the rows they belong to");
  auto a = std::make_shared<JoinArguments>();
  call->add_option("ONE", a->one, "A layer or CSV: FILE or FILE:LAYER")->required();
  call->add_option("OTHER", a->other, "The other one")->required();
  auto* by = call->add_option("--by", a->by, "Columns that are the same: NAME, or ONE=OTHER")
                 ->allow_extra_args(false);
  auto* date = call->add_option("--date", a->date, "And dates: NAME, or ONE=OTHER")->needs(by);
  call->add_option("--days", a->days, "So many days apart at most; the nearest counts")
      ->check(wholeNumber(0, 100000))
      ->needs(date);
  auto* within =
      call->add_flag("--within", a->within, "By place: the first lies in a polygon of the other")
          ->excludes(by);
  auto* overlap = call->add_option("--overlap", a->overlap,
                                   "By place: more than this share of its area overlaps, from 0")
                      ->check(numberFrom(0))
                      ->excludes(by)
                      ->excludes(within);
  auto* nearest =
      call->add_flag("--nearest", a->nearest, "By place: the nearest, with its distance")
          ->excludes(by)
          ->excludes(within)
          ->excludes(overlap);
  call->add_option("--farthest", a->farthest, "Of the nearest: no farther than this")
      ->check(numberAbove(0))
      ->needs(nearest);
  call->add_option("--several", a->several,
                   "Where several match: the first (the best), or all with a row for each")
      ->check(oneOf("choice", {"first", "all"}))
      ->capture_default_str();
  a->output.addTo(*call, "CSV or vector file to write; without it the table is printed", false);
  call->callback([a] {
    if (a->by.empty() && !a->within && a->overlap < 0 && !a->nearest)
      throw CLI::RequiredError("--by, --within, --overlap or --nearest");
  });
  return {call, [a](const Progress& progress) { return runJoin(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
