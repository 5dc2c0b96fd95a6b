#include "study/report_pictures.h"

#include <algorithm>
#include <cmath>
#include <map>

#include "grid/crs.h"
#include "scene/band_reader.h"

namespace zp {
namespace {

constexpr float kLift = 0.7f;   // lifts dark values of natural colours, as an eye does
constexpr int kOverview = 400;  // pixels along a side that the stretch is taken from

std::vector<Composite>::const_iterator naturalOf(const std::vector<Composite>& all) {
  return std::find_if(all.begin(), all.end(), [](const auto& c) { return c.id == "natural"; });
}

bool isNatural(const Scene& scene) {
  const auto can = compositesOf(scene);
  return naturalOf(can) != can.end();
}

std::vector<BandSource> bandsShown(const Scene& scene) {
  const auto can = compositesOf(scene);
  const auto shown = isNatural(scene) ? naturalOf(can) : can.begin();
  std::vector<BandSource> bands;
  for (size_t i = 0; i < 3; ++i)
    bands.push_back({&scene, can.empty() ? 0 : static_cast<size_t>(scene.bandOf(shown->roles[i]))});
  return bands;
}

struct Ends {
  float low = 0, high = 1;
};

Ends endsOf(std::vector<float> values) {
  values.erase(std::remove_if(values.begin(), values.end(), [](float v) { return std::isnan(v); }),
               values.end());
  if (values.empty()) return {};
  const auto at = [&](double share) {
    const auto i = static_cast<std::ptrdiff_t>(share * static_cast<double>(values.size() - 1));
    std::nth_element(values.begin(), values.begin() + i, values.end());
    return values[static_cast<size_t>(i)];
  };
  const float low = at(0.01), high = at(0.99);
  return high > low ? Ends{low, high} : Ends{low, low + 1};
}

std::vector<Ends> stretchOf(const Scene& scene, const std::vector<BandSource>& bands) {
  const BandReader whole(scene.grid, bands);
  const Window w{0, 0, scene.grid.width, scene.grid.height};
  const int width = std::min(kOverview, w.width), height = std::min(kOverview, w.height);
  std::vector<float> values;
  whole.readReduced(w, width, height, values);
  const auto n = static_cast<std::ptrdiff_t>(width) * height;
  std::vector<Ends> ends;
  for (std::ptrdiff_t i = 0; i < 3; ++i)
    ends.push_back(endsOf({values.begin() + i * n, values.begin() + (i + 1) * n}));
  if (!isNatural(scene)) return ends;
  // One for all three, so that the colours stay what they are.
  Ends all = ends[0];
  for (const auto& e : ends) all = {std::min(all.low, e.low), std::max(all.high, e.high)};
  return {all, all, all};
}

}  // namespace

Pixels classPicture(const std::filesystem::path& map, const Legend& legend, int most,
                    const Progress& progress) {
  const RasterFile file(map);
  const Grid& g = file.grid();
  const double factor = std::min(1.0, static_cast<double>(most) / std::max(g.width, g.height));
  Pixels picture{std::max(1, static_cast<int>(std::lround(g.width * factor))),
                 std::max(1, static_cast<int>(std::lround(g.height * factor))),
                 {}};
  const size_t n = static_cast<size_t>(picture.width) * static_cast<size_t>(picture.height);
  std::vector<uint16_t> codes(n);
  progress.check();
  file.readCodes(1, {0, 0, g.width, g.height}, codes.data(), picture.width, picture.height);
  picture.rgba.assign(4 * n, 0);
  std::map<int, Colour> colours;
  for (const auto& c : legend.classes) colours[c.code] = c.colour;
  for (size_t i = 0; i < n; ++i) {
    if (codes[i] == 0) continue;
    const auto at = colours.find(codes[i]);
    const Colour c = at != colours.end() ? at->second : Colour{128, 128, 128};
    const uint8_t rgba[] = {c.r, c.g, c.b, 255};
    std::copy(rgba, rgba + 4, picture.rgba.begin() + static_cast<std::ptrdiff_t>(4 * i));
  }
  return picture;
}

Pixels chipPicture(const Scene& scene, Place centre, const std::string& crs, int width,
                   int height) {
  CrsChange(crs, scene.grid.crs).apply(centre);
  const Place pixel = scene.grid.toPixel(centre);
  Grid chip = scene.grid;
  const Place corner =
      scene.grid.toMap(std::floor(pixel.x) - width / 2, std::floor(pixel.y) - height / 2);
  chip.width = width;
  chip.height = height;
  chip.transform[0] = corner.x;
  chip.transform[3] = corner.y;
  const auto bands = bandsShown(scene);
  const auto ends = stretchOf(scene, bands);
  const bool natural = isNatural(scene);
  BandBlock block;
  BandReader(chip, bands).read({0, 0, width, height}, block);
  Pixels picture{width, height, std::vector<uint8_t>(4 * block.window.pixels(), 0)};
  for (size_t i = 0; i < block.window.pixels(); ++i) {
    bool valid = true;
    for (size_t b = 0; b < 3; ++b) {
      const float v = block.band(b)[i];
      valid = valid && !std::isnan(v);
      float share = std::clamp((v - ends[b].low) / (ends[b].high - ends[b].low), 0.0f, 1.0f);
      if (natural) share = std::pow(share, kLift);
      picture.rgba[4 * i + b] = valid ? static_cast<uint8_t>(std::lround(255 * share)) : 0;
    }
    picture.rgba[4 * i + 3] = valid ? 255 : 0;
  }
  return picture;
}

}  // namespace zp
