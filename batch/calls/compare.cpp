#include "accuracy/comparison.h"
#include "calls.h"
#include "strata_arguments.h"

namespace zp {
namespace {

struct CompareArguments {
  std::string table, reference;
  std::vector<std::string> mapped;
  StrataArguments strata;
  std::string other;  // table of other points
  StrataArguments otherStrata;
};

Json toJson(const McNemar& t) {
  return {{"only_a", t.onlyFirst},
          {"only_b", t.onlySecond},
          {"statistic", number(t.statistic)},
          {"p_value", t.p},
          {"exact", t.exact}};
}

Json samePoints(const CompareArguments& a, const Progress& progress) {
  const Table table = readTable(a.table);
  const auto first = pairsFrom(table, a.mapped[0], a.reference),
             second = pairsFrom(table, a.mapped[1], a.reference);
  const auto areas = a.strata.given() ? a.strata.areas(progress) : std::map<int, double>{};
  const auto drawnIn =
      a.strata.given() ? a.strata.drawnIn(table, a.mapped[0]) : std::vector<int>(first.size());
  std::vector<ComparedPoint> points;
  std::vector<DrawnPoint> ofFirst, ofSecond;
  size_t skipped = 0;
  for (size_t i = 0; i < first.size(); ++i) {
    if (first[i].mapped == 0 || second[i].mapped == 0 || first[i].reference == 0) {
      ++skipped;
      continue;
    }
    points.push_back({drawnIn[i], first[i].mapped, second[i].mapped, first[i].reference});
    ofFirst.push_back({drawnIn[i], first[i].mapped, first[i].reference});
    ofSecond.push_back({drawnIn[i], second[i].mapped, first[i].reference});
  }
  const Comparison c = compare(points, areas);
  Json json = {{"a", told(assessed(ofFirst, a.strata.legend(), areas))},
               {"b", told(assessed(ofSecond, a.strata.legend(), areas))},
               {"mcnemar", toJson(c.all)},
               {"difference", c.difference.value},
               {"difference_interval", {c.difference.low, c.difference.high}},
               {"weighted", c.weighted},
               {"both_right", c.both},
               {"both_wrong", c.neither},
               {"skipped", skipped}};
  for (const auto& [code, test] : c.byClass) {
    Json one = toJson(test);
    one["code"] = code;
    json["by_class"].push_back(std::move(one));
  }
  return json;
}

/// Each map at points of its own.
Json otherPoints(const CompareArguments& a, const Progress& progress) {
  const Assessed first = assessed(readTable(a.table), a.mapped.front(), a.reference, a.strata,
                                  progress.part(0, 0.5)),
                 second = assessed(readTable(a.other), a.mapped.back(), a.reference, a.otherStrata,
                                   progress.part(0.5, 1));
  const DifferenceTest test = differenceTest(first.first().overall, second.first().overall);
  return {{"a", told(first)},
          {"b", told(second)},
          {"difference", test.difference.value},
          {"difference_interval", {number(test.difference.low), number(test.difference.high)}},
          {"z", number(test.z)},
          {"p_value", number(test.p)},
          {"weighted", first.weighted && second.weighted}};
}

}  // namespace

namespace calls {

Call compare(CLI::App& app) {
  auto* call =
      app.add_subcommand("compare", "Which of two maps is better, at the same points or at others");
  auto a = std::make_shared<CompareArguments>();
  call->add_option("TABLE", a->table, "A CSV or vector layer")->required();
  call->add_option("--reference", a->reference, "Field with the reference label")->required();
  call->add_option("--mapped", a->mapped,
                   "Field with the class of a map, given twice; once "
                   "where both tables have it under that name")
      ->required()
      ->expected(1)
      ->take_all();
  a->strata.addTo(*call, "that of the first --mapped");
  auto* other = call->add_option("--other-points", a->other,
                                 "A second table: the points that the second map is judged by");
  call->add_option("--other-strata", a->otherStrata.strata,
                   "Class map that those were drawn on, to weight by area")
      ->needs(other);
  call->callback([a] {
    if (a->mapped.size() != 2 && (a->other.empty() || a->mapped.size() != 1))
      throw CLI::ValidationError("--mapped", "give it twice, once for each map");
    if (!a->other.empty() && a->strata.given() != a->otherStrata.given())
      throw CLI::ValidationError("--other-strata", "weight both by area or none of the two");
  });
  return {call, [a](const Progress& progress) {
            return a->other.empty() ? samePoints(*a, progress) : otherPoints(*a, progress);
          }};
}

}  // namespace calls
}  // namespace zp
