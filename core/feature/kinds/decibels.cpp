#include "radar/decibels.h"

#include <algorithm>

#include "base/error.h"
#include "base/words.h"
#include "feature/feature_kind.h"
#include "scene/band_axis.h"

namespace zp {
namespace {

class Decibels : public Feature {
 public:
  Decibels(const std::string& name, FeaturePlane plane, bool power)
      : Feature(name, {plane}), power_(power) {}
  bool isPlane() const override { return !power_; }
  bool inDecibels() const override { return true; }
  void compute(const std::vector<const float*>& planes, int width, int height, float* out,
               double) const override {
    const size_t n = static_cast<size_t>(width) * static_cast<size_t>(height);
    const auto as = [this](float v) { return power_ ? toDecibels(v) : v; };
    std::transform(planes[0], planes[0] + n, out, as);
  }

 private:
  bool power_;
};

std::shared_ptr<Feature> makeDecibels(const Scope& scope, size_t scene, const Json& settings) {
  const Scene& s = scope.scenes[scene].scene;
  const size_t band = bandNamed(s, settings.at("band"));
  const ValueState state = backscatterState(s);
  if (!isBackscatter(state))
    throw Error(
        "“{}” is not known to hold backscatter, as power or in decibels; say what its values are.",
        s.name);
  return std::make_shared<Decibels>(calledBand(s.bands[band]) + " dB", FeaturePlane{scene, band},
                                    state == ValueState::BackscatterPower);
}

}  // namespace

namespace features {
extern const FeatureKind decibels{
    "decibels",
    words("Decibels"),
    words("Radar backscatter in decibels, whether the scene has power or decibels."),
    "",
    {{.id = "band",
      .title = words("Band"),
      .about = words("Its role, its number or its name."),
      .type = Parameter::Type::Band}},
    &makeDecibels};
}
}  // namespace zp
