#include <chrono>

#include "arguments.h"
#include "base/outputs.h"
#include "base/text.h"
#include "calls.h"
#include "outline/layer.h"
#include "study/run_over.h"
#include "study/run_sheet.h"
#include "study/steps/step_kind.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

Json kindsAsJson() {
  Json kinds = Json::array();
  for (const auto* k : stepKinds()) {
    Json fields = Json::array();
    for (const auto& f : k->fields) {
      Json one = {
          {"field", f.id}, {"holds", wordOf(f.holds)}, {"needed", f.needed}, {"about", f.about}};
      if (!f.choices.empty()) one["choices"] = f.choices;
      fields.push_back(std::move(one));
    }
    kinds.push_back({{"do", k->id}, {"makes", k->makes}, {"fields", fields}});
  }
  return kinds;
}

/// For a person: a kind, and a line a field below it.
std::string kindsAsText() {
  std::string text;
  for (const auto* k : stepKinds()) {
    text += fmt::format("{}\n  {}\n", k->id, k->makes);
    for (const auto& f : k->fields) {
      std::string about = f.about;
      if (!f.choices.empty()) about += fmt::format(": {}", fmt::join(f.choices, ", "));
      text += fmt::format("    {:<10} {}{} ({})\n", f.id, about,
                          f.needed ? "" : "; may be left out", wordOf(f.holds));
    }
  }
  return text;
}

struct RunArguments {
  std::string sheet, study, over, into, part, table;
  bool list = false;
};

/// "3/16" as part 3 of 16; a wrong call where it is not so.
std::pair<size_t, size_t> partFrom(const std::string& text) {
  if (text.empty()) return {1, 1};
  const auto numbers = split(text, '/');
  const auto part = parseInteger(numbers[0]);
  const auto parts = numbers.size() == 2 ? parseInteger(numbers[1]) : std::nullopt;
  if (!part || !parts || *part < 1 || *parts < *part || *parts > 1'000'000)
    throw CLI::ValidationError("--part", fmt::format("“{}” is no part; write it as 3/16.", text));
  return {static_cast<size_t>(*part), static_cast<size_t>(*parts)};
}

Json runInStudy(const RunArguments& a, const Progress& progress) {
  const Json sheet = readRunSheet(a.sheet);
  Study study = Study::open(a.study);
  Json steps = Json::array(), outputs = Json::array();
  auto last = std::chrono::steady_clock::now();
  runSheet(study, sheet, progress, [&](const Product& p) {
    study.save();
    const auto now = std::chrono::steady_clock::now();
    steps.push_back({{"name", p.name},
                     {"seconds", std::chrono::duration<double>(now - last).count()},
                     {"outputs", {p.file.string()}}});
    outputs.push_back(p.file.string());
    last = now;
  });
  study.save();
  return Json{{"steps", steps}, {"outputs", outputs}};
}

RunOver taskFrom(const RunArguments& a) {
  const fs::path sheet = fs::absolute(a.sheet), over = fs::absolute(a.over);
  RunOver task{readSheetToFill(sheet), sheet.parent_path(), over.parent_path(), a.into, {}};
  if (!a.study.empty()) task.start = Study::read(a.study);
  std::error_code ec;
  fs::create_directory(task.into, ec);
  if (!fs::is_directory(task.into, ec))
    throw Error("The folder “{}” cannot be made; make the one it is to lie in first.", a.into);
  return task;
}

/// Where the table of results goes when nothing is said.
fs::path tableFor(const RunArguments& a, size_t part, size_t parts) {
  if (!a.table.empty()) return a.table;
  return fs::path(a.into) /
         (parts == 1 ? "results.csv" : fmt::format("results-{}-of-{}.csv", part, parts));
}

/// After each row the table tells how far it has come.
Json runOverRows(const RunArguments& a, const Progress& progress) {
  const auto [part, parts] = partFrom(a.part);
  const RunOver task = taskFrom(a);
  const auto rows = partOf(sheetRows(readTable(a.over)), part, parts);
  const fs::path table = tableFor(a, part, parts);
  std::vector<RowResult> results;
  std::map<RowState, size_t> count;
  writeFileAtomically(table, toCsv(tableOf(results)));
  for (size_t i = 0; i < rows.size(); ++i) {
    const auto n = static_cast<double>(rows.size()), at = static_cast<double>(i);
    results.push_back(runRow(task, rows[i], progress.part(at / n, (at + 1) / n)));
    const auto& r = results.back();
    ++count[r.state];
    writeFileAtomically(table, toCsv(tableOf(results)));
    if (!r.problem.empty()) fmt::print(stderr, "{}: {}\n", r.id, r.problem.text());
  }
  if (count[RowState::Failed] > 0)
    throw Error("{} of {} rows could not be done; “{}” tells why. The others are there.",
                count[RowState::Failed], rows.size(), table.string());
  Json told = Json::array();
  for (const auto& r : results) {
    Json files = Json::object();
    for (const auto& [name, file] : r.outputs) files[name] = file.string();
    told.push_back({{"id", r.id},
                    {"state", idOf(r.state)},
                    {"seconds", r.seconds},
                    {"study", r.study.string()},
                    {"files", files}});
  }
  return {{"rows", told},
          {"done", count[RowState::Done]},
          {"skipped", count[RowState::Skipped]},
          {"outputs", {table.string()}}};
}

}  // namespace

namespace calls {

Call run(CLI::App& app) {
  auto* call = app.add_subcommand(
      "run", "Run the steps of a run sheet in a study, or over many scenes, each in its own");
  auto a = std::make_shared<RunArguments>();
  call->add_option("SHEET", a->sheet, "A run sheet, as zpatch record writes it or by hand");
  call->add_option(
      "--study", a->study,
      "Folder of the study, not open in a window; with --over, the study whose legend, "
      "training areas and outlines every row starts from");
  auto* over = call->add_option(
      "--over", a->over,
      "A table with a row for each scene: column “scene” (or “scene NAME”, as the sheet calls it), "
      "“id”, “date”, “sensor”, “roles”; {column} in the sheet is filled in from any other");
  call->add_option("--into", a->into,
                   "With --over: the folder of the rows' studies; what is done there and unchanged "
                   "is skipped")
      ->needs(over);
  call->add_option("--part", a->part, "With --over: only this part of the rows, such as 3/16")
      ->needs(over);
  call->add_option("--table", a->table,
                   "With --over: where the results and errors are told; results.csv below --into "
                   "by default")
      ->needs(over);
  call->add_flag("--list", a->list, "List every kind of step with its fields");
  call->callback([a] {
    if (a->list) return;
    if (a->sheet.empty()) throw CLI::RequiredError("SHEET");
    if (a->over.empty() && a->study.empty()) throw CLI::RequiredError("--study");
    if (!a->over.empty() && a->into.empty()) throw CLI::RequiredError("--into");
    partFrom(a->part);
  });
  return {
      call, [a](const Progress& progress) {
        if (a->list)
          return Json{{"kinds", kindsAsJson()}, {"outputs", Json::array()}, {"csv", kindsAsText()}};
        return a->over.empty() ? runInStudy(*a, progress) : runOverRows(*a, progress);
      }};
}

}  // namespace calls
}  // namespace zp
