#include "scene/combine.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <limits>

#include "base/error.h"
#include "base/nan.h"
#include "base/pair_moments.h"
#include "base/text.h"
#include "grid/block_pipeline.h"
#include "grid/pixel_box.h"

namespace zp {
namespace {

void requireSeveral(const std::vector<Scene>& scenes) {
  if (scenes.size() < 2) throw Error("One scene alone cannot be combined; choose two or more.");
}

std::vector<std::string> requireCommonRoles(const std::vector<Scene>& scenes) {
  requireSeveral(scenes);
  const auto roles = commonRoles(scenes);
  if (roles.empty())
    throw Error("The scenes have no band role in common; give their bands roles first.");
  return roles;
}

/// Scene by scene, the bands of these roles.
std::vector<BandSource> sourcesOf(const std::vector<Scene>& scenes,
                                  const std::vector<std::string>& roles) {
  std::vector<BandSource> all;
  for (const auto& s : scenes)
    for (const auto& r : roles) all.push_back({&s, static_cast<size_t>(s.bandOf(r))});
  return all;
}

SceneSpec specOf(const Scene& scene, const std::vector<std::string>& roles) {
  std::vector<size_t> bands;
  for (const auto& r : roles) bands.push_back(static_cast<size_t>(scene.bandOf(r)));
  return specLike(scene, bands);
}

/// Every pixel from one of several scenes: the one that `choose` names, −1 for none.
template <class Choose>
SceneKernel chosenScene(size_t scenes, size_t roles, Choose choose) {
  return [=](const BandBlock& in, std::vector<std::vector<float>>& out) {
    for (size_t p = 0; p < in.window.pixels(); ++p) {
      const auto valid = [&](size_t s) {
        for (size_t r = 0; r < roles; ++r)
          if (std::isnan(in.band(s * roles + r)[p])) return false;
        return true;
      };
      int best = -1;
      float worth = 0;
      for (size_t s = 0; s < scenes; ++s) {
        if (!valid(s)) continue;
        const float w = choose(in, s, p);
        if (best < 0 || w > worth) best = static_cast<int>(s), worth = w;
      }
      for (size_t r = 0; r < roles; ++r)
        out[r][p] = best < 0 ? kNan : in.band(static_cast<size_t>(best) * roles + r)[p];
    }
  };
}

float medianOf(std::vector<float>& v) {
  if (v.empty()) return kNan;
  std::sort(v.begin(), v.end());
  const size_t half = v.size() / 2;
  return v.size() % 2 == 1 ? v[half] : (v[half - 1] + v[half]) / 2;
}

/// What Gram–Schmidt needs of all valid pixels: how each band, and the sharp one, goes with the
/// mean of the bands.
struct WithMean {
  std::vector<PairMoments> bands;
  PairMoments sharp;
};

/// The mean of the bands at a pixel; NaN where one is missing.
float meanAt(const BandBlock& in, size_t bands, size_t p) {
  float sum = 0;
  for (size_t b = 0; b < bands; ++b) sum += in.band(b)[p];
  return sum / static_cast<float>(bands);
}

WithMean momentsOf(const BandReader& reader, size_t bands, const Progress& progress) {
  WithMean all{std::vector<PairMoments>(bands), {}};
  reduceBlocks(reader, progress, [&](const BandBlock& in) {
    for (size_t p = 0; p < in.window.pixels(); ++p) {
      const double mean = static_cast<double>(meanAt(in, bands, p)),
                   sharp = static_cast<double>(in.band(bands)[p]);
      if (std::isnan(mean + sharp)) continue;
      all.sharp.add(sharp, mean);
      for (size_t b = 0; b < bands; ++b) all.bands[b].add(static_cast<double>(in.band(b)[p]), mean);
    }
  });
  return all;
}

SceneKernel brovey(size_t bands) {
  return [bands](const BandBlock& in, std::vector<std::vector<float>>& out) {
    for (size_t p = 0; p < in.window.pixels(); ++p) {
      const float gain = in.band(bands)[p] / meanAt(in, bands, p);
      for (size_t b = 0; b < bands; ++b)
        out[b][p] = std::isfinite(gain) ? in.band(b)[p] * gain : kNan;
    }
  };
}

SceneKernel gramSchmidt(const WithMean& all, size_t bands) {
  const double mean = all.sharp.meanY(), variance = all.sharp.varianceY(),
               sharpMean = all.sharp.meanX(), together = all.sharp.covariance();
  if (!(variance > 0 && together > 0))
    throw Error("The sharp band does not follow the bands; choose others of one place and season.");
  // The sharp band is brought to the scale of the mean by how far it follows it. Their spreads
  // would not do: the detail adds to that of the sharp one, and coarse pixels would lose their
  // means.
  const double contrast = variance / together;
  std::vector<double> gains;
  for (const auto& band : all.bands) gains.push_back(band.covariance() / variance);
  return [=](const BandBlock& in, std::vector<std::vector<float>>& out) {
    for (size_t p = 0; p < in.window.pixels(); ++p) {
      const double sharp = (static_cast<double>(in.band(bands)[p]) - sharpMean) * contrast + mean;
      const double detail = sharp - static_cast<double>(meanAt(in, bands, p));
      for (size_t b = 0; b < bands; ++b)
        out[b][p] = static_cast<float>(static_cast<double>(in.band(b)[p]) + gains[b] * detail);
    }
  };
}

}  // namespace

std::vector<std::string> commonRoles(const std::vector<Scene>& scenes) {
  std::vector<std::string> roles;
  if (!scenes.empty()) roles = scenes[0].roles();
  std::erase_if(roles, [&](const std::string& r) {
    return std::any_of(scenes.begin(), scenes.end(),
                       [&](const Scene& s) { return s.bandOf(r) < 0; });
  });
  return roles;
}

Grid gridOver(const std::vector<Scene>& scenes) {
  const Grid& first = scenes.at(0).grid;
  double left = 0, top = 0, right = first.width, bottom = first.height;
  for (const auto& s : scenes) {
    if (!canBringTogether(first, s.grid))
      throw Error(
          "“{}” has no reference system, so it cannot be joined; give it one "
          "first.",
          s.name);
    const PixelBox box = boxOn(s.grid, first);
    left = std::min(left, std::floor(box.left)), right = std::max(right, std::floor(box.right) + 1);
    top = std::min(top, std::floor(box.top)), bottom = std::max(bottom, std::floor(box.bottom) + 1);
  }
  if (!std::isfinite(left + top + right + bottom) || (right - left) * (bottom - top) > 0x1p31)
    throw Error("The scenes lie too far apart to be one; choose adjoining ones.");
  return pieceOf(first,
                 {static_cast<int>(left), static_cast<int>(top), static_cast<int>(right - left),
                  static_cast<int>(bottom - top)},
                 static_cast<int>(right - left), static_cast<int>(bottom - top));
}

size_t stackBands(const std::vector<BandSource>& bands, const SceneSpec& spec,
                  const std::filesystem::path& temporary, const Progress& progress) {
  if (bands.empty()) throw Error("No band is chosen; choose one or more.");
  const BandReader reader(bands[0].scene->grid, bands);
  return makeScene(reader, spec, temporary, progress,
                   [](const BandBlock& in, std::vector<std::vector<float>>& out) {
                     for (size_t b = 0; b < out.size(); ++b)
                       out[b].assign(in.band(b), in.band(b) + in.window.pixels());
                   });
}

size_t joinScenes(const std::vector<Scene>& scenes, const std::filesystem::path& temporary,
                  const Progress& progress) {
  const auto roles = requireCommonRoles(scenes);
  const BandReader reader(gridOver(scenes), sourcesOf(scenes, roles));
  return makeScene(reader, specOf(scenes[0], roles), temporary, progress,
                   chosenScene(scenes.size(), roles.size(),
                               [](const BandBlock&, size_t, size_t) { return 0.0f; }));
}

size_t medianOfDates(const std::vector<Scene>& scenes, const std::filesystem::path& temporary,
                     const Progress& progress) {
  const auto roles = requireCommonRoles(scenes);
  const size_t dates = scenes.size(), count = roles.size();
  const BandReader reader(scenes[0].grid, sourcesOf(scenes, roles));
  return makeScene(reader, specOf(scenes[0], roles), temporary, progress,
                   [=](const BandBlock& in, std::vector<std::vector<float>>& out) {
                     std::vector<float> values;
                     for (size_t r = 0; r < count; ++r)
                       for (size_t p = 0; p < in.window.pixels(); ++p) {
                         values.clear();
                         for (size_t d = 0; d < dates; ++d)
                           if (const float v = in.band(d * count + r)[p]; !std::isnan(v))
                             values.push_back(v);
                         out[r][p] = medianOf(values);
                       }
                   });
}

size_t greenestOfDates(const std::vector<Scene>& scenes, const std::filesystem::path& temporary,
                       const Progress& progress) {
  const auto roles = requireCommonRoles(scenes);
  const auto at = [&](const char* role) {
    return static_cast<size_t>(std::find(roles.begin(), roles.end(), role) - roles.begin());
  };
  const size_t nir = at("nir"), red = at("red"), count = roles.size();
  if (nir == count || red == count)
    throw Error(
        "The greenest pixel needs bands nir and red in every scene; give them their roles.");
  const BandReader reader(scenes[0].grid, sourcesOf(scenes, roles));
  return makeScene(reader, specOf(scenes[0], roles), temporary, progress,
                   chosenScene(scenes.size(), count, [=](const BandBlock& in, size_t s, size_t p) {
                     const float n = in.band(s * count + nir)[p], r = in.band(s * count + red)[p];
                     const float green = (n - r) / (n + r);
                     return std::isfinite(green) ? green : -2.0f;
                   }));
}

size_t sharpen(const Scene& scene, const std::vector<size_t>& bands, const Scene& sharpScene,
               size_t sharpBand, Sharpening how, const std::filesystem::path& temporary,
               const Progress& progress) {
  if (bands.empty()) throw Error("No band to sharpen is chosen; choose one or more.");
  std::vector<BandSource> sources;
  for (size_t b : bands) sources.push_back({&scene, b});
  sources.push_back({&sharpScene, sharpBand});
  // The sharp band's own grid, not that of its scene, which may be finer still.
  const Grid grid = RasterFile(sharpScene.bands.at(sharpBand).file).grid().moved(sharpScene.shift);
  const BandReader reader(grid, sources);
  SceneSpec spec = specLike(scene, bands);
  spec.facts["fit_for_classes"] = "no";
  const SceneKernel kernel =
      how == Sharpening::Brovey
          ? brovey(bands.size())
          : gramSchmidt(momentsOf(reader, bands.size(), progress.part(0, 0.5)), bands.size());
  return makeScene(reader, spec, temporary, progress.part(0.5, 1), kernel);
}

}  // namespace zp
