// A replacing run that is killed at each of its steps in turn: the next run leaves old or new,
// whole, and nothing else.
#include <sys/wait.h>

#include <set>

#include "legend/class_map.h"
#include "study/study.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

class Killed : public ::testing::Test {
 protected:
  /// −9 when it was killed.
  int run(const std::string& arguments, const std::string& environment = "") {
    const std::string call = "cd '" + folder_.path().string() + "' && " + environment +
                             " exec " ZPATCH " " + arguments + " > /dev/null 2> '" +
                             (logs_ / "err").string() + "'";
    const int status = std::system(("bash -c \"" + call + "\"").c_str());
    if (WIFEXITED(status)) return WEXITSTATUS(status) == 128 + 9 ? -9 : WEXITSTATUS(status);
    return -9;
  }

  void SetUp() override {
    const Grid g = metricGrid(40, 30);
    std::vector<float> ramp(g.pixels());
    for (size_t i = 0; i < ramp.size(); ++i) ramp[i] = static_cast<float>(i % 40);
    writeFloats(folder_ / "s.tif", g, {ramp});
  }

  std::string firstName(const fs::path& map) {
    return legendOf(RasterFile(map)).classes.at(0).name;
  }

  /// Kills `replacing` at each step until it gets through; `check` after the next run each time.
  template <class Check>
  int killAtEveryStep(const std::string& making, const std::string& replacing, Check check) {
    int steps = 0;
    for (const bool after : {false, true})
      for (int at = 1;; ++at) {
        EXPECT_LT(at, 400);
        if (at >= 400) return steps;
        EXPECT_EQ(run(making), 0) << textOf(logs_ / "err");
        const int code =
            run(replacing, "LD_PRELOAD=" ZP_KILLER " ZP_KILL_AT=" + std::to_string(at) +
                               " ZP_KILL_AFTER=" + (after ? "1" : "0"));
        // The next run writes something else into the folder.
        EXPECT_EQ(run("areas m.tif"), 0) << "step " << at << ": " << textOf(logs_ / "err");
        EXPECT_EQ(run("threshold s.tif --at 5 --names x,y --out next.tif --replace"), 0)
            << "step " << at << ": " << textOf(logs_ / "err");
        check(at);
        if (code == 0) break;
        EXPECT_EQ(code, -9) << textOf(logs_ / "err");
        ++steps;
      }
    return steps;
  }

  Folder folder_, logs_;
};

TEST_F(Killed, OneFileIsOldOrNew) {
  const auto with = [](const char* names) {
    return std::string("threshold s.tif --at 10 --names ") + names + " --out m.tif --replace";
  };
  int olds = 0, news = 0;
  const int steps = killAtEveryStep(with("old,rest"), with("new,rest"), [&](int at) {
    const std::string name = firstName(folder_ / "m.tif");
    EXPECT_TRUE(name == "old" || name == "new") << at << ": " << name;
    (name == "old" ? olds : news)++;
    std::vector<std::string> rest;
    for (const auto& n : folder_.names())
      if (n.find(".aux.xml") == std::string::npos) rest.push_back(n);
    EXPECT_EQ(rest, (std::vector<std::string>{"m.tif", "next.tif", "s.tif"})) << at;
    // What lies beside the map is of the same run as the map.
    const fs::path beside = folder_ / "m.tif.aux.xml";
    EXPECT_TRUE(!fs::exists(beside) || textOf(beside).find(name) != std::string::npos) << at;
  });
  EXPECT_GT(steps, 4);
  EXPECT_GT(olds, 0);
  EXPECT_GT(news, 1);
}

TEST_F(Killed, AMapWithItsPolygonsIsOldOrNewTogether) {
  const auto with = [](const char* names) {
    return std::string("threshold s.tif --at 10 --names ") + names +
           " --out m.tif --polygons p.geojson --replace";
  };
  int olds = 0, news = 0;
  const int steps = killAtEveryStep(with("old,rest"), with("new,rest"), [&](int at) {
    const std::string name = firstName(folder_ / "m.tif");
    const Layer layer = readLayer((folder_ / "p.geojson").string());
    const size_t column = layer.table.column("class");
    bool has = false;
    for (const auto& row : layer.table.rows) has = has || row[column] == name;
    EXPECT_TRUE(has) << "step " << at << ": the map is " << name << ", the polygons are not";
    (name == "old" ? olds : news)++;
    for (const auto& n : folder_.names()) EXPECT_NE(n.rfind(".zpatch-", 0), 0u) << at << n;
  });
  EXPECT_GT(steps, 8);
  EXPECT_GT(olds, 0);
  EXPECT_GT(news, 1);
}

TEST_F(Killed, FilesInTwoFoldersAreOldOrNewTogether) {
  fs::create_directory(folder_ / "sub");
  const auto with = [](const char* names) {
    return std::string("threshold s.tif --at 10 --names ") + names +
           " --out m.tif --polygons sub/p.geojson --replace";
  };
  for (const char* firstSwept : {"next.tif", "sub/next.tif"}) {
    for (int at = 1;; ++at) {
      ASSERT_LT(at, 400);
      ASSERT_EQ(run(with("old,rest")), 0);
      const int code =
          run(with("new,rest"), "LD_PRELOAD=" ZP_KILLER " ZP_KILL_AT=" + std::to_string(at));
      for (const char* next : {firstSwept, "next.tif", "sub/next.tif"})
        ASSERT_EQ(run(std::string("threshold s.tif --at 5 --names x,y --replace --out ") + next),
                  0);
      const std::string name = firstName(folder_ / "m.tif");
      EXPECT_NE(textOf(folder_ / "sub/p.geojson").find("\"" + name + "\""), std::string::npos)
          << firstSwept << " at step " << at << ": " << name;
      for (const auto& f : {folder_.path(), folder_ / "sub"})
        for (const auto& n : Folder::namesIn(f)) EXPECT_NE(n.rfind(".zpatch-", 0), 0u) << at << n;
      if (code == 0) break;
    }
  }
}

TEST_F(Killed, AShapefileIsOldOrNewWithAllItsParts) {
  std::ofstream(folder_ / "old.csv") << "name,x,y\nold,500000,5000000\nold,500010,5000000\n";
  std::ofstream(folder_ / "new.csv") << "name,x,y\nnew,500020,5000020\n";
  const auto from = [](const char* csv) {
    return std::string("table ") + csv + " --x x --y y --system EPSG:32627 --out p.shp --replace";
  };
  int olds = 0, news = 0;
  for (int at = 1;; ++at) {
    ASSERT_LT(at, 400);
    ASSERT_EQ(run(from("old.csv")), 0) << textOf(logs_ / "err");
    const int code =
        run(from("new.csv"), "LD_PRELOAD=" ZP_KILLER " ZP_KILL_AT=" + std::to_string(at));
    ASSERT_EQ(run("threshold s.tif --at 5 --names x,y --replace --out next.tif"), 0);
    const Layer layer = readLayer((folder_ / "p.shp").string());
    const std::string name = layer.table.rows.at(0)[layer.table.column("name")];
    const bool isNew = name == "new";
    (isNew ? news : olds)++;
    ASSERT_EQ(layer.shapes.size(), isNew ? 1u : 2u) << at;
    EXPECT_EQ(layer.shapes[0].points.at(0).x, isNew ? 500020 : 500000) << at;
    EXPECT_EQ(crsName(layer.crs), "EPSG:32627") << at;
    for (const auto& n : folder_.names()) EXPECT_NE(n.rfind(".zpatch-", 0), 0u) << at << n;
    if (code == 0) break;
  }
  EXPECT_GT(olds, 0);
  EXPECT_GT(news, 1);
}

TEST_F(Killed, AStudyKeepsWhatItHadAndNothingElse) {
  {
    Study study = Study::create(folder_ / "study", "Small");
    Scene scene = openScene(folder_ / "s.tif");
    scene.bands[0].role = "nir";
    study.addScene(scene);
    study.save();
  }
  const Json sheet = {
      {"format", "zany-patch-run-sheet"},
      {"version", 1},
      {"steps",
       {{{"do", "index"}, {"scene", "s1"}, {"formula", "nir"}, {"name", "One"}},
        {{"do", "index"}, {"scene", "s1"}, {"formula", "nir * 2"}, {"name", "Two"}}}}};
  writeJson(folder_ / "sheet.json", sheet);
  fs::copy(folder_ / "study", folder_ / "before");
  std::set<size_t> had;
  for (const char* after : {"0", "1"})
    for (int at = 1;; ++at) {
      ASSERT_LT(at, 400);
      fs::remove_all(folder_ / "study");
      fs::copy(folder_ / "before", folder_ / "study");
      const int code = run(
          "run sheet.json --study study",
          "LD_PRELOAD=" ZP_KILLER " ZP_KILL_AT=" + std::to_string(at) + " ZP_KILL_AFTER=" + after);
      const Study study = Study::open(folder_ / "study");
      had.insert(study.products.size());
      std::set<std::string> files, named;
      for (const auto& p : study.products) named.insert(p.file.filename().string());
      if (fs::exists(folder_ / "study/products"))
        for (const auto& f : Folder::namesIn(folder_ / "study/products"))
          if (f.find(".aux.xml") == std::string::npos) files.insert(f);
      EXPECT_EQ(files, named) << at;
      if (code == 0) break;
      ASSERT_EQ(code, -9) << textOf(logs_ / "err");
    }
  EXPECT_EQ(had, (std::set<size_t>{0, 1, 2}));
}

TEST_F(Killed, ANoteFromAStrangerTouchesNothingElse) {
  // What a note may not do: reach out of its folder, or put in place what no run of ours left.
  Folder elsewhere;
  std::ofstream(elsewhere / "precious") << "mine";
  std::ofstream(folder_ / "other") << "other";
  std::ofstream(folder_ / ".zpatch-4000000-1-0-x.zpatch-note")
      << R"({"moves": [{"folder": ")" + elsewhere.path().string() +
             R"(", "from": "", "to": "precious"}, {"folder": "", "from": "other", "to": "s.tif"},
             {"folder": "", "from": "", "to": "../precious"}], "pointers": []})";
  ASSERT_EQ(run("threshold s.tif --at 5 --names x,y --out next.tif"), 0) << textOf(logs_ / "err");
  EXPECT_EQ(textOf(elsewhere / "precious"), "mine");
  EXPECT_EQ(textOf(folder_ / "other"), "other");
}

}  // namespace
}  // namespace zp
