#include "base/error.h"
#include "base/text.h"
#include "mapping/make_map.h"
#include "study/steps/step_run.h"
#include "training/signature.h"

namespace zp {
namespace {

MethodOptions optionsOf(const Json& step) {
  MethodOptions options;
  if (step.contains("priors"))
    for (const auto& [code, share] : step["priors"].items())
      options.priors[classCode(code, "the priors")] = share.get<double>();
  if (step.contains("reject") && step["reject"].is_number())
    options.reject = step["reject"].get<double>();
  return options;
}

Product run(StepRun& r) {
  const auto& scene = r.scene();
  const auto bands = r.step().at("bands").get<std::vector<size_t>>();
  if (bands.empty()) throw Error("No band is chosen; choose one or more.");
  for (size_t b : bands) requireBand(scene, b);
  const auto& legend = r.study().legend;
  const auto signatures =
      computeSignatures(scene, bands, labelPixels(r.training(scene.grid.crs), scene.grid), legend,
                        r.progress().part(0, 0.2));
  const auto classifier = makeClassifier(r.step().at("method"), signatures, optionsOf(r.step()));
  r.begin(ProductKind::ClassMap, ".tif");
  const auto inside = r.inside(scene.grid.crs);
  makeMap(scene, bands, *classifier, legend, r.temporary, r.progress().part(0.2, 0.8), {},
          inside ? &*inside : nullptr);
  r.product.date = scene.date;
  r.product.facts = {{"training_pixels", signatures.pixels()},
                     {"conflicts", signatures.conflicts},
                     {"scene", scene.name}};
  return r.finishClassMap(r.progress().part(0.85, 1), legend);
}

}  // namespace

namespace steps {
extern const StepKind map{
    "map",
    "A class map by a method trained on the study's training areas",
    {{"scene", Holds::Scene, true, "What is mapped"},
     {"bands", Holds::Indices, true, "Their numbers, from 0"},
     {"method", Holds::Text, true, "One of those that zpatch map lists"},
     {"priors", Holds::Shares, false, "How common each class is; equal when left out"},
     {"reject", Holds::Number, false, "Distance beyond which a pixel stays without a class"},
     {"inside", Holds::Outline, false, "To cut to"}},
    &run};
}
}  // namespace zp
