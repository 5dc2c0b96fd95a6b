#include <chrono>

#include "arguments.h"
#include "calls.h"
#include "study/run_sheet.h"
#include "study/steps/step_kind.h"

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

}  // namespace

namespace calls {

Call run(CLI::App& app) {
  struct Arguments {
    std::string sheet, study;
    bool list = false;
  };
  auto* call = app.add_subcommand("run", "Run the steps of a run sheet in a study, in order");
  auto a = std::make_shared<Arguments>();
  call->add_option("SHEET", a->sheet, "A run sheet, as zpatch record writes it or by hand");
  call->add_option("--study", a->study, "Folder of the study; it must not be open in a window");
  call->add_flag("--list", a->list, "List every kind of step with its fields");
  call->callback([a] {
    if (a->list) return;
    if (a->sheet.empty()) throw CLI::RequiredError("SHEET");
    if (a->study.empty()) throw CLI::RequiredError("--study");
  });
  return {
      call, [a](const Progress& progress) {
        if (a->list)
          return Json{{"kinds", kindsAsJson()}, {"outputs", Json::array()}, {"csv", kindsAsText()}};
        const Json sheet = readRunSheet(a->sheet);
        Study study = Study::open(a->study);
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
      }};
}

}  // namespace calls
}  // namespace zp
