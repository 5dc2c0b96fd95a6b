// Legends: their order, what changes in place, and what is said of them as a whole.
#include "legend/legend.h"

#include "legend/cover_colour.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace testing;

Legend legendOfCodes(const std::vector<int>& codes) {
  Legend legend;
  for (const int code : codes) legend.addMissing(code, "");
  return legend;
}

std::vector<int> codesOf(const Legend& legend) {
  std::vector<int> codes;
  for (const auto& c : legend.classes) codes.push_back(c.code);
  return codes;
}

TEST(LegendOrder, IsThatOfTheCodesUntilOneIsMoved) {
  Legend legend = legendOfCodes({7, 2, 30, 4});
  EXPECT_EQ(codesOf(legend), (std::vector<int>{2, 4, 7, 30}));
  EXPECT_TRUE(legend.move(30, -2));
  EXPECT_EQ(codesOf(legend), (std::vector<int>{2, 30, 4, 7}));
  EXPECT_TRUE(legend.move(2, 1));
  EXPECT_EQ(codesOf(legend), (std::vector<int>{30, 2, 4, 7}));
  EXPECT_FALSE(legend.move(30, -1));
  EXPECT_FALSE(legend.move(7, 5));
  EXPECT_FALSE(legend.move(99, 1));
  EXPECT_EQ(codesOf(legend), (std::vector<int>{30, 2, 4, 7}));
  EXPECT_EQ(legend.highestCode(), 30);
  EXPECT_EQ(legend.firstFreeCode(), 1);
}

TEST(LegendOrder, AChangedClassKeepsItsPlaceWhereSomebodyChoseIt) {
  Legend legend = legendOfCodes({1, 2, 3});
  LegendClass nine = *legend.find(1);
  nine.code = 9;
  legend.change(1, nine);
  EXPECT_EQ(codesOf(legend), (std::vector<int>{2, 3, 9}));
  legend.move(9, -2);
  nine.code = 5;
  legend.change(9, nine);
  EXPECT_EQ(codesOf(legend), (std::vector<int>{5, 2, 3}));
  nine.code = 3;
  EXPECT_NE(sentenceOf([&] { legend.change(5, nine); }).find("class 3 already"), std::string::npos);
  EXPECT_EQ(codesOf(legend), (std::vector<int>{5, 2, 3}));
}

TEST(LegendOrder, IsNoDifferenceOfTheClasses) {
  const Legend one = legendOfCodes({1, 2, 3});
  Legend other = one;
  other.move(3, -2);
  other.name = "Cover";
  EXPECT_TRUE(one.sameClasses(other));
  other.find(2)->colour = {1, 2, 3};
  EXPECT_FALSE(one.sameClasses(other));
  EXPECT_FALSE(one.sameClasses(legendOfCodes({1, 2})));
}

TEST(LegendFile, KeepsOrderNameAndDescription) {
  const Folder folder;
  Legend legend = legendOfCodes({1, 2, 3});
  legend.move(1, 2);
  legend.name = "Cover of summer";
  legend.description = "A field that is ploughed stays a field";
  writeLegend(folder / "l.json", legend);
  const Legend back = readLegend(folder / "l.json");
  EXPECT_EQ(codesOf(back), (std::vector<int>{2, 3, 1}));
  EXPECT_EQ(back.name, legend.name);
  EXPECT_EQ(back.description, legend.description);
  EXPECT_FALSE(toJson(legendOfCodes({1})).contains("name"));
}

TEST(LegendFile, AWrongOneIsASentence) {
  Json json = toJson(legendOfCodes({1, 2}));
  json["name"] = 7;
  EXPECT_NE(sentenceOf([&] { legendFrom(json); }).find("name of the legend is no text"),
            std::string::npos);
  json.erase("name");
  json["classes"][1]["code"] = 1;
  EXPECT_NE(sentenceOf([&] { legendFrom(json); }).find("class 1 already"), std::string::npos);
}

TEST(CoverColour, FitsWhatAClassIsCalled) {
  const auto of = [](const char* name) { return colourFor(name, {}, 3); };
  const Colour blue{0, 114, 178}, yellow{240, 228, 66};
  for (const char* name : {"Water", "Lake, deep", "open water", "Sea", "Flachwasser", "See"})
    EXPECT_EQ(of(name), blue) << name;
  for (const char* name : {"Crop", "Dry fields", "Äcker", "Ackerland", "Field (wet sand)"})
    EXPECT_EQ(of(name), yellow) << name;
  for (const char* name :
       {"Forest", "Woodland", "Laubwald", "Grass", "Wiese", "Broad-leaved forest",
        "broad leaved forest", "urban_forest", "Snow forest / ice"}) {
    const Colour c = of(name);
    EXPECT_TRUE(c.g > c.r && c.g > c.b) << name << " " << colourText(c);
  }
  EXPECT_EQ(of("Season"), suggestedColour(3));
  EXPECT_EQ(of(""), suggestedColour(3));
}

TEST(CoverColour, NoTwoOfALegendAreAlike) {
  Legend legend;
  for (const char* name : {"Zone", "Water", "Deep water", "Shallow water", "Sea", "Forest", "Grass",
                           "Wald", "Class 9", "Class 10", "Sand", "Town"}) {
    const int code = legend.firstFreeCode();
    legend.addMissing(code, name);
  }
  proposeColours(legend);
  std::set<std::string> seen;
  for (const auto& c : legend.classes) EXPECT_TRUE(seen.insert(colourText(c.colour)).second);
}

}  // namespace
}  // namespace zp
