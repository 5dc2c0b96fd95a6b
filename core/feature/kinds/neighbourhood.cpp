#include <algorithm>

#include "base/error.h"
#include "base/words.h"
#include "feature/feature_kind.h"
#include "feature/odd_window.h"
#include "index/window_statistics.h"
#include "radar/decibels.h"
#include "scene/band_axis.h"

namespace zp {
namespace {

/// Backscatter is averaged as power and told in decibels.
class Neighbourhood : public Feature {
 public:
  Neighbourhood(const std::string& name, FeaturePlane plane, WindowFunction function, int window,
                ValueState state)
      : Feature(name, {plane}), function_(function), window_(window), state_(state) {}
  int halo() const override { return window_ / 2; }
  bool inDecibels() const override {
    return function_ == WindowFunction::Mean && isBackscatter(state_);
  }
  void compute(const std::vector<const float*>& planes, int width, int height, float* out,
               double scale) const override {
    const size_t n = static_cast<size_t>(width) * static_cast<size_t>(height);
    std::vector<float> values(planes[0], planes[0] + n);
    const bool mean = function_ == WindowFunction::Mean;
    if (mean && state_ == ValueState::BackscatterDecibels)
      for (float& v : values) v = toPower(v);
    if (!mean && state_ == ValueState::BackscatterPower)
      for (float& v : values) v = toDecibels(v);
    values = inWindow(function_, values, width, height, radiusAt(window_, scale));
    if (inDecibels())
      for (float& v : values) v = toDecibels(v);
    std::copy(values.begin(), values.end(), out);
  }

 private:
  WindowFunction function_;
  int window_;
  ValueState state_;
};

std::shared_ptr<Feature> makeNeighbourhood(const Scope& scope, size_t scene, const Json& settings) {
  const Scene& s = scope.scenes[scene].scene;
  const size_t band = bandNamed(s, settings.at("band"));
  const bool mean = settings.at("of") == "mean";
  const int window = oddWindow(settings.at("window"));
  return std::make_shared<Neighbourhood>(
      fmt::format("{} {} in {}", calledBand(s.bands[band]), mean ? "mean" : "spread", window),
      FeaturePlane{scene, band}, mean ? WindowFunction::Mean : WindowFunction::Spread, window,
      backscatterState(s));
}

}  // namespace

namespace features {
extern const FeatureKind neighbourhood{
    "neighbourhood",
    words("Neighbourhood"),
    words("The mean or the spread of a band around each pixel. Radar is averaged as power and told "
          "in decibels, which quiets its speckle."),
    "",
    {{.id = "band",
      .title = words("Band"),
      .about = words("Its role, its number or its name."),
      .type = Parameter::Type::Band},
     {.id = "of",
      .title = words("Of it"),
      .about = words("The mean, or the spread, of the pixels around."),
      .type = Parameter::Type::Choice,
      .initial = "mean",
      .choices = {{"mean", words("mean")}, {"spread", words("spread")}}},
     windowParameter(5)},
    &makeNeighbourhood};
}
}  // namespace zp
