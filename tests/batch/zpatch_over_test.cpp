// A run sheet over the rows of a table, its parts, what puts the pieces together, and the worked
// examples for several at once.
#include <thread>

#include "legend/class_map.h"
#include "study/study.h"
#include "zpatch_run.h"

namespace zp {
namespace {

using namespace zp::testing;

class ZpatchOver : public ZpatchRun {
 protected:
  void SetUp() override {
    fs::create_directory(folder_ / "tiles");
    tile("a", 0, 0);
    tile("b", 20, 0);
    tile("c", 0, 20);
    write("sheet.json",
          {{{"as", "green"},
            {"do", "index"},
            {"scene", "scene"},
            {"formula", "nir - red"},
            {"name", "Green {date}"}},
           {{"as", "cover"},
            {"do", "threshold"},
            {"product", "green"},
            {"at", {"{cut}"}},
            {"classes",
             {{{"name", "low"}, {"colour", "#102030"}}, {{"name", "high"}, {"colour", "#405060"}}}},
            {"name", "Cover"}},
           {{"as", "points"},
            {"do", "points"},
            {"over", "cover"},
            {"plan", "random"},
            {"count", 4},
            {"seed", 1},
            {"name", "Four"}},
           {{"as", "read"},
            {"do", "readings"},
            {"points", "points"},
            {"from", {"green"}},
            {"name", "Read"}}});
    text("scenes.csv",
         "id,scene,date,cut\na,tiles/a.tif,2031-05-01,0.09\nb,tiles/b.tif,2031-05-02,0.09\n"
         "c,tiles/c.tif,2031-05-03,0.21\n");
  }
  /// 20 x 20 pixels so many pixels from the corner, whose difference rises from 0 to 0.38.
  void tile(const std::string& name, int right, int down) {
    Grid g = metricGrid(20, 20);
    g.transform[0] += right * 10, g.transform[3] -= down * 10;
    std::vector<float> nir(g.pixels());
    for (size_t i = 0; i < nir.size(); ++i) nir[i] = 0.2f + 0.02f * static_cast<float>(i % 20);
    writeFloats(folder_ / ("tiles/" + name + ".tif"), g,
                {std::vector<float>(g.pixels(), 0.2f), nir}, {"red", "nir"});
  }
  void text(const std::string& name, const std::string& what) {
    std::ofstream(folder_ / name) << what;
  }
  void write(const std::string& name, const Json& steps) {
    writeJson(folder_ / name,
              {{"format", "zany-patch-run-sheet"}, {"version", 1}, {"steps", steps}});
  }
  int over(const std::string& more = "") {
    return run("run sheet.json --over scenes.csv --into made " + more);
  }
  std::vector<std::string> states(const std::string& table = "made/results.csv") {
    const Table t = readTable((folder_ / table).string());
    std::vector<std::string> all;
    for (const auto& row : t.rows) all.push_back(row[t.column("state")]);
    return all;
  }
  using Words = std::vector<std::string>;
};

TEST_F(ZpatchOver, EachRowBecomesAStudyOfItsOwn) {
  ASSERT_EQ(over("--json"), 0) << err();
  EXPECT_EQ(json()["done"], 3);
  EXPECT_EQ(states(), (Words{"done", "done", "done"}));
  const Study b = Study::open(folder_ / "made/b");
  EXPECT_EQ(b.name, "b");
  ASSERT_EQ(b.scenes.size(), 1u);
  EXPECT_EQ(b.scenes[0].scene.date, "2031-05-02");
  ASSERT_EQ(b.products.size(), 4u);
  EXPECT_EQ(b.products[0].name, "Green 2031-05-02");
  EXPECT_EQ(
      std::system((CHECK_SCHEMAS " '" + (folder_ / "made/b/row.json").string() + "'").c_str()), 0);
  // The cell is a number where the field asks for one: each row is cut at its own.
  const auto high = [&](const char* id) {
    return classAreas(folder_ / "made" / id / "products/cover.tif")[1].pixels;
  };
  EXPECT_EQ(high("b"), 300u);
  EXPECT_EQ(high("c"), 180u);
  const Table t = readTable((folder_ / "made/results.csv").string());
  EXPECT_EQ(t.rows[2][t.column("cover")], (folder_ / "made/c/products/cover.tif").string());
}

TEST_F(ZpatchOver, WhatIsDoneAndUnchangedIsSkipped) {
  ASSERT_EQ(over(), 0) << err();
  const auto before = fs::last_write_time(folder_ / "made/a/study.json");
  ASSERT_EQ(over(), 0) << err();
  EXPECT_EQ(states(), (Words{"skipped", "skipped", "skipped"}));
  EXPECT_EQ(fs::last_write_time(folder_ / "made/a/study.json"), before);
  // A scene, a cell, a file of the result: what it was made from or into.
  tile("a", 0, 0);
  ASSERT_EQ(over(), 0) << err();
  EXPECT_EQ(states(), (Words{"done", "skipped", "skipped"}));
  text("scenes.csv",
       "id,scene,date,cut\na,tiles/a.tif,2031-05-01,0.09\nb,tiles/b.tif,2031-05-02,0.3\n"
       "c,tiles/c.tif,2031-05-03,0.21\n");
  fs::remove(folder_ / "made/c/products/cover.tif");
  ASSERT_EQ(over(), 0) << err();
  EXPECT_EQ(states(), (Words{"skipped", "done", "done"}));
  EXPECT_EQ(Folder::namesIn(folder_ / "made"), (Words{"a", "b", "c", "results.csv"}));
}

TEST_F(ZpatchOver, AClockThatWasSetBackHidesNoChange) {
  using namespace std::chrono_literals;
  const fs::path scene = folder_ / "tiles/a.tif";
  fs::last_write_time(scene, fs::file_time_type::clock::now() + 240h);
  ASSERT_EQ(over(), 0) << err();
  ASSERT_EQ(over(), 0) << err();
  EXPECT_EQ(states(), (Words{"skipped", "skipped", "skipped"}));
  tile("a", 0, 0);  // older now, by its date, than what was made of it
  fs::last_write_time(scene, fs::file_time_type::clock::now() - 240h);
  ASSERT_EQ(over(), 0) << err();
  EXPECT_EQ(states(), (Words{"done", "skipped", "skipped"}));
}

TEST_F(ZpatchOver, ItGoesOnAfterAnErrorAndTellsOfIt) {
  text("scenes.csv",
       "id,scene,date,cut\na,tiles/a.tif,2031-05-01,0.09\nlost,tiles/lost.tif,2031-05-02,0.09\n"
       "odd,tiles/b.tif,2031-05-02,much\nc,tiles/c.tif,some day,0.2\nb,tiles/b.tif,,0.09\n");
  EXPECT_EQ(over("--json"), 1);
  EXPECT_TRUE(out().empty());
  EXPECT_NE(err().find("3 of 5 rows could not be done"), std::string::npos) << err();
  EXPECT_EQ(states(), (Words{"done", "failed", "failed", "failed", "done"}));
  const Table t = readTable((folder_ / "made/results.csv").string());
  const auto problem = [&](size_t row) { return t.rows[row][t.column("problem")]; };
  EXPECT_NE(problem(1).find("lost.tif"), std::string::npos) << problem(1);
  EXPECT_NE(problem(2).find("“at”"), std::string::npos) << problem(2);
  EXPECT_NE(problem(3).find("is no date"), std::string::npos) << problem(3);
  EXPECT_EQ(Folder::namesIn(folder_ / "made"), (Words{"a", "b", "results.csv"}));
  // Mended, only what failed is done.
  text("scenes.csv", "id,scene,date,cut\na,tiles/a.tif,2031-05-01,0.09\nlost,tiles/c.tif,,0.09\n");
  EXPECT_EQ(over(), 0) << err();
  EXPECT_EQ(states(), (Words{"skipped", "done"}));
}

TEST_F(ZpatchOver, WhatSomebodyWorkedInIsKept) {
  ASSERT_EQ(over(), 0) << err();
  {
    Study b = Study::open(folder_ / "made/b");
    b.products[0].name = "By hand";
    b.save();
    // Open somewhere: nothing is moved from under it.
    tile("b", 20, 0);
    EXPECT_EQ(over(), 1);
    EXPECT_NE(err().find("is open already"), std::string::npos) << err();
  }
  ASSERT_EQ(over(), 0) << err();
  EXPECT_EQ(states(), (Words{"skipped", "done", "skipped"}));
  EXPECT_NE(err().find("kept as “b-kept”"), std::string::npos) << err();
  EXPECT_EQ(Study::open(folder_ / "made/b-kept").products[0].name, "By hand");
  EXPECT_EQ(Study::open(folder_ / "made/b").products[0].name, "Green 2031-05-02");
  // A folder that no run made.
  fs::create_directory(folder_ / "made/d");
  text("made/d/mine.txt", "mine");
  text("scenes.csv", "id,scene,date,cut\nd,tiles/a.tif,2031-05-01,0.09\n");
  EXPECT_EQ(over(), 1);
  EXPECT_NE(err().find("no run made it"), std::string::npos) << err();
  EXPECT_EQ(textOf(folder_ / "made/d/mine.txt"), "mine");
}

TEST_F(ZpatchOver, SeveralScenesAndAStudyToStartFrom) {
  {
    Study start = Study::create(folder_ / "start", "Start");
    start.legend.addMissing(1, "Dark");
    start.legend.addMissing(2, "Bright");
    const Grid g = metricGrid(20, 20);
    const auto box = [&](double left, double right) {
      Shape s;
      const Place a = g.toMap(left, 2), b = g.toMap(right, 18);
      s.rings = {{a, {b.x, a.y}, b, {a.x, b.y}, a}};
      return s;
    };
    TrainingArea dark, bright;
    dark.code = 1, dark.shape = box(0, 5);
    bright.code = 2, bright.shape = box(15, 20);
    start.setTraining({dark, bright}, g.crs);
    Scene relief = openScene(folder_ / "tiles/a.tif");
    relief.name = "Relief";
    start.addScene(relief);
    start.save();
  }
  write("sheet.json",
        {{{"as", "cover"},
          {"do", "map"},
          {"scene", "may"},
          {"with", {{"relief", "Relief"}}},
          {"features", {"band(nir)", "band(nir) of relief"}},
          {"method", "minimum-distance"},
          {"name", "Cover"}},
         {{"do", "index"}, {"scene", "july"}, {"formula", "nir"}, {"name", "{who}: {{date may}"}}});
  text("scenes.csv",
       "scene may,date may,scene july,roles july,who\n"
       "tiles/a.tif,2031-05-01,tiles/b.tif,\"nir=1\",Ann\n");
  EXPECT_EQ(run("run sheet.json --over scenes.csv --into made"), 1);
  EXPECT_NE(err().find("“{{date may}”"), std::string::npos) << err();
  Json sheet = readJson(folder_ / "sheet.json");
  sheet["steps"][1]["name"] = "{who}: {date may}";
  writeJson(folder_ / "sheet.json", sheet);
  Study start = Study::open(folder_ / "start");  // it may be open: it is only read
  ASSERT_EQ(run("run sheet.json --over scenes.csv --into made --study start"), 0) << err();
  const Study made = Study::read(folder_ / "made/row-1");
  EXPECT_EQ(made.legend.classes.size(), 2u);
  EXPECT_EQ(made.scenes.size(), 3u);
  EXPECT_EQ(made.products[1].name, "Ann: 2031-05-01");
  EXPECT_EQ(classAreas(made.products[0].file)[0].pixels, 200u);
  // The first band was said to be near infrared.
  EXPECT_FLOAT_EQ(readFloats(made.products[1].file)[19], 0.2f);
  ASSERT_EQ(run("run sheet.json --over scenes.csv --into made --study start"), 0) << err();
  EXPECT_EQ(states(), (Words{"skipped"}));
  // What it starts from is among what it is made from.
  start.delivery = DeliveryGrid{metricGrid(1, 1).crs, {0, 0}, 20};
  start.save();
  ASSERT_EQ(run("run sheet.json --over scenes.csv --into made --study start"), 0) << err();
  EXPECT_EQ(states(), (Words{"done"}));
  EXPECT_EQ(RasterFile(made.products[0].file).grid().width, 10);
}

TEST_F(ZpatchOver, AStudyThatLostItsFileIsMadeAgainBesideTheRest) {
  ASSERT_EQ(over(), 0) << err();
  fs::remove(folder_ / "made/b/study.json");
  text("made/b/mine.txt", "mine");
  ASSERT_EQ(over(), 0) << err();
  EXPECT_EQ(states(), (Words{"skipped", "done", "skipped"}));
  EXPECT_EQ(textOf(folder_ / "made/b-kept/mine.txt"), "mine");
}

TEST_F(ZpatchOver, WrongCallsAndTables) {
  EXPECT_EQ(run("run sheet.json --over scenes.csv"), 2);
  EXPECT_EQ(run("run sheet.json --into made --study x"), 2);
  for (const char* part : {"0/3", "4/3", "3", "a/b", "1/2/3", "-1/2", "1/0"})
    EXPECT_EQ(over("--part " + std::string(part)), 2) << part;
  EXPECT_FALSE(fs::exists(folder_ / "made"));
  const std::vector<std::pair<std::string, std::string>> tables{
      {"id,scene,cut,date\n", "has no rows"},
      {"id,scene,cut,date\na,tiles/a.tif,1,\nA,tiles/b.tif,1,\n", "Rows 1 and 2"},
      {"id,scene,cut,date\n,tiles/a.tif,1,\n", "Row 1 has no id"}};
  for (const auto& [table, words] : tables) {
    text("scenes.csv", table);
    EXPECT_EQ(over(), 1);
    EXPECT_NE(err().find(words), std::string::npos) << err();
  }
  text("scenes.csv", "id,scene,date\na,tiles/a.tif,2031-05-01\n");
  EXPECT_EQ(over(), 1);
  EXPECT_NE(err().find("the table has no column “cut”"), std::string::npos) << err();
  text("scenes.csv", "id,scene july,cut,date\na,tiles/a.tif,1,\n");
  EXPECT_EQ(over(), 1);
  EXPECT_NE(err().find("names no scene “july”"), std::string::npos) << err();
  text("scenes.csv", "id,scene,cut,date\n../../a,tiles/a.tif,0.1,\n");
  EXPECT_EQ(over(), 0) << err();  // a name is made of it that leads nowhere else
  EXPECT_TRUE(fs::exists(folder_ / "made/a/study.json"));
  write("sheet.json", {{{"do", "indx"}, {"name", "x"}}});
  EXPECT_EQ(over(), 1);
  EXPECT_NE(err().find("Did you mean “index”"), std::string::npos) << err();
}

TEST_F(ZpatchOver, PartsShareTheRowsAndDoNotDisturbEachOther) {
  std::string table = "id,scene,date,cut\n";
  for (int i = 0; i < 7; ++i) table += "r" + std::to_string(i) + ",tiles/a.tif,2031-05-01,0.09\n";
  text("scenes.csv", table);
  ASSERT_EQ(over("--part 2/3"), 0) << err();
  EXPECT_EQ(Folder::namesIn(folder_ / "made"), (Words{"r1", "r4", "results-2-of-3.csv"}));
  // Two at the same rows at once: each is made once, or the other is told of.
  const auto again = [&](const char* log) {
    return std::system(("cd '" + folder_.path().string() +
                        "' && " ZPATCH
                        " --threads 1 run sheet.json --over scenes.csv --into made --table " +
                        log + ".csv > /dev/null 2> " + log)
                           .c_str());
  };
  std::thread other([&] { again("two"); });
  again("one");
  other.join();
  for (const char* log : {"one", "two"}) {
    const Table t = readTable((folder_ / (std::string(log) + ".csv")).string());
    for (const auto& row : t.rows)
      EXPECT_TRUE(row[1] != "failed" || row[3] == "Another run is making it now.") << row[3];
  }
  EXPECT_EQ(over(), 0) << err();
  EXPECT_EQ(states(), Words(7, "skipped"));
}

TEST_F(ZpatchOver, AKilledRunLeavesWholeStudiesOnly) {
  const auto kill = [&](int step) {
    return std::system(("cd '" + folder_.path().string() +
                        "' && LD_PRELOAD=" ZP_KILLER " ZP_KILL_AT=" + std::to_string(step) +
                        " " ZPATCH " run sheet.json --over scenes.csv --into made > /dev/null 2>&1")
                           .c_str());
  };
  int killed = 0;
  for (int step = 1; step < 4000; step += 1 + step / 6) {
    fs::remove_all(folder_ / "made");
    if (kill(step) != 0) ++killed;
    for (const auto& name : Folder::namesIn(folder_ / "made")) {
      if (name.find('.') != std::string::npos) continue;
      EXPECT_EQ(Study::open(folder_ / "made" / name).products.size(), 4u) << step;
    }
    ASSERT_EQ(over(), 0) << step << err();
    EXPECT_EQ(Folder::namesIn(folder_ / "made"), (Words{"a", "b", "c", "results.csv"})) << step;
  }
  EXPECT_GT(killed, 5);
}

TEST_F(ZpatchOver, PiecesAreGathered) {
  ASSERT_EQ(over(), 0) << err();
  ASSERT_EQ(run("gather --from made/results.csv --column cover --out all.tif --json"), 0) << err();
  EXPECT_EQ(json()["width"], 40);
  EXPECT_EQ(json()["height"], 40);
  EXPECT_EQ(json()["classes"][1]["pixels"], 300 + 300 + 180);
  const auto codes = readCodes(folder_ / "all.tif");
  EXPECT_EQ(codes[40 * 39 + 39], 0);  // no tile lies there
  EXPECT_EQ(codes[19], 2);
  EXPECT_EQ(codes[40 * 20], 1);
  ASSERT_EQ(run("gather --from made/results.csv --column read --mark scene --out read.csv --json"),
            0)
      << err();
  EXPECT_EQ(json()["rows"], 12);
  const Table read = readTable((folder_ / "read.csv").string());
  EXPECT_EQ(read.columns[0], "scene");
  EXPECT_EQ(read.rows[11][0], "c");
  ASSERT_EQ(run("gather --from made/results.csv --column points --out points.gpkg --json"), 0)
      << err();
  EXPECT_EQ(readLayer((folder_ / "points.gpkg").string()).shapes.size(), 12u);
  // Rasters of a quantity: the first named counts where two have a value.
  writeFloats(folder_ / "x.tif", metricGrid(3, 1), {{1, 2, NAN}}, {}, kNoDataOut);
  Grid moved = metricGrid(3, 1);
  moved.transform[0] += 10;
  writeFloats(folder_ / "y.tif", moved, {{7, 8, 9}});
  ASSERT_EQ(run("gather x.tif y.tif --out xy.tif"), 0) << err();
  EXPECT_EQ(readFloats(folder_ / "xy.tif"), (std::vector<float>{1, 2, 8, 9}));
  ASSERT_EQ(run("gather y.tif x.tif --out xy.tif --replace"), 0) << err();
  EXPECT_EQ(readFloats(folder_ / "xy.tif"), (std::vector<float>{1, 7, 8, 9}));
}

TEST_F(ZpatchOver, WhatDoesNotGoTogetherIsRefused) {
  writeFloats(folder_ / "x.tif", metricGrid(3, 1), {{1, 2, 3}});
  writeFloats(folder_ / "coarse.tif", metricGrid(3, 1, 20), {{1, 2, 3}});
  writeFloats(folder_ / "two.tif", metricGrid(3, 1), {{1, 2, 3}, {1, 2, 3}});
  Grid between = metricGrid(3, 1), zone = metricGrid(3, 1), far = metricGrid(3, 1), none;
  between.transform[0] += 4;
  zone.crs = crsFrom("EPSG:32628");
  far.transform[0] += 3e10;
  none.width = 3, none.height = 1;
  writeFloats(folder_ / "between.tif", between, {{1, 2, 3}});
  writeFloats(folder_ / "zone.tif", zone, {{1, 2, 3}});
  writeFloats(folder_ / "far.tif", far, {{1, 2, 3}});
  writeFloats(folder_ / "none.tif", none, {{1, 2, 3}});
  const auto map = [&](const std::string& name, const std::string& className) {
    Legend legend;
    legend.addMissing(1, className);
    RasterWriter writer(folder_ / name, classMapSpec(metricGrid(3, 1), legend, "map"));
    writer.writeCodes(1, {0, 0, 3, 1}, {1, 1, 0});
    writer.finish();
  };
  map("reed.tif", "Reed");
  map("marsh.tif", "Marsh");
  const std::vector<std::pair<std::string, std::string>> calls{
      {"x.tif coarse.tif", "has other pixels"},
      {"x.tif two.tif", "has 2 bands and the first 1"},
      {"x.tif between.tif", "lies between other pixels"},
      {"x.tif zone.tif", "in another reference system"},
      {"x.tif far.tif", "too far"},
      {"x.tif none.tif", "does not say where it lies"},
      {"x.tif reed.tif", "is a class map"},
      {"reed.tif marsh.tif", "Code 1 is “Marsh”"},
      {"x.tif lost.tif", "lost.tif"}};
  for (const auto& [files, words] : calls) {
    EXPECT_EQ(run("gather " + files + " --out z.tif"), 1) << files;
    EXPECT_NE(err().find(words), std::string::npos) << files << ": " << err();
    EXPECT_FALSE(fs::exists(folder_ / "z.tif"));
  }
  EXPECT_EQ(run("gather x.tif --out x.tif --replace"), 1);
  EXPECT_EQ(run("gather --out z.tif"), 2);
  EXPECT_EQ(run("gather x.tif --mark a --out z.tif"), 2);
  text("t.csv", "scene,a\n1,2\n");
  text("u.csv", "b,a\n5,6\n");
  EXPECT_EQ(run("gather t.csv u.csv --mark scene --out z.csv"), 1);
  ASSERT_EQ(run("gather t.csv u.csv --mark file --out z.csv"), 0) << err();
  EXPECT_EQ(textOf(folder_ / "z.csv"), "file,scene,a,b\nt.csv,1,2,\nu.csv,,6,5\n");
}

/// The examples of docs/many-scenes on the tiles, as their table of scenes names them.
class ManyScenes : public ZpatchOver {
 protected:
  void SetUp() override {
    ZpatchOver::SetUp();
    for (const auto& [tile, day] : {std::pair{"a", "2031-07-18"}, {"c", "2031-05-02"}}) {
      const fs::path place = folder_ / "archive" / ("finch-" + std::string(day));
      fs::create_directories(place);
      fs::rename(folder_ / "tiles" / (std::string(tile) + ".tif"),
                 place / ("finch-" + std::string(day) + ".tif"));
    }
    for (const char* file : {"sheet.json", "scenes.csv", "parallel.sh", "Snakefile", "slurm.sh"})
      fs::copy_file(fs::path(MANY_SCENES) / file, folder_ / file,
                    fs::copy_options::overwrite_existing);
  }
  int shell(const std::string& call) {
    return std::system(("cd '" + folder_.path().string() +
                        "' && PATH=\"$(dirname '" ZPATCH
                        "'):$PATH\" XDG_CACHE_HOME=$PWD/cache HOME=$PWD && (" +
                        call + ") > out.log 2> err.log")
                           .c_str());
  }
  void expectBoth() {
    const Table t = readTable((folder_ / "made/results.csv").string());
    std::vector<std::string> ids;
    for (const auto& row : t.rows) {
      ids.push_back(row[0]);
      EXPECT_TRUE(fs::exists(row[t.column("cover")])) << row[3];
    }
    std::sort(ids.begin(), ids.end());
    EXPECT_EQ(ids, (Words{"july", "may"}));
  }
};

TEST_F(ManyScenes, InOneCall) {
  ASSERT_EQ(over(), 0) << err();
  expectBoth();
}

TEST_F(ManyScenes, WithGnuParallel) {
  ASSERT_EQ(shell("./parallel.sh sheet.json scenes.csv made 2"), 0) << err();
  expectBoth();
  fs::remove(folder_ / "archive/finch-2031-05-02/finch-2031-05-02.tif");
  EXPECT_NE(shell("./parallel.sh sheet.json scenes.csv made 2"), 0);
  auto all = states();
  std::sort(all.begin(), all.end());
  EXPECT_EQ(all, (Words{"failed", "skipped"}));
}

TEST_F(ManyScenes, WithSnakemake) {
  const std::string call =
      "snakemake --cores 2 --config sheet=sheet.json scenes=scenes.csv folder=made";
  ASSERT_EQ(shell(call), 0) << err();
  expectBoth();
  EXPECT_EQ(RasterFile(folder_ / "made/cover.tif").grid().height, 40);
  EXPECT_EQ(readTable((folder_ / "made/readings.csv").string()).rows.size(), 40u);
  ASSERT_EQ(shell(call), 0) << err();
  EXPECT_NE(err().find("Nothing to be done"), std::string::npos) << err();
}

TEST_F(ManyScenes, AsSlurmWouldStartIt) {
  for (const char* task : {"1", "2"})
    ASSERT_EQ(shell("SLURM_CPUS_PER_TASK=1 SLURM_ARRAY_TASK_COUNT=2 SLURM_ARRAY_TASK_ID=" +
                    std::string(task) + " ./slurm.sh sheet.json scenes.csv made"),
              0)
        << err();
  ASSERT_EQ(run("gather made/results-1-of-2.csv made/results-2-of-2.csv --out made/results.csv"),
            0);
  expectBoth();
}

}  // namespace
}  // namespace zp
