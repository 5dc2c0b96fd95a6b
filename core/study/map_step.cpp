#include "study/map_step.h"

#include "feature/feature_kind.h"
#include "study/steps/feature_lines.h"
#include "study/study_scope.h"

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

}  // namespace

StepFeatures featuresOfStep(const Study& study, const Json& step) {
  StepFeatures of{
      studyScope(study, step.at("scene"), step.value("with", std::map<std::string, std::string>())),
      {},
      {}};
  of.lines = featureLines(step, of.scope.scenes[0].scene);
  of.features = makeFeatures(of.lines, of.scope);
  return of;
}

Samples samplesOfStep(const Study& study, const Json& step, const Progress& progress) {
  const StepFeatures of = featuresOfStep(study, step);
  return drawSamples(of.reader(), trainingIn(study, of.scope.grid.crs), study.legend, {}, progress);
}

MapPlan planOfStep(const Json& step) {
  return {step.at("method"), settingsOf(step),
          subclassesFrom(step.value("subclasses", idOf(Subclasses::Together))),
          step.value("least", 0.0)};
}

}  // namespace zp
