#include <numeric>

#include "base/error.h"
#include "base/words.h"
#include "feature/feature_kind.h"

namespace zp {
namespace {

/// The mean of some bands, where all have a value.
class Brightness : public Feature {
 public:
  using Feature::Feature;
  void compute(const std::vector<const float*>& planes, int width, int height, float* out,
               double) const override {
    const size_t n = static_cast<size_t>(width) * static_cast<size_t>(height);
    const float share = 1.0f / static_cast<float>(planes.size());
    std::copy_n(planes[0], n, out);
    for (size_t b = 1; b < planes.size(); ++b)
      for (size_t i = 0; i < n; ++i) out[i] += planes[b][i];
    for (size_t i = 0; i < n; ++i) out[i] *= share;
  }
};

std::shared_ptr<Feature> makeBrightness(const Scope& scope, size_t scene, const Json& settings) {
  const Scene& s = scope.scenes[scene].scene;
  if (s.state == ValueState::ClassCodes)
    throw Error("“{}” holds class codes, which have no mean; choose a scene.", s.name);
  std::vector<FeaturePlane> planes;
  const bool visible = settings.at("bands") == "visible";
  for (size_t b = 0; b < s.bands.size(); ++b) {
    const auto& role = s.bands[b].role;
    if (!visible || role == "blue" || role == "green" || role == "red")
      planes.push_back({scene, b});
  }
  if (planes.empty())
    throw Error("“{}” has no blue, green or red band; give a band that role first.", s.name);
  return std::make_shared<Brightness>(visible ? "visible brightness" : "brightness",
                                      std::move(planes));
}

}  // namespace

namespace features {
extern const FeatureKind brightness{
    "brightness",
    words("Brightness"),
    words("The mean of the bands of a scene: how light a pixel is, whatever its colour."),
    "",
    {{.id = "bands",
      .title = words("Bands"),
      .about = words("All of the scene, or blue, green and red alone."),
      .type = Parameter::Type::Choice,
      .initial = "all",
      .choices = {{"all", words("all")}, {"visible", words("visible")}}}},
    &makeBrightness};
}
}  // namespace zp
