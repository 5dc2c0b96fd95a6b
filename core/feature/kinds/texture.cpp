#include "feature/texture.h"

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "base/words.h"
#include "feature/feature_kind.h"
#include "feature/odd_window.h"
#include "radar/decibels.h"
#include "scene/band_axis.h"
#include "scene/band_reader.h"

namespace zp {
namespace {

class Texture : public Feature {
 public:
  Texture(const std::string& name, FeaturePlane plane, TextureMeasure measure, int window,
          GreyLevels grey, bool power)
      : Feature(name, {plane}), measure_(measure), window_(window), grey_(grey), power_(power) {}
  int halo() const override { return window_ / 2; }
  void compute(const std::vector<const float*>& planes, int width, int height, float* out,
               double scale) const override {
    std::vector<float> values(planes[0],
                              planes[0] + static_cast<size_t>(width) * static_cast<size_t>(height));
    if (power_)
      for (float& v : values) v = toDecibels(v);
    values = texture(measure_, values, width, height, radiusAt(window_, scale), grey_);
    std::copy(values.begin(), values.end(), out);
  }

 private:
  TextureMeasure measure_;
  int window_;
  GreyLevels grey_;
  bool power_;
};

/// All but 2 % of a coarse look at either end.
GreyLevels levelsOf(const Scene& s, size_t band, bool power) {
  constexpr int kSide = 500;
  std::vector<float> values, valid;
  BandReader(s, {band}).readReduced({0, 0, s.grid.width, s.grid.height},
                                    std::min(s.grid.width, kSide), std::min(s.grid.height, kSide),
                                    values);
  for (const float v : values)
    if (const float as = power ? toDecibels(v) : v; std::isfinite(as)) valid.push_back(as);
  if (valid.empty()) throw Error("“{}” has no values, so no texture.", s.name);
  std::sort(valid.begin(), valid.end());
  const auto at = [&](double share) {
    return static_cast<double>(
        valid[static_cast<size_t>(share * static_cast<double>(valid.size() - 1) + 0.5)]);
  };
  return {.low = at(0.02), .high = at(0.98)};
}

std::shared_ptr<Feature> makeTexture(const Scope& scope, size_t scene, const Json& settings) {
  const Scene& s = scope.scenes[scene].scene;
  const size_t band = bandNamed(s, settings.at("band"));
  const std::string what = settings.at("measure");
  const bool power = backscatterState(s) == ValueState::BackscatterPower;
  GreyLevels grey{.low = 0, .high = 0};
  const bool both = settings.at("low").is_number() && settings.at("high").is_number();
  if (!both) grey = levelsOf(s, band, power);
  if (settings.at("low").is_number()) grey.low = settings["low"];
  if (settings.at("high").is_number()) grey.high = settings["high"];
  if (both && !(grey.high > grey.low))
    throw Error("The grey levels of a texture go from low to high; {} is not below {}.", grey.low,
                grey.high);
  if (!(grey.high > grey.low)) grey.high = grey.low + 1;  // the same everywhere
  const auto measure = what == "contrast"      ? TextureMeasure::Contrast
                       : what == "homogeneity" ? TextureMeasure::Homogeneity
                       : what == "entropy"     ? TextureMeasure::Entropy
                                               : TextureMeasure::Correlation;
  return std::make_shared<Texture>(fmt::format("{} {}", calledBand(s.bands[band]), what),
                                   FeaturePlane{scene, band}, measure,
                                   oddWindow(settings.at("window")), grey, power);
}

}  // namespace

namespace features {
extern const FeatureKind texture{
    "texture",
    words("Texture"),
    words("How the grey levels of neighbouring pixels go together around each pixel. It tells "
          "rough from smooth where the colours are alike."),
    words("Haralick, Shanmugam and Dinstein 1973"),
    {{.id = "band",
      .title = words("Band"),
      .about = words("Its role, its number or its name."),
      .type = Parameter::Type::Band},
     {.id = "measure",
      .title = words("Measure"),
      .about = words("Contrast and entropy are high where it is rough, homogeneity where it is "
                     "smooth, correlation where it changes gently."),
      .type = Parameter::Type::Choice,
      .initial = "homogeneity",
      .choices = {{"contrast", words("contrast")},
                  {"homogeneity", words("homogeneity")},
                  {"entropy", words("entropy")},
                  {"correlation", words("correlation")}}},
     windowParameter(7),
     {.id = "low",
      .title = words("Lowest level"),
      .about = words("The value of the darkest of the sixteen grey levels."),
      .unset = words("2 % of the scene lie below"),
      .seldom = true},
     {.id = "high",
      .title = words("Highest level"),
      .about = words("The value of the brightest grey level."),
      .unset = words("2 % of the scene lie above"),
      .seldom = true}},
    &makeTexture};
}
}  // namespace zp
