// The steps of a study that make scenes, classes by rules, change and series.
#include <cmath>

#include "study/step.h"
#include "study/study_scope.h"
#include "support/rasters.h"

using namespace zp;
using namespace zp::testing;

namespace {

struct Sample {
  Folder folder;
  Study study = Study::create(folder / "study", "Sample");
  std::string spring, autumn;
  Sample() {
    const Grid g = metricGrid(20, 20);
    spring = add("Spring 2031", g, 0.2f, "2031-04-01");
    autumn = add("Autumn 2031", g, 0.6f, "2031-10-01");
  }
  std::string add(const std::string& name, const Grid& g, float nir, const std::string& date) {
    std::vector<float> rising(g.pixels());
    for (size_t i = 0; i < rising.size(); ++i) rising[i] = static_cast<float>(i % 20) / 20;
    Scene s = openScene(writeFloats(folder / (name + ".tif"), g,
                                    {rising, std::vector<float>(g.pixels(), nir)}, {"red", "nir"}));
    s.name = name;
    s.date = date;
    return study.addScene(s);
  }
  std::string run(const Json& step) { return study.addProduct(runStep(study, step, Progress())); }
};

const Json kTwo = Json::array(
    {{{"name", "low"}, {"colour", "#112233"}}, {{"name", "high"}, {"colour", "#445566"}}});

}  // namespace

TEST(StudySteps, AFormulaOverScenesAndProducts) {
  Sample d;
  const auto names = formulaNames(d.study);
  EXPECT_EQ(names.at("spring_2031"), d.spring);
  const auto scope = studyScope(d.study, d.spring, names);
  const auto f = parseFormula("autumn_2031.nir - nir", scope.names());
  const auto with = usedNames({f}, names);
  EXPECT_EQ(with.size(), 1u);
  const auto id = d.run({{"do", "index"},
                         {"scene", d.spring},
                         {"formula", f.text},
                         {"name", "Rise"},
                         {"with", with}});
  EXPECT_NEAR(d.study.product(id)->facts["mean"].get<double>(), 0.4, 1e-6);
  // A product is a layer of the next formula, and makes it out of date when it changes.
  const auto more = formulaNames(d.study);
  ASSERT_EQ(more.count("rise"), 1u);
  EXPECT_EQ(knownNames(d.study, d.spring), studyScope(d.study, d.spring, more).names());
  const auto next = d.run({{"do", "index"},
                           {"scene", d.spring},
                           {"formula", "rise * 2"},
                           {"name", "Twice"},
                           {"with", {{"rise", id}}}});
  EXPECT_NEAR(d.study.product(next)->facts["mean"].get<double>(), 0.8, 1e-6);
  ++d.study.scene(d.autumn)->revision;
  EXPECT_TRUE(d.study.outOfDate(*d.study.product(next)));
}

TEST(StudySteps, RulesChangeAndHistory) {
  Sample d;
  const auto map = [&](const std::string& scene, const std::string& when) {
    return d.run(
        {{"do", "rules"},
         {"scene", scene},
         {"name", "Map"},
         {"rules", Json::array({{{"when", when}, {"name", "wet"}, {"colour", "#0000ff"}}})},
         {"otherwise", {{"name", "dry"}, {"colour", "#aaaaaa"}}}});
  };
  const auto a = map(d.spring, "red < 0.3"), b = map(d.autumn, "red < 0.5 and nir > 0.3");
  const auto change =
      d.run({{"do", "change"}, {"from", a}, {"to", b}, {"code", 1}, {"name", "Change"}});
  const auto& classes = d.study.product(change)->facts["classes"];
  EXPECT_EQ(classes[1]["name"], "gained");
  EXPECT_EQ(classes[1]["area_m2"], 4 * 20 * 100.0);
  const auto times = d.run(
      {{"do", "history"}, {"maps", {a, b}}, {"code", 1}, {"what", "times"}, {"name", "Times wet"}});
  EXPECT_EQ(d.study.product(times)->kind, ProductKind::Quantity);
  EXPECT_EQ(d.study.product(times)->facts["max"], 2.0);
  const auto first = d.run(
      {{"do", "history"}, {"maps", {a, b}}, {"code", 1}, {"what", "first"}, {"name", "First wet"}});
  EXPECT_EQ(d.study.product(first)->facts["classes"][0]["name"], "2031-04-01");
}

TEST(StudySteps, ASeriesOverDatesIsATable) {
  Sample d;
  const auto id = d.run({{"do", "series"},
                         {"scenes", {d.autumn, d.spring}},
                         {"formula", "nir"},
                         {"at", {0.5}},
                         {"classes", kTwo},
                         {"name", "Nir by date"}});
  const Table t = readTable(d.study.product(id)->file.string());
  ASSERT_EQ(t.rows.size(), 2u);
  EXPECT_EQ(t.columns[3], "high ha");
  EXPECT_EQ(t.rows[0][0], "2031-04-01");
  EXPECT_EQ(t.rows[0][3], "0");
  EXPECT_EQ(t.rows[1][3], "4");
  EXPECT_EQ(d.study.product(id)->kind, ProductKind::Areas);
  for (const auto& f : fs::directory_iterator(d.folder / "study/products"))
    EXPECT_NE(f.path().extension(), ".tif") << f.path();
}

TEST(StudySteps, AMadeSceneJoinsTheStudyAndGoesWithItsProduct) {
  Sample d;
  const auto id = d.run({{"do", "composite"},
                         {"scenes", {d.spring, d.autumn}},
                         {"how", "median"},
                         {"name", "Median"}});
  ASSERT_EQ(d.study.scenes.size(), 3u);
  const auto scene = d.study.scenes.back();
  EXPECT_EQ(scene.product, id);
  EXPECT_EQ(scene.scene.roles(), (std::vector<std::string>{"red", "nir"}));
  const auto index =
      d.run({{"do", "index"}, {"scene", scene.id}, {"formula", "nir"}, {"name", "N"}});
  EXPECT_NEAR(d.study.product(index)->facts["mean"].get<double>(), 0.4, 1e-6);
  d.study.save();
  // A change upstream reaches what was made from the made scene.
  ++d.study.scene(d.spring)->revision;
  EXPECT_TRUE(d.study.outOfDate(*d.study.product(index)));
  const Product before = *d.study.product(id);
  d.study.replaceProduct(runStep(d.study, before.step, Progress(), &before));
  EXPECT_FALSE(d.study.outOfDate(*d.study.product(id)));
  EXPECT_TRUE(d.study.outOfDate(*d.study.product(index)));
  // What one said of it comes back from the bin with it.
  auto& made = d.study.scenes.back().scene;
  made.bands[0].role = "swir16";
  moveScene(made, {10, 0});
  d.study.toBin(id);
  EXPECT_EQ(d.study.scenes.size(), 2u);
  d.study.fromBin(id);
  ASSERT_EQ(d.study.scenes.size(), 3u);
  EXPECT_EQ(d.study.scenes.back().id, scene.id);
  EXPECT_EQ(d.study.scenes.back().scene.bandOf("swir16"), 0);
  EXPECT_EQ(d.study.scenes.back().scene.shift, (Place{10, 0}));
}

TEST(StudySteps, TheDeliveryGridHoldsForResults) {
  Sample d;
  d.study.delivery = DeliveryGrid{crsFrom("EPSG:32628"), {400000, 5000000}, 25};
  d.study.save();
  const auto id = d.run({{"do", "index"}, {"scene", d.spring}, {"formula", "nir"}, {"name", "N"}});
  const RasterFile file(d.study.product(id)->file);
  EXPECT_EQ(crsName(file.grid().crs), "EPSG:32628");
  EXPECT_EQ(file.grid().pixelWidth(), 25);
  EXPECT_NEAR(std::remainder(file.grid().transform[0] - 400000, 25), 0, 1e-6);
  EXPECT_NEAR(d.study.product(id)->facts["mean"].get<double>(), 0.2, 1e-6);
}

TEST(StudySteps, TheDeliveryGridIsAnInput) {
  Sample d;
  const auto id = d.run({{"do", "index"}, {"scene", d.spring}, {"formula", "nir"}, {"name", "N"}});
  EXPECT_FALSE(d.study.outOfDate(*d.study.product(id)));
  d.study.delivery = DeliveryGrid{crsFrom("EPSG:32628"), {400000, 5000000}, 25, 1};
  EXPECT_TRUE(d.study.outOfDate(*d.study.product(id)));
  const Product before = *d.study.product(id);
  d.study.replaceProduct(runStep(d.study, before.step, Progress(), &before));
  EXPECT_FALSE(d.study.outOfDate(*d.study.product(id)));
  d.study.save();
  ++d.study.delivery->revision;
  EXPECT_TRUE(d.study.outOfDate(*d.study.product(id)));
}

TEST(StudySteps, AnOutlineIsAnInputAndItsIdIsNeverUsedAgain) {
  Sample d;
  writeAreas(
      d.folder / "a.gpkg",
      {{1, "a", {{500020, 4999980}, {500120, 4999980}, {500120, 4999880}, {500020, 4999880}}}});
  StudyOutline o;
  o.layer = (d.folder / "a.gpkg").string();
  o.name = "Area";
  const auto first = d.study.addOutline(o);
  const auto id = d.run(
      {{"do", "index"}, {"scene", d.spring}, {"formula", "nir"}, {"name", "N"}, {"inside", first}});
  const auto points = d.run({{"do", "points"},
                             {"over", d.spring},
                             {"plan", "random"},
                             {"count", 3},
                             {"seed", 1},
                             {"inside", first},
                             {"name", "P"}});
  EXPECT_FALSE(d.study.outOfDate(*d.study.product(id)));
  d.study.outlines.clear();
  EXPECT_TRUE(d.study.outOfDate(*d.study.product(id)));
  EXPECT_TRUE(d.study.outOfDate(*d.study.product(points)));
  const auto second = d.study.addOutline(o);
  EXPECT_NE(second, first);
  EXPECT_TRUE(d.study.outOfDate(*d.study.product(id)));
  // Points inside an outline that is gone are refused, not placed everywhere.
  const Product before = *d.study.product(points);
  EXPECT_NE(sentenceOf([&] {
              runStep(d.study, before.step, Progress(), &before);
            }).find("outline of this step is gone"),
            std::string::npos);
  d.study.save();
}

TEST(StudySteps, AMadeSceneThatIsMadeAgainHasItsNewGrid) {
  Sample d;
  const auto id = d.run({{"do", "composite"},
                         {"scenes", {d.spring, d.autumn}},
                         {"how", "median"},
                         {"name", "Median"}});
  auto& made = d.study.scenes.back();
  made.scene.bands[0].role = "green";  // as a person said
  fs::remove(d.folder / "Spring 2031.tif");
  const Grid larger = metricGrid(30, 25);
  d.study.scene(d.spring)->scene = openScene(writeFloats(
      d.folder / "Spring 2031.tif", larger,
      {std::vector<float>(larger.pixels(), 0.1f), std::vector<float>(larger.pixels(), 0.2f)},
      {"red", "nir"}));
  const Product before = *d.study.product(id);
  d.study.replaceProduct(runStep(d.study, before.step, Progress(), &before));
  EXPECT_EQ(d.study.scenes.back().scene.grid.width, 30);
  EXPECT_EQ(d.study.scenes.back().scene.grid.height, 25);
  EXPECT_EQ(d.study.scenes.back().scene.bands[0].role, "green");
  const auto index = d.run(
      {{"do", "index"}, {"scene", d.study.scenes.back().id}, {"formula", "nir"}, {"name", "N"}});
  EXPECT_EQ(RasterFile(d.study.product(index)->file).grid().width, 30);
}

TEST(StudySteps, AComparisonWithAnothers) {
  Sample d;
  const auto a =
      d.run({{"do", "index"}, {"scene", d.spring}, {"formula", "red"}, {"name", "Ours"}});
  const auto b =
      d.run({{"do", "index"}, {"scene", d.spring}, {"formula", "red + 0.5"}, {"name", "Theirs"}});
  const auto c = d.run({{"do", "compare"}, {"product", a}, {"to", b}, {"name", "Difference"}});
  EXPECT_EQ(sentenceFrom(d.study.product(c)->facts["reasons"][0]).text().rfind("Offset", 0), 0u);
}

TEST(StudySteps, AllThatMakesScenesGivesItsValues) {
  Sample d;
  const auto madeBy = [&](const Json& step) {
    return RasterFile(d.study.product(d.run(step))->file).path();
  };
  const fs::path stacked = madeBy({{"do", "stack"},
                                   {"bands", Json::array({{{"scene", d.spring}, {"band", 1}},
                                                          {{"scene", d.autumn}, {"band", 1}}})},
                                   {"name", "Stack"},
                                   {"type", "uint16"},
                                   {"scale", 0.001}});
  ASSERT_EQ(d.study.scenes.back().scene.bands.size(), 2u);
  for (const int p : {0, 399}) {
    EXPECT_NEAR(readFloats(stacked, 1)[static_cast<size_t>(p)], 0.2, 1e-6);
    EXPECT_NEAR(readFloats(stacked, 2)[static_cast<size_t>(p)], 0.6, 1e-6);
  }
  // Where both are, the first one's pixels.
  const fs::path joined =
      madeBy({{"do", "join"}, {"scenes", {d.autumn, d.spring}}, {"name", "Joined"}});
  EXPECT_EQ(readFloats(joined, 1), readFloats(d.folder / "Autumn 2031.tif", 1));
  EXPECT_EQ(readFloats(joined, 2), readFloats(d.folder / "Autumn 2031.tif", 2));
  // Brovey: each band times the sharp one over their mean; the sharp one here is as red.
  const fs::path sharp = madeBy({{"do", "sharpen"},
                                 {"scene", d.spring},
                                 {"sharp", d.autumn},
                                 {"band", 0},
                                 {"how", "brovey"},
                                 {"name", "Sharp"}});
  const float red = 7.0f / 20, nir = 0.2f;
  EXPECT_NEAR(readFloats(sharp, 1)[7], red * red / ((red + nir) / 2), 1e-6);
  EXPECT_NEAR(readFloats(sharp, 2)[7], nir * red / ((red + nir) / 2), 1e-6);
  // Haze is 0.2 at 800 nm and with the square of the wavelength 0.8 at 400 nm, below which is 0.
  auto& bands = d.study.scene(d.spring)->scene.bands;
  bands[0].wavelength = 400, bands[1].wavelength = 800;
  const fs::path clear = madeBy({{"do", "haze"},
                                 {"scene", d.spring},
                                 {"start", 1},
                                 {"power", 2.0},
                                 {"dark", 0.05},
                                 {"name", "Clear"}});
  EXPECT_NEAR(readFloats(clear, 2)[3], 0.05, 1e-6);         // 0.2 − 0.15
  EXPECT_NEAR(readFloats(clear, 1)[19], 0.95 - 0.6, 1e-6);  // 4 × 0.15
  EXPECT_EQ(readFloats(clear, 1)[3], 0);
  EXPECT_NE(sentenceOf([&] {
              d.run({{"do", "speckle"}, {"scene", d.spring}, {"name", "S"}});
            }).find("no radar"),
            std::string::npos);
  EXPECT_THROW(d.run({{"do", "stack"},
                      {"bands", Json::array({{{"scene", d.spring}, {"band", 9}}})},
                      {"name", "X"}}),
               Error);
  for (const auto& s : d.study.scenes)
    EXPECT_TRUE(s.product.empty() || d.study.product(s.product) != nullptr);
}
