// Files grouped into scenes by their names, catalogues there and back, and the archive with its
// troubles.
#include <gdal_priv.h>

#include <fstream>

#include "scene/archive.h"
#include "scene/band_names.h"
#include "scene/group_files.h"
#include "scene/sensor.h"
#include "scene/stac_item.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

TEST(BandNames, WhatNamesSay) {
  struct Case {
    const char *name, *band, *scene;
    bool quality;
  };
  const Case cases[] = {{"finch-2031-07-18-4-rededge", "rededge", "finch", false},
                        {"tile_20310718_B04_20m", "b4", "tile", false},
                        {"field B8A", "b8a", "field", false},
                        {"B11_20310718", "b11", "", false},
                        {"x_2", "b2", "x", false},
                        {"x_band10", "b10", "x", false},
                        {"x_20310718_pixel_qa", "", "x", true},
                        {"quality", "", "quality", false},
                        {"Red edge 1", "b1", "Red edge", false},
                        {"red bog", "", "red bog", false},
                        {"meadow", "", "meadow", false},
                        {"", "", "", false}};
  for (const auto& c : cases) {
    const BandName found = bandNameOf(c.name);
    EXPECT_EQ(found.band, c.band) << c.name;
    EXPECT_EQ(found.scene, c.scene) << c.name;
    EXPECT_EQ(found.quality, c.quality) << c.name;
  }
  EXPECT_EQ(roleIn("scene_nir08"), "nir08");
  EXPECT_EQ(roleIn("Red edge 1"), "");
  EXPECT_EQ(plainBand("B04"), "b4");
  EXPECT_EQ(plainBand("band 4"), "b4");
  EXPECT_EQ(plainBand("nir a"), "nir a");
}

class BringIn : public ::testing::Test {
 protected:
  fs::path one(const std::string& name, float value = 1, const Grid& grid = metricGrid(4, 3)) {
    fs::create_directories((folder_ / name).parent_path());
    return writeFloats(folder_ / name, grid, {std::vector<float>(grid.pixels(), value)});
  }
  Folder folder_;
};

TEST_F(BringIn, AFolderOfTwoDatesIsTwoScenes) {
  for (const char* date : {"20310502", "20310718"})
    for (const char* band : {"B02", "B03", "B04", "B08"})
      one("in/tile_" + std::string(date) + "_" + band + "_10m.tif");
  writeCodes(folder_ / "in/tile_20310718_qa.tif", metricGrid(4, 3), std::vector<uint16_t>(12, 0));
  std::ofstream(folder_ / "in/readme.txt") << "x";
  const auto drafts = groupFiles({folder_ / "in"});
  ASSERT_EQ(drafts.size(), 2u);
  EXPECT_EQ(drafts[0].date, "2031-05-02");
  EXPECT_EQ(drafts[1].date, "2031-07-18");
  EXPECT_EQ(drafts[1].files.size(), 4u);
  EXPECT_EQ(drafts[1].quality.filename(), "tile_20310718_qa.tif");
  EXPECT_TRUE(drafts[0].quality.empty());
  const Scene s = openDraft(drafts[1]);
  EXPECT_EQ(s.name, "tile 2031-07-18");
  EXPECT_EQ(s.roles(), (std::vector<std::string>{"blue", "green", "red", "nir"}));
  EXPECT_EQ(s.quality.file, drafts[1].quality);
  EXPECT_GT(s.bands[3].wavelength, 800);
}

TEST_F(BringIn, DatesOfFoldersBelowAndBandsOfOtherSizes) {
  one("in/2031-05-02/nir.tif", 1);
  one("in/2031-05-02/swir16.tif", 2, metricGrid(2, 2, 20));
  one("in/2031-07-18/nir.tif", 3);
  const auto drafts = groupFiles({folder_ / "in"});
  ASSERT_EQ(drafts.size(), 2u);
  EXPECT_EQ(drafts[0].date, "2031-05-02");
  EXPECT_EQ(openDraft(drafts[0]).bandsOnOtherGrids(), std::vector<size_t>{1});
  EXPECT_EQ(openDraft(drafts[1]).roles(), std::vector<std::string>{"nir"});
}

TEST_F(BringIn, ThePictureBesideASceneIsNotOneOfItsBands) {
  one("in/x_red.tif");
  one("in/x_nir.tif");
  Grid none = metricGrid(4, 3);
  none.georeferenced = false, none.crs.clear();
  writeCodes(folder_ / "codes.tif", none, std::vector<uint16_t>(12, 7));
  std::unique_ptr<GDALDataset> source(GDALDataset::Open((folder_ / "codes.tif").c_str()));
  GDALClose(GetGDALDriverManager()->GetDriverByName("PNG")->CreateCopy(
      (folder_ / "in/preview.png").c_str(), source.get(), false, nullptr, nullptr, nullptr));
  ASSERT_TRUE(fs::exists(folder_ / "in/preview.png"));
  EXPECT_EQ(openScene(folder_ / "in").bands.size(), 2u);
  ASSERT_EQ(groupFiles({folder_ / "in"}).size(), 1u);
  EXPECT_EQ(groupFiles({folder_ / "in"})[0].files.size(), 2u);
}

TEST_F(BringIn, WhatIsNotABandIsASceneOfItsOwn) {
  one("meadow.tif");
  one("pond.tif");
  writeFloats(folder_ / "two.tif", metricGrid(2, 1), {{1, 2}, {3, 4}}, {"red", "nir"});
  const auto drafts =
      groupFiles({folder_ / "meadow.tif", folder_ / "pond.tif", folder_ / "two.tif"});
  ASSERT_EQ(drafts.size(), 3u);
  EXPECT_EQ(openDraft(drafts[2]).bandOf("nir"), 1);
  EXPECT_EQ(drafts[0].name, "meadow");
  fs::create_directory(folder_ / "empty");
  EXPECT_NE(sentenceOf([&] { groupFiles({folder_ / "empty"}); }).find("holds no rasters"),
            std::string::npos);
  std::ofstream(folder_ / "bad.tif") << "no raster";
  const auto mixed = groupFiles({folder_ / "bad.tif", folder_ / "meadow.tif"});
  ASSERT_EQ(mixed.size(), 2u);
  EXPECT_NE(sentenceOf([&] { openDraft(mixed[0]); }).find("bad.tif"), std::string::npos);
  EXPECT_EQ(openDraft(mixed[1]).name, "meadow");
}

TEST_F(BringIn, APresetIsFittedByNameToSomeOfItsBands) {
  const Sensor* preset = nullptr;
  for (const auto& s : sensors())
    if (s.bands.size() > 8 && plainBand(s.bands.back().name) == "b12") preset = &s;
  ASSERT_NE(preset, nullptr);
  Scene s = openScene(std::vector<fs::path>{one("x_B08.tif"), one("x_B04.tif")});
  EXPECT_TRUE(whyNot(*preset, s).empty());
  applySensor(s, *preset);
  EXPECT_EQ(s.bandOf("nir"), 0);
  EXPECT_EQ(s.bandOf("red"), 1);
  Scene none = openScene(std::vector<fs::path>{one("x_red.tif"), one("x_nir.tif")});
  EXPECT_FALSE(whyNot(*preset, none).empty());
}

/// A catalogue of three scenes with rasters of a few KiB.
class Provider : public BringIn {
 protected:
  void SetUp() override {
    std::vector<Scene> scenes;
    for (const auto& [name, date] : {std::pair{"Kestrel 2 May", "2031-05-02"},
                                     {"Kestrel 18 Jul", "2031-07-18"},
                                     {"Plover 1 Aug", "2031-08-01"}}) {
      Scene s = openScene(
          std::vector<fs::path>{one("data/" + plain(name) + "-red.tif", 1, metricGrid(300, 300)),
                                one("data/" + plain(name) + "-nir.tif", 2, metricGrid(300, 300))});
      s.name = name, s.date = date, s.sensor = std::string(name).substr(0, 7);
      scenes.push_back(s);
    }
    writeCatalogue(folder_ / "shop", "Made-up shop", scenes, false);
    catalogue_ = folder_ / "shop/catalog.json";
    fs::create_directory(folder_ / "scenes");
  }
  static std::string plain(std::string name) {
    std::replace(name.begin(), name.end(), ' ', '_');
    return name;
  }
  std::vector<std::string> found(const ArchiveQuery& query) {
    std::vector<std::string> names;
    for (const auto& e : Archive(catalogue_).search(query)) names.push_back(e.title);
    return names;
  }
  fs::path catalogue_;
};

TEST_F(Provider, ACatalogueThereAndBack) {
  EXPECT_TRUE(isCatalogue(catalogue_));
  const auto all = readCatalogue(catalogue_);
  ASSERT_EQ(all.size(), 3u);
  EXPECT_EQ(all[0].title, "Kestrel 2 May");
  EXPECT_EQ(all[0].date, "2031-05-02");
  ASSERT_TRUE(all[0].bounds);
  EXPECT_LT(all[0].bounds->left, all[0].bounds->right);
  const Scene s = openEntry(all[1]);
  EXPECT_EQ(s.name, "Kestrel 18 Jul");
  EXPECT_EQ(s.roles(), (std::vector<std::string>{"red", "nir"}));
  EXPECT_EQ(s.date, "2031-07-18");
  EXPECT_FALSE(isCatalogue(folder_ / "shop/kestrel-2-may/kestrel-2-may.json"));
  EXPECT_NE(sentenceOf([&] { writeCatalogue(folder_ / "shop", "x", {s}, false); }), "");
  EXPECT_EQ(readCatalogue(catalogue_).size(), 3u);
  // A single item is a catalogue of one, and a collection of items is one too.
  EXPECT_EQ(readCatalogue(folder_ / "shop/kestrel-2-may/kestrel-2-may.json").size(), 1u);
  Json items = {{"type", "FeatureCollection"}, {"features", Json::array()}};
  for (const auto& e : all) {
    Json item = e.item;
    for (auto& [key, asset] : item["assets"].items())
      asset["href"] = (folder_ / "data" / (key + ".tif")).string();
    items["features"].push_back(item);
  }
  writeJson(folder_ / "items.json", items);
  EXPECT_TRUE(isCatalogue(folder_ / "items.json"));
  EXPECT_EQ(openEntry(readCatalogue(folder_ / "items.json")[2]).name, "Plover 1 Aug");
}

TEST_F(Provider, DamagedAndHostileCatalogues) {
  const auto write = [&](const std::string& name, const Json& json) {
    writeJson(folder_ / name, json);
    return folder_ / name;
  };
  EXPECT_NE(sentenceOf([&] {
              readCatalogue(write("a.json", {{"type", "Tea"}}));
            }).find("neither a STAC catalogue nor an item"),
            std::string::npos);
  // One that is a child of itself ends.
  const Json self = {{"type", "Catalog"},
                     {"links",
                      {{{"rel", "child"}, {"href", "./self.json"}},
                       {{"rel", "child"}, {"href", "../self.json"}},
                       {{"rel", "item"}, {"href", "https://no.example/x.json"}},
                       {{"rel", 3}, {"href", Json::array()}}}}};
  fs::create_directory(folder_ / "deep");
  write("self.json",
        {{"type", "Catalog"}, {"links", {{{"rel", "child"}, {"href", "deep/self.json"}}}}});
  write("deep/self.json", self);
  EXPECT_TRUE(readCatalogue(folder_ / "deep/self.json").empty());
  // A chain that is too long is refused.
  for (int i = 0; i < 20; ++i)
    write("chain" + std::to_string(i) + ".json",
          {{"type", "Catalog"},
           {"links", {{{"rel", "child"}, {"href", "chain" + std::to_string(i + 1) + ".json"}}}}});
  EXPECT_NE(sentenceOf([&] { readCatalogue(folder_ / "chain0.json"); }).find("12 levels"),
            std::string::npos);
  std::ofstream(folder_ / "cut.json") << "{\"type\": \"Catalog\", \n \"links\": [";
  EXPECT_NE(sentenceOf([&] { readCatalogue(folder_ / "cut.json"); }).find("line 2"),
            std::string::npos);
  EXPECT_FALSE(isCatalogue(folder_ / "cut.json"));
}

TEST_F(Provider, SearchBySensorDateCloudAndPlace) {
  EXPECT_EQ(found({}),
            (std::vector<std::string>{"Plover 1 Aug", "Kestrel 18 Jul", "Kestrel 2 May"}));
  ArchiveQuery q;
  q.sensor = "Kestrel";
  EXPECT_EQ(found(q).size(), 2u);
  q.from = "2031-06-01";
  EXPECT_EQ(found(q), std::vector<std::string>{"Kestrel 18 Jul"});
  q.to = "2031-07-17";
  EXPECT_TRUE(found(q).empty());
  // A cloud share, in percent as the standard has it.
  const fs::path item = folder_ / "shop/plover-1-aug/plover-1-aug.json";
  Json json = readJson(item);
  json["properties"]["eo:cloud_cover"] = 40;
  writeJson(item, json);
  q = {};
  q.mostCloud = 0.39;
  EXPECT_EQ(found(q).size(), 2u);
  q.mostCloud = 0.4;
  EXPECT_EQ(found(q).size(), 3u);
  const Extent bounds = *readCatalogue(catalogue_)[0].bounds;
  q.place = bounds;
  EXPECT_EQ(found(q).size(), 3u);
  q.place = Extent{bounds.right + 1, bounds.bottom, bounds.right + 2, bounds.top};
  EXPECT_TRUE(found(q).empty());
}

TEST_F(Provider, AFetchThatBreaksOffGoesOn) {
  const auto entry = Archive(catalogue_).search({})[0];
  const fs::path scenes = folder_ / "scenes";
  ServiceConditions bad;
  bad.breaksOffAfter = fs::file_size(folder_ / "data/Plover_1_Aug-red.tif") + 10;
  const std::string sentence = sentenceOf([&] { Archive(catalogue_, bad).fetch(entry, scenes); });
  EXPECT_NE(sentence.find("goes on from there"), std::string::npos) << sentence;
  EXPECT_FALSE(fs::exists(Archive::placeOf(entry, scenes)));
  const auto there = Archive::partFetched(entry, scenes);
  EXPECT_GT(there, 0u);
  EXPECT_LT(there, Archive::sizeOf(entry));
  // It goes on: the stand-in breaks off again unless only the rest is asked for.
  bad.breaksOffAfter = Archive::sizeOf(entry) - there;
  const fs::path item = Archive(catalogue_, bad).fetch(entry, scenes);
  const Scene s = openScene(item);
  EXPECT_EQ(s.bandOf("nir"), 1);
  EXPECT_EQ(textOf(s.bands[0].file), textOf(folder_ / "data/Plover_1_Aug-red.tif"));
  EXPECT_EQ(s.bands[0].file.parent_path(), item.parent_path());
  EXPECT_EQ(Folder::namesIn(scenes), std::vector<std::string>{"plover-1-aug"});
  EXPECT_EQ(Archive(catalogue_, {{}, true, {}}).fetch(entry, scenes), item);  // there already
}

TEST_F(Provider, ASourceThatChangedIsFetchedAnew) {
  const auto entry = Archive(catalogue_).search({})[0];
  ServiceConditions bad;
  bad.breaksOffAfter = fs::file_size(folder_ / "data/Plover_1_Aug-red.tif") + 10;
  EXPECT_NE(sentenceOf([&] { Archive(catalogue_, bad).fetch(entry, folder_ / "scenes"); }), "");
  fs::remove(folder_ / "data/Plover_1_Aug-red.tif");
  one("data/Plover_1_Aug-red.tif", 7, metricGrid(300, 200));
  const Scene s = openScene(Archive(catalogue_).fetch(entry, folder_ / "scenes"));
  EXPECT_EQ(textOf(s.bands[0].file), textOf(folder_ / "data/Plover_1_Aug-red.tif"));
}

TEST_F(Provider, CancelledOrDownNothingStays) {
  const auto entry = Archive(catalogue_).search({})[0];
  Progress progress([&](double share) {
    if (share > 0.3) progress.cancel();
  });
  EXPECT_THROW(Archive(catalogue_).fetch(entry, folder_ / "scenes", progress), Cancelled);
  EXPECT_TRUE(Folder::namesIn(folder_ / "scenes").empty());
  const Archive down(catalogue_, {{}, true, {}});
  EXPECT_NE(sentenceOf([&] { down.search({}); }).find("does not answer"), std::string::npos);
  EXPECT_NE(sentenceOf([&] { down.fetch(entry, folder_ / "scenes"); }).find("does not answer"),
            std::string::npos);
  // A slow answer can be cancelled while one waits.
  Progress slow;
  slow.cancel();
  EXPECT_THROW(Archive(catalogue_, {std::chrono::hours(1), false, {}}).search({}, slow), Cancelled);
  fs::remove(folder_ / "data/Plover_1_Aug-red.tif");
  EXPECT_NE(sentenceOf([&] { Archive(catalogue_).fetch(entry, folder_ / "scenes"); }).find("lost"),
            std::string::npos);
}

}  // namespace
}  // namespace zp
