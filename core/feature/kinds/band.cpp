#include <algorithm>

#include "base/error.h"
#include "base/text.h"
#include "base/words.h"
#include "feature/feature_kind.h"
#include "radar/decibels.h"
#include "scene/band_axis.h"

namespace zp {

size_t bandNamed(const Scene& scene, const std::string& text) {
  if (const int b = scene.bandOf(text); b >= 0) return static_cast<size_t>(b);
  const auto number = parseInteger(text);
  if (number && *number >= 1 && *number <= static_cast<long long>(scene.bands.size()))
    return static_cast<size_t>(*number - 1);
  std::vector<std::string> known = scene.roles();
  for (size_t b = 0; b < scene.bands.size(); ++b) {
    if (scene.bands[b].name == text) return b;
    known.push_back(scene.bands[b].name);
  }
  throw Error("“{}” is no band of “{}”; its bands are 1 to {}.{}", text, scene.name,
              scene.bands.size(), didYouMean(text, known));
}

namespace {

class Band : public Feature {
 public:
  Band(const std::string& name, FeaturePlane plane, bool decibels)
      : Feature(name, {plane}), decibels_(decibels) {}
  bool isPlane() const override { return true; }
  bool inDecibels() const override { return decibels_; }
  void compute(const std::vector<const float*>& planes, int width, int height, float* out,
               double) const override {
    std::copy_n(planes[0], static_cast<size_t>(width) * static_cast<size_t>(height), out);
  }

 private:
  bool decibels_;
};

std::shared_ptr<Feature> makeBand(const Scope& scope, size_t scene, const Json& settings) {
  const Scene& s = scope.scenes[scene].scene;
  const size_t band = bandNamed(s, settings.at("band"));
  return std::make_shared<Band>(calledBand(s.bands[band]), FeaturePlane{scene, band},
                                backscatterState(s) == ValueState::BackscatterDecibels);
}

}  // namespace

namespace features {
extern const FeatureKind band{"band",
                              words("Band"),
                              words("The values of one band, as the scene has them."),
                              "",
                              {{.id = "band",
                                .title = words("Band"),
                                .about = words("Its role, its number or its name."),
                                .type = Parameter::Type::Band}},
                              &makeBand};
}
}  // namespace zp
