#include "spectra.h"

#include <algorithm>
#include <cmath>

#include "base/random.h"
#include "noise.h"

namespace haven {
namespace {

enum Material {
  DeepWater,
  Silt,
  WetMud,
  DrySand,
  Soil,
  PaleSoil,
  Litter,
  Grass,
  MarshLeaf,
  ReedLeaf,
  WillowLeaf,
  Canopy,
  Needles,
  RoofTile,
  Asphalt,
  Rock,
  Blossom
};

// Reflectance at 486, 556, 662, 731, 803, 871, 1622 and 2178 nm.
constexpr float kMaterials[][kBands] = {{.036f, .040f, .022f, .014f, .009f, .008f, .004f, .003f},
                                        {.080f, .104f, .090f, .066f, .044f, .038f, .009f, .006f},
                                        {.092f, .108f, .122f, .134f, .142f, .146f, .104f, .066f},
                                        {.120f, .164f, .194f, .214f, .230f, .238f, .262f, .228f},
                                        {.062f, .088f, .122f, .150f, .178f, .196f, .265f, .222f},
                                        {.110f, .152f, .200f, .232f, .258f, .274f, .350f, .302f},
                                        {.078f, .116f, .162f, .212f, .262f, .286f, .318f, .214f},
                                        {.030f, .074f, .036f, .258f, .425f, .446f, .212f, .102f},
                                        {.044f, .072f, .062f, .172f, .262f, .282f, .158f, .084f},
                                        {.030f, .064f, .042f, .218f, .356f, .380f, .196f, .090f},
                                        {.027f, .066f, .032f, .262f, .445f, .468f, .202f, .086f},
                                        {.020f, .046f, .024f, .212f, .366f, .388f, .150f, .060f},
                                        {.017f, .032f, .021f, .124f, .212f, .228f, .084f, .034f},
                                        {.112f, .122f, .158f, .172f, .186f, .194f, .232f, .222f},
                                        {.098f, .102f, .108f, .114f, .119f, .122f, .142f, .140f},
                                        {.292f, .328f, .356f, .374f, .388f, .394f, .416f, .372f},
                                        {.042f, .172f, .158f, .318f, .416f, .430f, .206f, .104f}};

/// How a cover is mixed: green leaf, litter and ground through the year.
struct Recipe {
  Material leaf, ground;
  float spring, summer, autumn;  // share of green leaf
  float litter;                  // share of what is not leaf
  float grain;                   // how rough it looks
};
constexpr Recipe kRecipes[kCovers] = {{MarshLeaf, DeepWater, 0, 0, 0, 0, .03f},
                                      {MarshLeaf, Silt, 0, 0, 0, 0, .05f},
                                      {MarshLeaf, WetMud, .03f, .05f, .04f, 0, .08f},
                                      {MarshLeaf, DrySand, 0, 0, 0, 0, .07f},
                                      {MarshLeaf, WetMud, .25f, .52f, .42f, .05f, .12f},
                                      {MarshLeaf, Soil, .48f, .80f, .58f, .45f, .11f},
                                      {ReedLeaf, WetMud, .22f, .66f, .40f, .92f, .10f},
                                      {ReedLeaf, WetMud, .34f, .66f, .42f, .45f, .10f},
                                      {WillowLeaf, Soil, .45f, .74f, .55f, .25f, .12f},
                                      {WillowLeaf, Soil, .66f, .90f, .66f, .30f, .15f},
                                      {Grass, Soil, .76f, .80f, .74f, .30f, .07f},
                                      {Grass, PaleSoil, .50f, .44f, .46f, .50f, .08f},
                                      {Grass, Soil, .05f, .10f, .16f, .05f, .07f},
                                      {Grass, Soil, .55f, .92f, .30f, .10f, .06f},
                                      {Blossom, PaleSoil, .82f, .16f, .10f, .72f, .06f},
                                      {Canopy, Soil, .74f, .96f, .76f, .50f, .30f},
                                      {Needles, Soil, .92f, .92f, .92f, .40f, .26f},
                                      {Grass, RoofTile, 0, 0, 0, 0, .24f},
                                      {Grass, Soil, .55f, .62f, .52f, .25f, .25f},
                                      {Grass, Asphalt, .03f, .03f, .03f, 0, .08f},
                                      {Grass, Rock, .02f, .03f, .03f, 0, .16f}};

double leafShare(const Recipe& r, double season) {
  const double t = std::clamp(season, 0.0, 1.0) * 2;
  return t < 1 ? r.spring + t * (r.summer - r.spring) : r.summer + (t - 1) * (r.autumn - r.summer);
}

}  // namespace

Texture makeTexture() {
  Texture t;
  for (auto* field : {&t.moisture, &t.age, &t.grain}) field->resize(kPixels);
  forRows(kHeight, [&](int row) {
    for (int col = 0; col < kWidth; ++col) {
      const size_t i = static_cast<size_t>(row) * kWidth + static_cast<size_t>(col);
      const double x = col * kPixel, y = row * kPixel;
      t.moisture[i] = static_cast<float>(layered(x / 420, y / 420, 3, 201));
      t.age[i] = static_cast<float>(layered(x / 170, y / 170, 3, 202));
      t.grain[i] =
          static_cast<float>(0.5 * noise(x / 4.2, y / 4.2, 207) + 0.5 * noise(x / 11, y / 11, 208) +
                             0.25 * bell(zp::mix(i, 209)));
    }
  });
  return t;
}

double bell(uint64_t key) {
  double sum = -6;
  for (uint64_t i = 0; i < 3; ++i) {
    const uint64_t bits = zp::mix(key, i);
    for (int part = 0; part < 4; ++part)
      sum += static_cast<double>((bits >> (16 * part)) & 0xffff) / 65536.0;
  }
  return sum;
}

double shade(const World& world, int column, int row) {
  const auto h = [&](int c, int r) {
    return world.estuary.height[static_cast<size_t>(std::clamp(r, 0, kHeight - 1)) * kWidth +
                                static_cast<size_t>(std::clamp(c, 0, kWidth - 1))];
  };
  const double fall =
      (h(column + 8, row) - h(column - 8, row)) - (h(column, row - 8) - h(column, row + 8)) * 0.6;
  return std::clamp(1 + 0.02 * fall, 0.8, 1.2);
}

Spectrum reflectance(const World& world, int column, int row, const Moment& m) {
  const size_t i = static_cast<size_t>(row) * kWidth + static_cast<size_t>(column);
  const Cover cover = m.afterBreach ? world.after[i] : world.before[i];
  const Recipe& r = kRecipes[static_cast<size_t>(cover)];
  const double x = column * kPixel, y = row * kPixel;
  const double moist = world.texture.moisture[i], age = world.texture.age[i];
  const bool tidal = cover == Cover::LowMarsh || cover == Cover::HighMarsh ||
                     cover == Cover::ReedUncut || cover == Cover::ReedCut;
  double leaf =
      leafShare(r, m.season) * (1 + (tidal ? 0.30 : 0.14) * age + (tidal ? 0.24 : 0.10) * moist);
  double damp = 0.10 * moist;
  const bool field =
      cover == Cover::FieldBare || cover == Cover::FieldLeaf || cover == Cover::FieldYellow;
  if (field || cover == Cover::WetMeadow) {
    const uint16_t f = world.field[i];
    leaf *= 0.78 + 0.4 * chance(f, 1, 203);
    damp += 0.32 * (chance(f, 2, 204) - 0.5);
    if (cover == Cover::FieldBare) leaf += 0.12 * chance(f, 3, 205);
  }
  leaf = std::clamp(leaf, 0.0, 0.98);
  const double rest = 1 - leaf, litter = rest * r.litter * (0.75 + 0.25 * age);
  Spectrum s{};
  const float* ground = kMaterials[r.ground];
  // Depth clears the water, wind and silt cloud it.
  double clear = 0;
  if (cover == Cover::ClearWater || cover == Cover::SiltyWater) {
    const double depth = -world.estuary.height[i];
    clear = smooth(0.2, 6.5, depth + 1.1 * layered(x / 900, y / 500, 4, 206));
  }
  const double grain = 1 + r.grain * world.texture.grain[i];
  const double roofs = cover == Cover::Roof ? 0.7 + 0.7 * chance(static_cast<int64_t>(x / 20),
                                                                 static_cast<int64_t>(y / 16), 210)
                                            : 1;
  for (size_t b = 0; b < kBands; ++b) {
    double base = ground[b];
    if (clear > 0)
      base = kMaterials[Silt][b] + clear * (kMaterials[DeepWater][b] - kMaterials[Silt][b]);
    base *= 1 - damp * (b >= 6 ? 1.5 : 0.8);
    double v = leaf * kMaterials[r.leaf][b] + litter * kMaterials[Litter][b] +
               (rest - litter) * base * roofs;
    if (cover == Cover::ReedUncut || cover == Cover::ReedCut || cover == Cover::LowMarsh)
      v *= 1 - 0.10 * std::max(0.0, moist) * (b >= 4 ? 1 : 0.4);
    s[b] = static_cast<float>(v * grain);
  }
  return s;
}

std::vector<std::vector<float>> finchScene(const World& world, const Moment& m, double haze) {
  constexpr int w = kWidth / 4, h = kHeight / 4;
  static constexpr double kHaze[kBands] = {1, .72, .45, .34, .27, .22, .06, .03};
  std::vector<std::vector<float>> bands(kBands, std::vector<float>(static_cast<size_t>(w) * h));
  forRows(h, [&](int r) {
    for (int c = 0; c < w; ++c) {
      std::array<double, kBands> sum{};
      for (int y = 0; y < 4; ++y)
        for (int x = 0; x < 4; ++x) {
          const Spectrum s = reflectance(world, c * 4 + x, r * 4 + y, m);
          for (size_t b = 0; b < kBands; ++b) sum[b] += s[b];
        }
      const size_t i = static_cast<size_t>(r) * w + static_cast<size_t>(c);
      const double light = shade(world, c * 4 + 2, r * 4 + 2);
      const double veil = haze * (1 + 0.5 * layered(c / 260.0, r / 260.0, 2, m.seed));
      for (size_t b = 0; b < kBands; ++b) {
        const double clean = sum[b] / 16 * light + veil * kHaze[b];
        bands[b][i] =
            static_cast<float>(clean + (0.0012 + 0.006 * clean) * bell(zp::mix(i * 8 + b, m.seed)));
      }
    }
  });
  return bands;
}

std::vector<std::vector<uint8_t>> kitePicture(const World& world, const Moment& m) {
  std::vector<std::vector<uint8_t>> rgb(3, std::vector<uint8_t>(kPixels));
  forRows(kHeight, [&](int r) {
    for (int c = 0; c < kWidth; ++c) {
      const Spectrum s = reflectance(world, c, r, m);
      const double light = shade(world, c, r);
      const size_t i = static_cast<size_t>(r) * kWidth + static_cast<size_t>(c);
      const size_t bands[3] = {2, 1, 0};
      for (size_t k = 0; k < 3; ++k) {
        const double v =
            std::max(0.0, s[bands[k]] * light + 0.006 + 0.0015 * bell(zp::mix(i * 3 + k, m.seed)));
        const double t = std::max(0.0, (v - 0.014) / 0.27);
        rgb[k][i] =
            static_cast<uint8_t>(std::clamp(255 * (0.45 * t + 0.55 * std::sqrt(t)), 1.0, 255.0));
      }
    }
  });
  return rgb;
}

}  // namespace haven
