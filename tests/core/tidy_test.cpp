// Majority and smallest patch against direct computations and by their rules.
#include <algorithm>
#include <map>

#include "base/random.h"
#include "legend/class_map.h"
#include "mapping/majority.h"
#include "mapping/smallest_patch.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

using Codes = std::vector<uint16_t>;

class Tidy : public ::testing::Test {
 protected:
  fs::path map(int width, const Codes& codes) {
    width_ = width;
    height_ = static_cast<int>(codes.size()) / width;
    return writeCodes(folder_ / "map.tif", metricGrid(width, height_), codes, NumberType::Byte, 0);
  }
  Codes made() {
    Codes all(static_cast<size_t>(width_) * static_cast<size_t>(height_));
    RasterFile(folder_ / "tidy.tif").readCodes(1, {0, 0, width_, height_}, all.data());
    return all;
  }
  Codes voted(int width, const Codes& codes, int window) {
    changed_ = majority(map(width, codes), window, folder_ / "tidy.tif");
    return made();
  }
  Codes cleaned(int width, const Codes& codes, size_t smallest,
                PatchNeighbours neighbours = PatchNeighbours::Sides) {
    changed_ = removeSmallPatches(map(width, codes), smallest, neighbours, folder_ / "tidy.tif");
    return made();
  }
  static Codes noise(size_t n, unsigned classes, uint64_t seed) {
    Random random(seed);
    Codes codes(n);
    for (auto& c : codes) c = static_cast<uint16_t>(random.below(classes + 1));  // 0 is no data
    return codes;
  }
  Folder folder_;
  int width_ = 0, height_ = 0;
  size_t changed_ = 0;
};

TEST_F(Tidy, TheMajorityIsThatOfTheSquare) {
  constexpr int kWidth = 301, kHeight = 211;
  const Codes codes = noise(kWidth * kHeight, 4, 1);
  for (const int window : {3, 7}) {
    const Codes ours = voted(kWidth, codes, window);
    size_t changed = 0;
    for (int y = 0; y < kHeight; ++y)
      for (int x = 0; x < kWidth; ++x) {
        std::map<uint16_t, int> votes;
        const int r = window / 2;
        for (int v = std::max(0, y - r); v <= std::min(kHeight - 1, y + r); ++v)
          for (int u = std::max(0, x - r); u <= std::min(kWidth - 1, x + r); ++u)
            if (const auto c = codes[static_cast<size_t>(v * kWidth + u)]; c != 0) ++votes[c];
        const auto at = static_cast<size_t>(y * kWidth + x);
        uint16_t wanted = codes[at];
        if (wanted != 0)
          for (const auto& [code, n] : votes)
            if (n > votes[wanted] || (n == votes[wanted] && code < wanted && wanted != codes[at]))
              wanted = code;
        changed += wanted != codes[at] ? 1 : 0;
        ASSERT_EQ(ours[at], wanted) << x << " " << y;
      }
    EXPECT_EQ(changed_, changed);
  }
}

TEST_F(Tidy, ATieKeepsTheCentreElseTheLowestCode) {
  // Around the middle: four of 5, four of 3, itself a 9.
  EXPECT_EQ(voted(3, {5, 3, 5, 3, 9, 3, 5, 3, 5}, 3)[4], 3);
  EXPECT_EQ(voted(3, {5, 3, 5, 3, 5, 3, 5, 3, 0}, 3)[4], 5);  // four each, with its own
  EXPECT_NE(sentenceOf([&] { voted(3, {1, 1, 1}, 4); }).find("odd"), std::string::npos);
}

TEST_F(Tidy, ASmallPatchGoesToTheLongestBorder) {
  // The 7 touches 2 by one side and 1 by three.
  const Codes codes{2, 2, 2, 2, 2,  //
                    1, 1, 7, 1, 1,  //
                    1, 1, 1, 1, 1};
  Codes wanted = codes;
  wanted[7] = 1;
  EXPECT_EQ(cleaned(5, codes, 2), wanted);
  EXPECT_EQ(changed_, 1u);
  EXPECT_EQ(cleaned(5, codes, 6), Codes(15, 1));  // then the 2s, five pixels, go too
  EXPECT_EQ(changed_, 6u);
}

TEST_F(Tidy, WhatHasGrownCountsAsOne) {
  // Two single pixels of 3 beside a single 4: the 4 goes to them, and together they are three.
  const Codes codes{1, 1, 1, 1, 1, 1,  //
                    1, 3, 4, 3, 1, 1,  //
                    1, 1, 1, 1, 1, 1};
  // Smallest first, of equal ones the first: the left 3 borders on 1 by three sides.
  const Codes all(18, 1);
  EXPECT_EQ(cleaned(6, codes, 2), all);
  // Three of 3 in a row around the 4, so that the 4 goes to them.
  const Codes ring{3, 3, 3, 1, 1,  //
                   3, 4, 3, 1, 1,  //
                   1, 1, 1, 1, 1,  //
                   1, 1, 1, 1, 1};
  Codes wanted = ring;
  wanted[6] = 3;
  EXPECT_EQ(cleaned(5, ring, 6), wanted);
}

TEST_F(Tidy, CornersMakeOnePatchWhenAskedTo) {
  const Codes codes{2, 1, 1, 1,  //
                    1, 2, 1, 1,  //
                    1, 1, 2, 1};
  EXPECT_EQ(cleaned(4, codes, 3), Codes(12, 1));
  EXPECT_EQ(cleaned(4, codes, 3, PatchNeighbours::SidesAndCorners), codes);
  EXPECT_EQ(cleaned(4, codes, 4, PatchNeighbours::SidesAndCorners), Codes(12, 1));
  const Codes other{1, 1, 1, 2,  //
                    1, 1, 2, 1,  //
                    1, 2, 1, 1};
  EXPECT_EQ(cleaned(4, other, 3, PatchNeighbours::SidesAndCorners), other);
}

TEST_F(Tidy, NoDataIsNoNeighbour) {
  const Codes codes{0, 0, 0, 0,  //
                    0, 5, 0, 3,  //
                    0, 0, 0, 4};
  Codes wanted = codes;
  wanted[7] = 4;  // equal borders and sizes: which of the two is first goes to the other
  EXPECT_EQ(cleaned(4, codes, 2), wanted);
  EXPECT_EQ(cleaned(3, Codes(9, 0), 5), Codes(9, 0));
  EXPECT_EQ(cleaned(3, Codes(9, 6), 50), Codes(9, 6));
}

/// Sizes of the patches of a map, by flooding.
std::vector<size_t> patchSizes(const Codes& codes, int width, bool corners) {
  const int height = static_cast<int>(codes.size()) / width;
  std::vector<bool> seen(codes.size());
  std::vector<size_t> sizes;
  for (size_t start = 0; start < codes.size(); ++start) {
    if (seen[start] || codes[start] == 0) continue;
    std::vector<size_t> open{start};
    seen[start] = true;
    size_t size = 0;
    while (!open.empty()) {
      const size_t at = open.back();
      open.pop_back();
      ++size;
      const int x = static_cast<int>(at) % width, y = static_cast<int>(at) / width;
      for (int dy = -1; dy <= 1; ++dy)
        for (int dx = -1; dx <= 1; ++dx) {
          if (!corners && dx != 0 && dy != 0) continue;
          const int u = x + dx, v = y + dy;
          if (u < 0 || v < 0 || u >= width || v >= height) continue;
          const auto next = static_cast<size_t>(v * width + u);
          if (seen[next] || codes[next] != codes[at]) continue;
          seen[next] = true;
          open.push_back(next);
        }
    }
    sizes.push_back(size);
  }
  return sizes;
}

TEST_F(Tidy, NothingSmallIsLeftAndOnlySmallThingsChange) {
  constexpr int kWidth = 173;
  for (const bool corners : {false, true})
    for (uint64_t seed = 1; seed <= 4; ++seed) {
      Codes codes = noise(kWidth * 90, 3, seed);
      for (auto& c : codes) c = std::max<uint16_t>(c, 1);  // all connected: everything can go
      const auto how = corners ? PatchNeighbours::SidesAndCorners : PatchNeighbours::Sides;
      const Codes ours = cleaned(kWidth, codes, 20, how);
      for (const size_t size : patchSizes(ours, kWidth, corners)) EXPECT_GE(size, 20u);
      size_t changed = 0;
      for (size_t i = 0; i < codes.size(); ++i) changed += ours[i] != codes[i] ? 1 : 0;
      EXPECT_EQ(changed_, changed);
      EXPECT_GT(changed, 0u);
      EXPECT_EQ(cleaned(kWidth, ours, 20, how), ours);  // once is enough
    }
}

TEST_F(Tidy, ACancelLeavesAndTheLegendStays) {
  const Codes codes = noise(90000, 3, 9);
  Progress progress;
  progress.cancel();
  const auto file = map(300, codes);
  EXPECT_THROW(majority(file, 5, folder_ / "tidy.tif", progress), Cancelled);
  EXPECT_THROW(removeSmallPatches(file, 5, PatchNeighbours::Sides, folder_ / "tidy.tif", progress),
               Cancelled);
}

}  // namespace
}  // namespace zp
