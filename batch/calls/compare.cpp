#include "accuracy/comparison.h"
#include "calls.h"
#include "strata_arguments.h"

namespace zp {
namespace {

struct CompareArguments {
  std::string table, reference;
  std::vector<std::string> mapped;
  StrataArguments strata;
};

Json toJson(const McNemar& t) {
  return {{"only_a", t.onlyFirst},
          {"only_b", t.onlySecond},
          {"statistic", number(t.statistic)},
          {"p_value", t.p},
          {"exact", t.exact}};
}

/// One of the two maps, by the points that both and the reference speak of.
Json oneMap(const std::vector<DrawnPoint>& points, const Legend& legend,
            const std::map<int, double>& areas) {
  std::vector<MapAndReference> pairs;
  for (const auto& p : points) pairs.push_back({p.mapped, p.reference});
  const auto m = confusionMatrix(pairs, legend);
  std::optional<Assessment> weighted;
  double whole = 0;
  for (const auto& [code, area] : areas) whole += area;
  if (!areas.empty()) weighted = assessByStrata(m, points, areas);
  return told(m, assessCounts(m), weighted, whole);
}

Json runCompare(const CompareArguments& a, const Progress& progress) {
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
  Json json = {{"a", oneMap(ofFirst, a.strata.legend(), areas)},
               {"b", oneMap(ofSecond, a.strata.legend(), areas)},
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

}  // namespace

namespace calls {

Call compare(CLI::App& app) {
  auto* call = app.add_subcommand("compare", "Which of two maps is better, at the same points");
  auto a = std::make_shared<CompareArguments>();
  call->add_option("TABLE", a->table, "A CSV or vector layer")->required();
  call->add_option("--reference", a->reference, "Field with the reference label")->required();
  call->add_option("--mapped", a->mapped, "Field with the class of a map, given twice")
      ->required()
      ->expected(1)
      ->take_all();
  a->strata.addTo(*call, "that of the first --mapped");
  call->callback([a] {
    if (a->mapped.size() != 2)
      throw CLI::ValidationError("--mapped", "give it twice, once for each map");
  });
  return {call, [a](const Progress& progress) { return runCompare(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
