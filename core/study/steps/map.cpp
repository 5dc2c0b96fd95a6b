#include "base/error.h"
#include "feature/feature_kind.h"
#include "mapping/make_map.h"
#include "mapping/model.h"
#include "study/steps/feature_lines.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

/// Older steps have the two parameters that there were among their fields.
Json settingsOf(const Json& step) {
  Json settings = step.value("settings", Json::object());
  if (const Json priors = step.value("priors", Json::object()); !priors.empty())
    settings["priors"] = priors;
  if (const Json reject = step.value("reject", Json()); !reject.is_null())
    settings["reject"] = reject;
  return settings;
}

Model modelOf(StepRun& r) {
  if (r.step().contains("model") == r.step().contains("method"))
    throw Error("A map is made by a method, or by a model; name one of them.");
  return r.step().contains("model") ? readModel(r.file("model")) : Model();
}

Product runMap(StepRun& r) {
  Model model = modelOf(r);
  const Scope scope = r.scope();
  const Scene& scene = scope.scenes[0].scene;
  const auto lines = featureLines(r.step(), scene, model.features);
  FeatureReader reader(scope, makeFeatures(lines, scope));
  if (model.classifier == nullptr)
    model = trainModel(reader, lines, r.step().at("method"), settingsOf(r.step()),
                       r.training(scope.grid.crs), r.study().legend, r.progress().part(0, 0.2));
  r.begin(ProductKind::ClassMap, ".tif");
  if (const auto inside = r.inside(scope.grid.crs)) reader.keepInside(*inside);
  makeMap(reader, *model.classifier, model.legend, r.temporary, r.progress().part(0.2, 0.8),
          r.beside("confidence"));
  if (const auto file = r.beside("model"); !file.empty()) writeJson(file, toJson(model));
  r.product.date = scene.date;
  r.product.facts = {{"training_pixels", model.trainingPixels},
                     {"conflicts", model.conflicts},
                     {"scene", scene.name}};
  if (const Json facts = model.classifier->facts(); !facts.empty())
    r.product.facts["training"] = facts;
  return r.finishClassMap(r.progress().part(0.85, 1), model.legend);
}

}  // namespace

namespace steps {
extern const StepKind map{
    "map",
    "A class map by a method trained on the study's training areas",
    {{"scene", Holds::Scene, true, "What is mapped, and whose features need no name"},
     {"features", Holds::Texts, false,
      "What it is mapped by, such as band(nir), index(ndvi); all bands when left out"},
     {"bands", Holds::Indices, false, "Instead of features: numbers of bands, from 0"},
     {"with", Holds::Named, false, "Other scenes and products that the features name"},
     {"method", Holds::Text, false, "One of those that zpatch methods tells"},
     {"model", Holds::File, false, "Instead of a method: a model that was trained before"},
     {"settings", Holds::Settings, false, "Its parameters; the usual ones when left out"},
     {"priors", Holds::Shares, false, "How common each class is, as in settings"},
     {"reject", Holds::Number, false, "Distance to stay without a class, as in settings"},
     {"inside", Holds::Outline, false, "To cut to"}},
    &runMap};
}
}  // namespace zp
