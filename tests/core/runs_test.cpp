// Runs against what one sees by walking along the rows.
#include "mapping/runs.h"

#include "base/random.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace testing;

struct Walked {
  int row, from, to;
  uint16_t code;
};

std::vector<Walked> walk(const std::vector<uint16_t>& codes, int width, int height) {
  std::vector<Walked> all;
  for (int y = 0; y < height; ++y)
    for (int x = 0; x < width; ++x) {
      const uint16_t code = codes[static_cast<size_t>(y * width + x)];
      if (x == 0 || all.back().code != code) all.push_back({y, x, x, code});
      all.back().to = x + 1;
    }
  return all;
}

/// Widths on both sides of the words of bits; runs of one pixel and of whole rows.
TEST(RunsOfAMap, AreThoseOneSees) {
  Random random(11);
  for (const auto& [width, height] :
       {std::pair{1, 1}, {1, 70}, {64, 3}, {63, 5}, {65, 4}, {200, 7}, {1000, 2}})
    for (const double change : {0.0, 0.02, 0.5, 1.0}) {
      const Folder folder;
      std::vector<uint16_t> codes;
      for (int i = 0; i < width * height; ++i)
        codes.push_back(i > 0 && random.uniform() >= change
                            ? codes.back()
                            : static_cast<uint16_t>(3 * random.uniform()));
      const auto file = writeCodes(folder / "m.tif", metricGrid(width, height), codes);
      const Runs runs{RasterFile(file)};
      const auto seen = walk(codes, width, height);
      ASSERT_EQ(runs.count(), seen.size());
      for (size_t r = 0; r < seen.size(); ++r) {
        const auto run = runs.run(r);
        ASSERT_EQ(run.number, r);
        ASSERT_EQ(std::tie(run.row, run.from, run.to),
                  std::tie(seen[r].row, seen[r].from, seen[r].to));
        ASSERT_EQ(runs.codes[r], seen[r].code);
      }
      for (int again = 0; again < 20; ++again) {
        const int y = static_cast<int>(random.uniform() * height),
                  from = static_cast<int>(random.uniform() * width),
                  to = from + 1 + static_cast<int>(random.uniform() * (width - from));
        std::vector<size_t> expected, met;
        for (size_t r = 0; r < seen.size(); ++r)
          if (seen[r].row == y && seen[r].from < to && seen[r].to > from) expected.push_back(r);
        runs.eachIn(y, from, to, [&](const Runs::Run& r) { met.push_back(r.number); });
        ASSERT_EQ(met, expected) << width << "x" << height << " row " << y << " " << from << "–"
                                 << to;
      }
    }
}

}  // namespace
}  // namespace zp
