#include <iconv.h>

#include <fstream>

#include "base/disk_space.h"
#include "base/json.h"
#include "base/outputs.h"
#include "base/own_entries.h"
#include "base/random.h"
#include "base/text.h"
#include "support/rasters.h"

namespace zp {
namespace {

using testing::Folder;
using testing::sentenceOf;
using testing::textOf;

void put(const std::filesystem::path& file, const std::string& text) {
  std::ofstream(file) << text;
}

TEST(Outputs, AppearTogetherOrNotAtAll) {
  Folder folder;
  {
    Outputs outputs(false);
    put(outputs.add(folder / "a"), "1");
    put(outputs.add(folder / "b"), "2");
    EXPECT_FALSE(std::filesystem::exists(folder / "a"));
  }
  EXPECT_TRUE(folder.names().empty());
  Outputs outputs(false);
  put(outputs.add(folder / "a"), "1");
  put(outputs.add(folder / "b"), "2");
  outputs.commit();
  EXPECT_EQ(folder.names(), (std::vector<std::string>{"a", "b"}));
}

TEST(Outputs, RefuseWhatWouldBeLost) {
  Folder folder;
  put(folder / "here", "old");
  EXPECT_NE(sentenceOf([&] { Outputs(false).add(folder / "here"); }).find("exists already"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              Outputs(true).add(folder / "here", {folder / "here"});
            }).find("is an input too"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { Outputs(true).add(folder / "no/x"); }).find("does not exist"),
            std::string::npos);
  Outputs twice(true);
  twice.add(folder / "x");
  EXPECT_NE(sentenceOf([&] { twice.add(folder / "x"); }).find("named twice"), std::string::npos);
  EXPECT_EQ(testing::textOf(folder / "here"), "old");
}

TEST(Outputs, ReplacingKeepsTheOldOneWhenTheNewFails) {
  Folder folder;
  put(folder / "a", "old");
  {
    Outputs outputs(true);
    put(outputs.add(folder / "a"), "half of the n");
  }
  EXPECT_EQ(testing::textOf(folder / "a"), "old");
  Outputs outputs(true);
  put(outputs.add(folder / "a"), "new");
  outputs.commit();
  EXPECT_EQ(testing::textOf(folder / "a"), "new");
  EXPECT_EQ(folder.names().size(), 1u);
}

TEST(Outputs, SweepWhatAKilledRunLeft) {
  Folder folder;
  put(folder / ".zpatch-4000000-0-map.tif", "left behind");  // no process has so high a number
  Outputs outputs(false);
  outputs.add(folder / "x");
  EXPECT_TRUE(folder.names().empty());
}

TEST(Outputs, OfARunThatIsStillThereNothingIsSwept) {
  Folder folder;
  Outputs mine(false);
  put(mine.add(folder / "a"), "half");
  Outputs other(false);
  other.add(folder / "b");
  mine.commit();
  EXPECT_EQ(testing::textOf(folder / "a"), "half");
}

TEST(Outputs, WhatTheSameNumberLeftInAnEarlierLifeIsSwept) {
  Folder folder;
  // This process has that number, but it started at another time.
  put(folder / (".zpatch-" + std::to_string(getpid()) + "-1-0-map.tif"), "left behind");
  Outputs outputs(false);
  outputs.add(folder / "x");
  EXPECT_TRUE(folder.names().empty());
}

TEST(Table, AWrongColumnListsTenAtMostAndTheNearest) {
  Table t;
  for (int i = 1; i <= 40; ++i) t.columns.push_back("column" + std::to_string(i));
  const std::string s = sentenceOf([&] { t.column("colunm39"); });
  EXPECT_NE(s.find("column10"), std::string::npos) << s;
  EXPECT_EQ(s.find("column11,"), std::string::npos) << s;
  EXPECT_NE(s.find("30 more"), std::string::npos) << s;
  EXPECT_NE(s.find("“column39”"), std::string::npos) << s;
}

TEST(Text, ShortestFormReadsBack) {
  for (double v : {0.1, 1.0 / 3, -2.5e-300, 123456789.125}) EXPECT_EQ(parseNumber(shortest(v)), v);
  EXPECT_EQ(shortest(std::nan("")), "");
  EXPECT_FALSE(parseNumber("1,5"));
  EXPECT_FALSE(parseNumber("inf"));
  EXPECT_FALSE(parseNumber(""));
}

TEST(Text, NaturalOrder) {
  EXPECT_TRUE(naturalLess("band2", "band10"));
  EXPECT_FALSE(naturalLess("band10", "band2"));
  EXPECT_TRUE(naturalLess("a", "b"));
  EXPECT_FALSE(naturalLess("a", "a"));
}

TEST(Text, NearestNameOnlyWhenNear) {
  EXPECT_EQ(nearestName("redd", {"red", "green", "nir"}), "red");
  EXPECT_EQ(nearestName("NIR", {"red", "green", "nir"}), "nir");
  EXPECT_EQ(nearestName("temperature", {"red", "nir"}), "");
}

/// What the C library makes of it; it refuses halves of pairs and what lies beyond U+10FFFF.
bool byIconv(const std::string& text) {
  static const iconv_t way = iconv_open("UTF-32", "UTF-8");
  char out[64];
  char *from = const_cast<char*>(text.data()), *to = out;
  size_t left = text.size(), room = sizeof out;
  iconv(way, nullptr, nullptr, nullptr, nullptr);
  return iconv(way, &from, &left, &to, &room) != static_cast<size_t>(-1);
}

TEST(Text, Utf8IsWhatTheStandardSays) {
  std::vector<char> edges;
  for (const int byte :
       {0x00, 0x41, 0x7F, 0x80, 0x8F, 0x90, 0x9F, 0xA0, 0xBF, 0xC0, 0xC1, 0xC2, 0xDF,
        0xE0, 0xE1, 0xEC, 0xED, 0xEE, 0xEF, 0xF0, 0xF1, 0xF3, 0xF4, 0xF5, 0xFF})
    edges.push_back(static_cast<char>(byte));
  int good = 0, wrong = 0;
  const auto tryOne = [&](const std::string& text) {
    good += isUtf8(text);
    wrong += isUtf8(text) != byIconv(text);
  };
  for (const char a : edges)
    for (const char b : edges) {
      tryOne({a});
      tryOne({a, b});
      for (const char c : edges)
        for (const char d : edges) tryOne({a, b, c}), tryOne({a, b, c, d});
    }
  EXPECT_EQ(wrong, 0);
  EXPECT_GT(good, 1000);
}

TEST(Text, WhatIsNoUtf8IsTakenForLatin) {
  EXPECT_EQ(asUtf8("R\xF6te"), "Röte");
  EXPECT_EQ(asUtf8("Röte"), "Röte");
  EXPECT_EQ(asUtf8("\xDF\xFF\x80"), "ßÿ\xC2\x80");
}

TEST(Text, CsvQuotes) {
  EXPECT_EQ(csvField("plain", ','), "plain");
  EXPECT_EQ(csvField("a,b", ','), "\"a,b\"");
  EXPECT_EQ(csvField("a,b", ';'), "a,b");
  EXPECT_EQ(csvField("say \"x\"", ','), "\"say \"\"x\"\"\"");
}

TEST(Json, NamesLineAndColumn) {
  const std::string s = sentenceOf([] { parseJson("{\n  \"a\": 1,\n  b\n}", "file"); });
  EXPECT_NE(s.find("line 3, column 3"), std::string::npos) << s;
}

TEST(Json, RefusesDepthFormatAndNewerVersions) {
  Folder folder;
  EXPECT_NE(sentenceOf([] {
              parseJson(std::string(100, '[') + std::string(100, ']'), "deep");
            }).find("nested deeper"),
            std::string::npos);
  put(folder / "f.json", R"({"format": "other", "version": 1})");
  EXPECT_NE(sentenceOf([&] {
              readJson(folder / "f.json", "zany-patch-legend");
            }).find("is not a legend of Zany Patch"),
            std::string::npos);
  put(folder / "f.json", R"({"format": "zany-patch-legend", "version": 9})");
  EXPECT_NE(sentenceOf([&] { readJson(folder / "f.json", "zany-patch-legend"); }).find("newer"),
            std::string::npos);
}

TEST(Random, BelowIsEven) {
  Random random(7);
  std::vector<int> counts(6);
  for (int i = 0; i < 60000; ++i) ++counts[random.below(6)];
  for (int c : counts) EXPECT_NEAR(c, 10000, 450);  // four and a half standard deviations
}

TEST(OwnEntries, ADamagedFileIsKeptBesideWhenAnotherIsWritten) {
  Folder folder;
  setenv("ZPATCH_OWN", (folder / "own").c_str(), 1);
  std::vector<int> taken;
  const auto read = [&] {
    taken.clear();
    readOwnEntries("list.json", "zany-patch-list", "entries",
                   [&](const Json& e) { taken.push_back(e.get<int>()); });
  };
  read();  // there is none yet
  EXPECT_TRUE(taken.empty());
  writeOwnEntries("list.json", "zany-patch-list", "entries", {1, 2, 3});
  read();
  EXPECT_EQ(taken, (std::vector<int>{1, 2, 3}));
  const std::string half = textOf(folder / "own/list.json").substr(0, 40);
  std::ofstream(folder / "own/list.json") << half;
  read();
  EXPECT_TRUE(taken.empty());
  writeOwnEntries("list.json", "zany-patch-list", "entries", {4});
  read();
  EXPECT_EQ(taken, (std::vector<int>{4}));
  EXPECT_EQ(textOf(folder / "own/list.json.damaged"), half);
  ASSERT_FALSE(ownTroubles().empty());
  EXPECT_NE(ownTroubles().back().text().find("line 3"), std::string::npos)
      << ownTroubles().back().text();
  EXPECT_NE(ownTroubles().back().text().find("list.json.damaged"), std::string::npos);
  unsetenv("ZPATCH_OWN");
}

TEST(ParseJson, AWholeNumberIsNeverCut) {
  const Json j = parseJson(
      R"({"huge": 4e66, "large": 5000000000, "negative": -1, "half": 7.5, "most": 2147483647,
          "least": -2147483648, "edge": 18446744073709551615, "yes": true, "text": "7"})",
      "numbers");
  EXPECT_THROW(j["huge"].get<int>(), Json::exception);
  EXPECT_THROW(j["huge"].get<size_t>(), Json::exception);
  EXPECT_THROW(j["huge"].get<int64_t>(), Json::exception);
  EXPECT_THROW(j["large"].get<int>(), Json::exception);
  EXPECT_THROW(j["large"].get<uint16_t>(), Json::exception);
  EXPECT_THROW(j["negative"].get<size_t>(), Json::exception);
  EXPECT_THROW(j["edge"].get<int64_t>(), Json::exception);
  EXPECT_THROW(j["text"].get<int>(), Json::exception);
  EXPECT_THROW(j.value("large", 3), Json::exception);
  EXPECT_EQ(j["large"].get<int64_t>(), 5000000000);
  EXPECT_EQ(j["half"].get<int>(), 7);
  EXPECT_EQ(j["most"].get<int>(), std::numeric_limits<int>::max());
  EXPECT_EQ(j["least"].get<int>(), std::numeric_limits<int>::min());
  EXPECT_EQ(j["edge"].get<uint64_t>(), std::numeric_limits<uint64_t>::max());
  EXPECT_EQ(j["yes"].get<int>(), 1);
  EXPECT_EQ(Json(uint16_t{9}).dump(), "9");
}

TEST(ParseJson, ANumberThatIsTooLargeIsSaid) {
  const std::string huge = "{\"bbox\": " + std::string(400, '4') + "}";
  EXPECT_NE(sentenceOf([&] { parseJson(huge, "item.json"); }).find("“item.json” holds a number"),
            std::string::npos);
}

TEST(DiskSpace, WhatDoesNotFitIsRefusedBefore) {
  const std::string said = sentenceOf([] { requireRoom(Sentence("The scene"), 3 << 20, "/proc"); });
  EXPECT_EQ(said,
            "The scene takes 3.0 MiB and 0.0 MiB are free in “/proc”; free some space and try "
            "again.");
  Folder folder;
  requireRoom(Sentence("The scene"), 1, folder.path());
  EXPECT_NE(sentenceOf([&] { requireRoom(Sentence("It"), uintmax_t{1} << 60, folder.path()); }),
            "");
}

TEST(DiskSpace, AFullDiskIsCalledFull) {
  // Nothing can ever be stored in /proc.
  EXPECT_EQ(notWritten(Sentence("The layer"), "/proc/p.gpkg", "disk I/O error").text(),
            "The layer could not be written: the disk of “/proc” is full; free some space and try "
            "again.");
  Folder folder;
  EXPECT_NE(notWritten(Sentence("The layer"), folder / "p.gpkg", "disk I/O error")
                .text()
                .find("(disk I/O error)"),
            std::string::npos);
}

}  // namespace
}  // namespace zp
