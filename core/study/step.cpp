#include "study/step.h"

#include <algorithm>

#include "base/error.h"
#include "feature/feature_kind.h"
#include "legend/class_map.h"
#include "study/steps/step_run.h"

namespace fs = std::filesystem;

namespace zp {

namespace {

const StepKind& kindOf(const Json& step) {
  const StepKind& kind = stepKind(step.value("do", ""));
  requireFields(kind, step);
  return kind;
}

Product done(const StepKind& kind, StepRun&& run) {
  try {
    return kind.run(run);
  } catch (const Json::exception&) {
    throw Error("The step “{}” holds what cannot be used here; zpatch run --list tells its fields.",
                kind.id);
  }
}

}  // namespace

Product runStep(const Study& study, const Json& step, const Progress& progress,
                const Product* again) {
  const StepKind& kind = kindOf(step);
  return done(kind, StepRun(study, step, progress, again));
}

Product runStepTo(const StepFiles& files, const Study& study, const Json& step,
                  const Progress& progress) {
  const StepKind& kind = kindOf(step);
  return done(kind, StepRun(study, step, progress, nullptr, &files));
}

void exportClassPolygons(const Product& map, const std::vector<int>& codes, const fs::path& target,
                         const Progress& progress, const PolygonOptions& options) {
  Outputs outputs(true);
  const fs::path temporary = outputs.add(target, {map.file});
  std::map<int, std::string> keep;
  for (const auto& c : legendOf(RasterFile(map.file)).classes)
    if (std::find(codes.begin(), codes.end(), c.code) != codes.end()) keep[c.code] = c.name;
  const Layer layer = classPolygons(map.file, keep, progress, options);
  writeLayer(temporary, target, layer, {FieldType::Integer, FieldType::Text, FieldType::Real});
  outputs.commit();
}

}  // namespace zp
