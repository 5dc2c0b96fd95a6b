// Several class maps made into one, and where two do not agree.
#include "mapping/combine_maps.h"

#include "mapping/disagreement.h"
#include "mapping/touch_up.h"
#include "support/rasters.h"

namespace zp::testing {
namespace {

struct Maps {
  Folder folder;
  Grid grid = metricGrid(6, 2);
  fs::path write(const char* name, const std::vector<uint16_t>& codes,
                 const std::vector<int>& classes) {
    Legend legend;
    for (const int c : classes) legend.addMissing(c, "c" + std::to_string(c));
    RasterWriter writer(folder / name, classMapSpec(grid, legend, "classes"));
    auto copy = codes;
    writer.writeCodes(1, {0, 0, 6, 2}, copy);
    writer.finish();
    return folder / name;
  }
};

TEST(CombineMaps, EachIsHeardWhereThoseBeforeItHaveNoClassThatCounts) {
  Maps m;
  const auto a = m.write("a.tif", {1, 1, 2, 2, 0, 0, 1, 2, 1, 2, 0, 0}, {1, 2});
  const auto b = m.write("b.tif", {3, 3, 3, 3, 3, 0, 3, 3, 3, 3, 3, 0}, {3});
  const auto c = m.write("c.tif", {9, 9, 9, 9, 9, 9, 9, 9, 9, 9, 9, 0}, {9});
  auto given = combineMaps({{a, {}}, {b, {}}, {c, {}}}, m.folder / "all.tif");
  EXPECT_EQ(readCodes(m.folder / "all.tif"),
            (std::vector<uint16_t>{1, 1, 2, 2, 3, 9, 1, 2, 1, 2, 3, 0}));
  EXPECT_EQ(given, (std::vector<size_t>{8, 2, 1}));
  // Of the first, class 2 alone is kept.
  given = combineMaps({{a, {2}}, {b, {}}}, m.folder / "some.tif");
  EXPECT_EQ(readCodes(m.folder / "some.tif"),
            (std::vector<uint16_t>{3, 3, 2, 2, 3, 0, 3, 2, 3, 2, 3, 0}));
  EXPECT_EQ(given, (std::vector<size_t>{4, 6}));
  EXPECT_EQ(legendOf(RasterFile(m.folder / "some.tif")).find(3)->name, "c3");
  EXPECT_THROW(combineMaps({{a, {}}}, m.folder / "one.tif"), Error);
  writeFloats(m.folder / "f.tif", m.grid, {std::vector<float>(12, 0.5f)});
  EXPECT_THROW(combineMaps({{a, {}}, {m.folder / "f.tif", {}}}, m.folder / "x.tif"), Error);
}

TEST(MapDisagreement, IsCountedByPairsAndMapped) {
  Maps m;
  const auto a = m.write("a.tif", {1, 1, 2, 2, 0, 1, 1, 2, 1, 2, 1, 0}, {1, 2});
  const auto b = m.write("b.tif", {1, 2, 2, 1, 1, 0, 2, 2, 1, 3, 1, 0}, {1, 2, 3});
  const Disagreement told = mapDisagreement(a, b, m.folder / "d.tif");
  EXPECT_EQ(told.pixels, 9u);
  EXPECT_EQ(told.different, 4u);
  ASSERT_EQ(told.pairs.size(), 3u);
  EXPECT_EQ(told.pairs[0].from, 1);
  EXPECT_EQ(told.pairs[0].to, 2);
  EXPECT_EQ(told.pairs[0].pixels, 2u);
  EXPECT_EQ(readCodes(m.folder / "d.tif"),
            (std::vector<uint16_t>{1, 4, 2, 4, 0, 0, 4, 2, 1, 4, 1, 0}));
  EXPECT_EQ(legendOf(RasterFile(m.folder / "d.tif")).find(4)->name, "they disagree");
  EXPECT_EQ(mapDisagreement(a, a, m.folder / "d.tif").different, 0u);
}

TEST(TouchUpMap, ShapesGiveTheirClassInOrderAndOnlyWhereAsked) {
  Maps m;
  const auto map = m.write("a.tif", {1, 1, 2, 2, 0, 1, 1, 2, 1, 2, 1, 0}, {1, 2});
  Legend legend;
  legend.addMissing(7, "seven");
  const auto box = [&](double left, double top, double right, double bottom) {
    const Place a = m.grid.toMap(left, top), b = m.grid.toMap(right, bottom);
    return Shape{{{a, {b.x, a.y}, b, {a.x, b.y}}}, {}};
  };
  const std::vector<TouchUp> all{{box(0, 0, 3, 1), 7, 0}, {box(0, 0, 6, 2), 2, 1}};
  const size_t changed = touchUp(map, all, legend, m.folder / "t.tif");
  EXPECT_EQ(readCodes(m.folder / "t.tif"),
            (std::vector<uint16_t>{7, 7, 7, 2, 0, 2, 2, 2, 2, 2, 2, 0}));
  EXPECT_EQ(changed, 7u);
  EXPECT_EQ(legendOf(RasterFile(m.folder / "t.tif")).find(7)->name, "seven");
  EXPECT_NE(sentenceOf([&] {
              touchUp(map, {{box(0, 0, 1, 1), 9, 0}}, legend, m.folder / "x.tif");
            }).find("no class 9"),
            std::string::npos);
  EXPECT_EQ(toJson(touchUpFrom(toJson(all[1]))), toJson(all[1]));
  EXPECT_THROW(touchUpFrom({{"rings", "no"}, {"code", 1}}), Error);
  EXPECT_THROW(touchUpFrom({{"rings", Json::array()}, {"code", 0}}), Error);
  EXPECT_EQ(touchUp(map, {{box(20, 20, 30, 30), 1, 0}}, legend, m.folder / "t.tif"), 0u);
}

}  // namespace
}  // namespace zp::testing
