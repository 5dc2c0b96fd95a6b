#include "study/steps/feature_lines.h"

#include "feature/feature_kind.h"
#include "study/steps/step_run.h"

namespace zp {

std::vector<std::string> featureLines(const Json& step, const Scene& scene,
                                      const std::vector<std::string>& known) {
  if (step.contains("features")) return step["features"].get<std::vector<std::string>>();
  if (!step.contains("bands") && !known.empty()) return known;
  const auto bands =
      step.contains("bands") ? step["bands"].get<std::vector<size_t>>() : bandsNamed("", scene);
  for (size_t b : bands) requireBand(scene, b);
  return bandLines(bands, scene);
}

}  // namespace zp
