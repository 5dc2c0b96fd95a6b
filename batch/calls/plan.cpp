#include <fmt/format.h>

#include <cmath>

#include "accuracy/validation_plan.h"
#include "base/text.h"
#include "calls.h"
#include "legend/class_map.h"
#include "strata_arguments.h"
#include "wrong_call.h"

namespace zp {
namespace {

struct PlanArguments {
  std::string map, split = "balanced", expected;
  double accuracy = 0.9, margin = 0.05, classMargin = 0.15;
  size_t total = 0, least = 20;
};

std::map<std::string, PlanSplit> splits() {
  return {{"equal", PlanSplit::Equal},
          {"proportional", PlanSplit::Proportional},
          {"balanced", PlanSplit::Balanced}};
}

Json runPlan(const PlanArguments& a, const Progress& progress) {
  const ClassMapArgument map(a.map);
  const auto areas = classAreas(map.file, {}, progress, map.band);
  if (areas.empty()) throw Error("“{}” holds no class; choose another map.", a.map);
  double whole = 0;
  for (const auto& c : areas) whole += c.area;
  if (!(whole > 0))
    throw Error("“{}” has no reference system, so areas are not known; give it one first.", a.map);
  std::map<std::string, std::string> expected;
  if (!a.expected.empty()) expected = pairsFrom("--expect", a.expected);
  std::vector<PlannedClass> classes;
  for (const auto& c : areas) {
    double accuracy = a.accuracy;
    if (const auto at = expected.extract(std::to_string(c.code))) {
      const auto said = parseNumber(at.mapped());
      argument("--expect", [&] {
        if (!said || !(*said > 0 && *said < 1))
          throw Error("“{}” is no accuracy between 0 and 1", at.mapped());
      });
      accuracy = *said;
    }
    classes.push_back({c.area / whole, accuracy});
  }
  if (!expected.empty()) throw Error("There is no class {} on the map.", expected.begin()->first);
  const PlanWish wish{a.margin, a.classMargin, a.least};
  const PlanSplit split = splits().at(a.split);
  const size_t advised = totalFor(classes, split, wish);
  const auto points = splitPoints(classes, a.total > 0 ? a.total : advised, split, wish);
  const PlanMargins margins = marginsOf(classes, points);
  Json list = Json::array();
  size_t all = 0;
  for (size_t i = 0; i < classes.size(); ++i) {
    all += points[i];
    list.push_back({{"code", areas[i].code},
                    {"name", areas[i].name},
                    {"share", classes[i].share},
                    {"expected", classes[i].accuracy},
                    {"points", points[i]},
                    {"users_margin", number(margins.users[i])},
                    {"area_margin", number(margins.area[i])}});
  }
  return {{"advised", advised},
          {"points", all},
          {"overall_margin", number(margins.overall)},
          {"classes", list}};
}

}  // namespace

namespace calls {

Call plan(CLI::App& app) {
  auto* call = app.add_subcommand("plan", "How many validation points a map needs, class by class");
  auto a = std::make_shared<PlanArguments>();
  call->add_option("MAP", a->map, "A class map")->required();
  call->add_option("--margin", a->margin, "Wanted margin of overall accuracy")
      ->check(CLI::Range(0.001, 0.5));
  call->add_option("--class-margin", a->classMargin, "Wanted margin of any class (balanced)")
      ->check(CLI::Range(0.001, 0.5));
  call->add_option("--accuracy", a->accuracy, "How right one expects a class to be")
      ->check(CLI::Range(0.01, 0.99));
  call->add_option("--expect", a->expected, "Of single classes: CODE=ACCURACY,…");
  call->add_option("--split", a->split, "equal, proportional, or balanced: what each class needs")
      ->check(oneOf("split", {"equal", "proportional", "balanced"}));
  call->add_option("--total", a->total, "Points in all, instead of those that the margin asks for")
      ->check(wholeNumber(1, 1'000'000));
  call->add_option("--least", a->least, "Points that every class gets")
      ->check(wholeNumber(1, 100'000));
  return {call, [a](const Progress& progress) { return runPlan(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
