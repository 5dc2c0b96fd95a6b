#include <cmath>

#include "base/error.h"
#include "base/words.h"
#include "feature/feature_kind.h"
#include "grid/crs.h"
#include "grid/gradient.h"
#include "scene/band_axis.h"

namespace zp {
namespace {

constexpr double kDegrees = 180 / 3.14159265358979323846;

/// At an edge, or beside a pixel without height, there is none.
class Slope : public Feature {
 public:
  Slope(const std::string& name, FeaturePlane plane, std::string of, double across, double down)
      : Feature(name, {plane}), of_(std::move(of)), across_(across), down_(down) {}
  int halo() const override { return 1; }
  void compute(const std::vector<const float*>& planes, int width, int height, float* out,
               double scale) const override {
    const size_t n = static_cast<size_t>(width) * static_cast<size_t>(height);
    std::vector<float> east(n), north(n);
    gradientOf(planes[0], width, height, across_ / scale, down_ / scale, east.data(), north.data());
    for (size_t i = 0; i < n; ++i)
      out[i] =
          static_cast<float>(valueOf(static_cast<double>(east[i]), static_cast<double>(north[i])));
  }

 private:
  /// Aspect is the way down; level ground has none, and is told as neither.
  double valueOf(double east, double north) const {
    const double steep = std::hypot(east, north);
    if (of_ == "slope") return std::atan(steep) * kDegrees;
    if (std::isnan(steep) || steep == 0) return steep;
    return of_ == "northness" ? -north / steep : -east / steep;
  }
  std::string of_;
  double across_, down_;
};

std::shared_ptr<Feature> makeSlope(const Scope& scope, size_t scene, const Json& settings) {
  const Scene& s = scope.scenes[scene].scene;
  const size_t band = bandNamed(s, settings.at("band"));
  if (scope.grid.crs.empty() || crsIsGeographic(scope.grid.crs))
    throw Error("Slope needs a grid in metres or feet; “{}” lies on none.",
                scope.scenes[0].scene.name);
  const double unit = crsMetresPerUnit(scope.grid.crs);
  const std::string of = settings.at("of");
  return std::make_shared<Slope>(fmt::format("{} of {}", of, calledBand(s.bands[band])),
                                 FeaturePlane{scene, band}, of, scope.grid.pixelWidth() * unit,
                                 scope.grid.pixelHeight() * unit);
}

}  // namespace

namespace features {
extern const FeatureKind slope{
    "slope",
    words("Slope and aspect"),
    words("How steep a layer of heights in metres is, in degrees, or how far its way down faces "
          "north (1) or south (−1), east or west."),
    words("Horn 1981"),
    {{.id = "band",
      .title = words("Height"),
      .about = words("The band with the heights: its role, its number or its name."),
      .type = Parameter::Type::Band,
      .initial = "1"},
     {.id = "of",
      .title = words("What of it"),
      .about = words("The slope, or the aspect as two features, for north is next to itself."),
      .type = Parameter::Type::Choice,
      .initial = "slope",
      .choices = {{"slope", words("slope")},
                  {"northness", words("faces north")},
                  {"eastness", words("faces east")}}}},
    &makeSlope};
}
}  // namespace zp
