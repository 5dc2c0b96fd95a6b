#include "feature/feature_kind.h"
#include "mapping/make_map.h"
#include "mapping/model.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

std::vector<std::string> featuresOf(const Json& step, const Scene& scene) {
  if (step.contains("features")) return step["features"].get<std::vector<std::string>>();
  const auto bands = step.value("bands", std::vector<size_t>());
  for (size_t b : bands) requireBand(scene, b);
  return bandLines(bands, scene);
}

/// Older steps have the two parameters that there were among their fields.
Json settingsOf(const Json& step) {
  Json settings = step.value("settings", Json::object());
  if (const Json priors = step.value("priors", Json::object()); !priors.empty())
    settings["priors"] = priors;
  if (const Json reject = step.value("reject", Json()); !reject.is_null())
    settings["reject"] = reject;
  return settings;
}

Product run(StepRun& r) {
  const Scope scope = r.scope();
  const Scene& scene = scope.scenes[0].scene;
  const auto& legend = r.study().legend;
  const auto lines = featuresOf(r.step(), scene);
  FeatureReader reader(scope, makeFeatures(lines, scope));
  const Model model = trainModel(reader, lines, r.step().at("method"), settingsOf(r.step()),
                                 r.training(scope.grid.crs), legend, r.progress().part(0, 0.2));
  r.begin(ProductKind::ClassMap, ".tif");
  if (const auto inside = r.inside(scope.grid.crs)) reader.keepInside(*inside);
  makeMap(reader, *model.classifier, legend, r.temporary, r.progress().part(0.2, 0.8));
  r.product.date = scene.date;
  r.product.facts = {{"training_pixels", model.trainingPixels},
                     {"conflicts", model.conflicts},
                     {"scene", scene.name}};
  return r.finishClassMap(r.progress().part(0.85, 1), legend);
}

}  // namespace

namespace steps {
extern const StepKind map{
    "map",
    "A class map by a method trained on the study's training areas",
    {{"scene", Holds::Scene, true, "What is mapped, and whose features need no name"},
     {"features", Holds::Texts, false, "What it is mapped by, such as band(nir), index(ndvi)"},
     {"bands", Holds::Indices, false, "Instead of features: numbers of bands, from 0"},
     {"with", Holds::Named, false, "Other scenes and products that the features name"},
     {"method", Holds::Text, true, "One of those that zpatch methods tells"},
     {"settings", Holds::Settings, false, "Its parameters; the usual ones when left out"},
     {"priors", Holds::Shares, false, "How common each class is, as in settings"},
     {"reject", Holds::Number, false, "Distance to stay without a class, as in settings"},
     {"inside", Holds::Outline, false, "To cut to"}},
    &run};
}
}  // namespace zp
