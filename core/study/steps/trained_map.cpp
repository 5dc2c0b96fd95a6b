#include "study/steps/trained_map.h"

#include "base/error.h"
#include "feature/feature_kind.h"
#include "study/map_step.h"
#include "study/steps/feature_lines.h"

namespace zp {
TrainedMap trainedMap(StepRun& r, const Json& step, const Progress& progress) {
  if (step.contains("model") == step.contains("method"))
    throw Error("A map is made by a method, or by a model; name one of them.");
  TrainedMap map;
  const bool known = step.contains("model") || step.contains("signatures");
  if (step.contains("model")) map.model = readModel(r.study().absolute(step["model"]));
  if (step.contains("signatures"))
    map.model = modelOf(readSignatures(r.study().absolute(step["signatures"])), planOfStep(step),
                        r.study().legend);
  const Scope scope = r.scopeIn(step);
  map.scene = scope.scenes[0].scene.name;
  map.date = scope.scenes[0].scene.date;
  map.lines = featureLines(step, scope.scenes[0].scene, map.model.features);
  map.reader = std::make_unique<FeatureReader>(scope, makeFeatures(map.lines, scope));
  if (!known) {
    map.samples = drawSamples(*map.reader, r.training(scope.grid.crs), r.study().legend, {},
                              progress.part(0, 0.6));
    map.model = trainOn(map.samples, planOfStep(step), r.study().legend, progress.part(0.6, 1));
  }
  map.model.features = map.lines;
  if (const auto inside = r.insideIn(step, scope.grid.crs)) map.reader->keepInside(*inside);
  map.kept = r.keptIn(step);
  if (map.kept) map.reader->keepRest(*map.kept);
  return map;
}

Unlikeness unlikenessOf(const TrainedMap& map) {
  if (map.samples.size() == 0)
    throw Error(
        "The map was made by a model that was trained elsewhere; its training is not here.");
  return Unlikeness(map.samples, importanceOf(*map.model.classifier));
}

TrainedMap trainedMap(StepRun& r, const Product& map, const Progress& progress) {
  if (map.step.value("do", "") != "map")
    throw Error("“{}” is no trained map; choose one that was made from training areas.", map.name);
  return trainedMap(r, map.step, progress);
}

}  // namespace zp
