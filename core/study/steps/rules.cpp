#include "mapping/rules.h"

#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runRules(StepRun& r) {
  const Scope scope = r.scope();
  std::vector<Rule> rules;
  for (const auto& rule : r.step().at("rules"))
    rules.push_back({rule.at("when"), classFrom(rule, static_cast<int>(rules.size()) + 1)});
  LegendClass otherwise;
  if (r.step().contains("otherwise"))
    otherwise = classFrom(r.step()["otherwise"], static_cast<int>(rules.size()) + 1);
  r.begin(ProductKind::ClassMap, ".tif");
  r.product.date = scope.scenes[0].scene.date;
  const auto inside = r.inside(scope.grid.crs);
  rulesToClasses(scope, rules, otherwise, r.temporary, inside ? &*inside : nullptr,
                 r.progress().part(0, 0.8));
  return r.finishClassMap(r.progress().part(0.8, 1));
}

}  // namespace

namespace steps {
extern const StepKind rules{
    "rules",
    "A class map by rules: the first that holds gives the class",
    {{"scene", Holds::Scene, true, "Whose bands stand alone in the rules"},
     {"rules", Holds::Rules, true, "Each with when, a formula, and the class it gives"},
     {"otherwise", Holds::Class, false, "The class where none holds; left out, none"},
     {"with", Holds::Named, false, "Other scenes and products that the rules name"},
     {"inside", Holds::Outline, false, "To cut to"}},
    &runRules};
}
}  // namespace zp
