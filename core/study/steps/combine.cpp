#include "base/error.h"
#include "mapping/combine_maps.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runCombine(StepRun& r) {
  const auto from = r.sources("maps");
  std::vector<TrustedMap> maps;
  for (const auto* p : from) maps.push_back({p->file, {}});
  if (maps.empty()) throw Error("Combining takes two class maps or more.");
  for (const int code : r.step().value("keep", std::vector<int>()))
    if (code >= 1 && code <= 65535) maps[0].classes.insert(code);
  r.begin(ProductKind::ClassMap, ".tif");
  const auto given = combineMaps(maps, r.temporary, r.progress().part(0, 0.8));
  r.product.date = from[0]->date;
  Json told = Json::array();
  for (size_t m = 0; m < given.size(); ++m)
    told.push_back({{"map", from[m]->name}, {"pixels", given[m]}});
  r.product.facts["given"] = told;
  return r.finishClassMap(r.progress().part(0.8, 1));
}

}  // namespace

namespace steps {
extern const StepKind combine{
    "combine",
    "A class map from several, each heard where those before it have no class",
    {{"maps", Holds::Products, true, "Class maps, the most trusted first"},
     {"keep", Holds::Indices, false, "Classes of the first that count; all of them when left out"}},
    &runCombine};
}
}  // namespace zp
