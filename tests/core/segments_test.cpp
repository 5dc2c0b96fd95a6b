// Segments by what they must be: all pixels in one, connected, even within, told by their own
// pixels.
#include "mapping/segments.h"

#include <cmath>
#include <queue>
#include <set>

#include "base/random.h"
#include "feature/feature_kind.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

class SegmentsMade : public ::testing::Test {
 protected:
  /// Four fields, of which one band tells the left from the right and the other the top from the
  /// bottom, with noise far below their difference.
  void write(int width, int height) {
    width_ = width, height_ = height;
    Random random(3);
    for (int y = 0; y < height; ++y)
      for (int x = 0; x < width; ++x) {
        red_.push_back(static_cast<float>((x < width / 2 ? 0.1 : 0.5) + 0.02 * random.uniform()));
        nir_.push_back(static_cast<float>((y < height / 2 ? 0.2 : 0.7) + 0.02 * random.uniform()));
      }
  }
  void set(int x, int y, float value) { red_[at(x, y)] = value; }
  void segment(const Json& settings,
               const std::vector<std::string>& lines = {"band(red)", "band(nir)"}) {
    writeFloats(folder_ / "s.tif", metricGrid(width_, height_), {red_, nir_}, {"red", "nir"}, -1);
    Scene scene = openScene(folder_ / "s.tif");
    setRoles(scene, {{"red", 1}, {"nir", 2}});
    scene.state = state_;
    const Scope scope{scene};
    found_ = makeSegments(scope, FeatureReader(scope, makeFeatures(lines, scope)), settings,
                          folder_ / "made.tif");
    made_ = openScene(folder_ / "made.tif");
    for (int band = 1; band <= static_cast<int>(made_.bands.size()); ++band)
      bands_.push_back(readFloats(folder_ / "made.tif", band));
  }
  size_t at(int x, int y) const {
    return static_cast<size_t>(y) * static_cast<size_t>(width_) + static_cast<size_t>(x);
  }
  /// Pixels that are joined by sides and have the same values in every band.
  std::vector<std::vector<size_t>> pieces() const {
    std::vector<std::vector<size_t>> all;
    std::vector<char> seen(red_.size());
    const auto same = [&](size_t a, size_t b) {
      for (const auto& band : bands_)
        if (band[a] != band[b]) return false;
      return true;
    };
    for (size_t start = 0; start < seen.size(); ++start) {
      if (seen[start] || std::isnan(bands_[0][start])) continue;
      auto& piece = all.emplace_back();
      std::queue<size_t> next({start});
      seen[start] = 1;
      while (!next.empty()) {
        const size_t i = next.front();
        next.pop();
        piece.push_back(i);
        const int x = static_cast<int>(i) % width_, y = static_cast<int>(i) / width_;
        for (const auto& [u, v] : {std::pair{x - 1, y}, {x + 1, y}, {x, y - 1}, {x, y + 1}}) {
          if (u < 0 || v < 0 || u >= width_ || v >= height_) continue;
          if (const size_t j = at(u, v); !seen[j] && same(i, j)) seen[j] = 1, next.push(j);
        }
      }
    }
    return all;
  }

  Folder folder_;
  int width_ = 0, height_ = 0;
  ValueState state_ = ValueState::SurfaceReflectance;
  std::vector<float> red_, nir_;
  Segments found_;
  Scene made_;
  std::vector<std::vector<float>> bands_;
};

enum Band { RedMean, RedSpread, NirMean, NirSpread, Size, Compactness };

TEST_F(SegmentsMade, EachIsOnePieceToldByItsOwnPixels) {
  write(123, 77);
  segment({{"pixels", 30}});
  const auto all = pieces();
  EXPECT_EQ(all.size(), found_.count);
  EXPECT_EQ(found_.pixels, red_.size());
  EXPECT_NEAR(static_cast<double>(all.size()), 123 * 77 / 30.0, 123 * 77 / 30.0 * 0.5);
  for (const auto& piece : all) {
    double sum = 0, squares = 0, around = 0;
    for (const size_t i : piece) {
      sum += static_cast<double>(red_[i]);
      const std::set<size_t> own(piece.begin(), piece.end());
      const int x = static_cast<int>(i) % width_, y = static_cast<int>(i) / width_;
      for (const auto& [u, v] : {std::pair{x - 1, y}, {x + 1, y}, {x, y - 1}, {x, y + 1}})
        if (u < 0 || v < 0 || u >= width_ || v >= height_ || !own.contains(at(u, v))) around += 1;
    }
    const auto n = static_cast<double>(piece.size());
    for (const size_t i : piece) squares += std::pow(static_cast<double>(red_[i]) - sum / n, 2);
    EXPECT_NEAR(bands_[RedMean][piece[0]], sum / n, 1e-6);
    EXPECT_NEAR(bands_[RedSpread][piece[0]], n > 1 ? std::sqrt(squares / (n - 1)) : 0, 1e-5);
    EXPECT_EQ(bands_[Size][piece[0]], n);
    EXPECT_NEAR(bands_[Compactness][piece[0]], 4 * M_PI * n / (around * around), 1e-6);
    EXPECT_GE(n, 30 / 4);
  }
}

TEST_F(SegmentsMade, NoneReachesAcrossAnEdge) {
  write(101, 90);
  segment({{"pixels", 40}});
  for (const auto& piece : pieces()) {
    std::set<int> fields;
    for (const size_t i : piece) fields.insert((red_[i] > 0.3f) + 2 * (nir_[i] > 0.45f));
    EXPECT_EQ(fields.size(), 1u);
  }
}

TEST_F(SegmentsMade, CompactOnesAreEvenSquares) {
  write(100, 100);
  std::fill(red_.begin(), red_.end(), 0.3f);
  std::fill(nir_.begin(), nir_.end(), 0.3f);
  segment({{"pixels", 100}});
  ASSERT_EQ(found_.count, 100u);
  EXPECT_EQ(bands_[Size][at(55, 55)], 100);
  EXPECT_NEAR(bands_[Compactness][at(55, 55)], M_PI / 4, 1e-6);
  EXPECT_EQ(bands_[RedSpread][at(55, 55)], 0);
}

TEST_F(SegmentsMade, WhatHasNoValueIsInNone) {
  write(60, 40);
  for (int y = 5; y < 12; ++y)
    for (int x = 10; x < 33; ++x) set(x, y, -1);
  segment({{"pixels", 20}});
  for (int y = 0; y < 40; ++y)
    for (int x = 0; x < 60; ++x)
      for (const auto& band : bands_)
        EXPECT_EQ(std::isnan(band[at(x, y)]), y >= 5 && y < 12 && x >= 10 && x < 33);
  EXPECT_EQ(found_.pixels, 60u * 40 - 7 * 23);
}

TEST_F(SegmentsMade, MeansAreBandsOfTheirRoles) {
  write(30, 30);
  segment({}, {"band(nir)", "index(ndvi)"});
  ASSERT_EQ(made_.bands.size(), 6u);
  EXPECT_EQ(made_.bandOf("nir"), 0);
  EXPECT_EQ(made_.bands[2].role, "");
  EXPECT_EQ(made_.bands[4].name, "size");
  EXPECT_EQ(made_.state, ValueState::Unknown);  // an index is no reflectance
}

/// Decibels are averaged as power; their spread is that of the decibels.
TEST_F(SegmentsMade, DecibelsHaveTheMeanOfTheirPower) {
  write(40, 40);
  for (auto* band : {&red_, &nir_})
    for (float& v : *band) v = -25 + 20 * v;  // some 20 decibels between the fields
  Random random(5);
  for (float& v : red_) v += static_cast<float>(6 * random.uniform());
  state_ = ValueState::BackscatterDecibels;
  segment({{"pixels", 40}});
  EXPECT_EQ(made_.state, ValueState::BackscatterDecibels);
  for (const auto& piece : pieces()) {
    double power = 0, sum = 0, squares = 0;
    for (const size_t i : piece) {
      power += std::pow(10.0, static_cast<double>(red_[i]) / 10);
      sum += static_cast<double>(red_[i]);
    }
    const auto n = static_cast<double>(piece.size());
    for (const size_t i : piece) squares += std::pow(static_cast<double>(red_[i]) - sum / n, 2);
    EXPECT_NEAR(bands_[RedMean][piece[0]], 10 * std::log10(power / n), 1e-4);
    EXPECT_GT(bands_[RedMean][piece[0]], sum / n + 0.05);
    EXPECT_NEAR(bands_[RedSpread][piece[0]], std::sqrt(squares / (n - 1)), 1e-4);
  }
}

TEST_F(SegmentsMade, AWrongWishIsASentence) {
  write(20, 20);
  EXPECT_NE(sentenceOf([&] { segment({{"pixels", 2}}); }).find("9"), std::string::npos);
  std::fill(red_.begin(), red_.end(), -1.0f);
  EXPECT_NE(sentenceOf([&] { segment({}); }).find("No pixel has a value"), std::string::npos);
}

}  // namespace
}  // namespace zp
