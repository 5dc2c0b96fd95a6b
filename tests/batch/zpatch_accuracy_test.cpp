// zpatch plan, matrix and compare: against each other, against counts by hand, and wrong calls.
#include <fstream>

#include "base/table.h"
#include "outline/layer.h"
#include "study/step.h"
#include "zpatch_run.h"

namespace zp {
namespace {

using namespace zp::testing;

class ZpatchAccuracy : public ZpatchRun {
 protected:
  void SetUp() override {
    std::vector<uint16_t> codes(grid_.pixels());
    for (size_t i = 0; i < codes.size(); ++i) codes[i] = i % 10 == 0 ? 1 : i % 10 < 4 ? 2 : 3;
    writeCodes(folder_ / "map.tif", grid_, codes);
    // Both right thrice, only the second twice in class 1, only the first once in class 3.
    std::ofstream(folder_ / "p.csv") << "ref,a,b,drawn\n1,1,1,1\n1,2,1,2\n1,2,1,2\n2,2,2,2\n"
                                        "3,3,3,3\n3,3,2,3\n3,3,,3\n,3,3,3\n";
  }
  const Grid grid_ = metricGrid(30, 20);
};

TEST_F(ZpatchAccuracy, ComparesTwoMapsAtTheSamePoints) {
  ASSERT_EQ(run("compare p.csv --reference ref --mapped a --mapped b --json"), 0) << err();
  const Json j = json();
  EXPECT_EQ(j["skipped"], 2);
  EXPECT_EQ(j["both_right"], 3);
  EXPECT_EQ(j["mcnemar"]["only_a"], 1);
  EXPECT_EQ(j["mcnemar"]["only_b"], 2);
  EXPECT_NEAR(j["mcnemar"]["statistic"].get<double>(), 1.0 / 3, 1e-12);
  EXPECT_EQ(j["mcnemar"]["p_value"], 1.0);
  EXPECT_NEAR(j["a"]["overall"].get<double>(), 4.0 / 6, 1e-12);
  EXPECT_NEAR(j["b"]["overall"].get<double>(), 5.0 / 6, 1e-12);
  EXPECT_NEAR(j["difference"].get<double>(), 1.0 / 6, 1e-12);
  EXPECT_EQ(j["by_class"][0]["only_b"], 2);
  EXPECT_EQ(j["weighted"], false);
}

TEST_F(ZpatchAccuracy, WeighsByTheMapThatThePointsWereDrawnOn) {
  ASSERT_EQ(run("compare p.csv --reference ref --mapped a --mapped b --strata map.tif --json"), 0)
      << err();
  const Json j = json();
  EXPECT_EQ(j["weighted"], true);
  // Of stratum 2 (0.3 of the area) the second is right in two of three more, of 3 (0.6) in one of
  // two less.
  EXPECT_NEAR(j["difference"].get<double>(), 0.3 * 2 / 3 - 0.6 / 2, 1e-12);
  EXPECT_NEAR(
      j["b"]["weighted"]["overall"].get<double>() - j["a"]["weighted"]["overall"].get<double>(),
      j["difference"].get<double>(), 1e-12);
  // A map judged by the strata of another.
  ASSERT_EQ(run("matrix p.csv --reference ref --mapped b --strata map.tif --stratum drawn --json"),
            0)
      << err();
  EXPECT_EQ(json()["weighted"]["overall"], j["b"]["weighted"]["overall"]);
}

TEST_F(ZpatchAccuracy, ComparesTwoMapsAtPointsOfTheirOwn) {
  std::ofstream other(folder_ / "o.csv");
  other << "ref,b,drawn\n";
  for (int i = 0; i < 40; ++i) {
    const int code = i % 3 + 1;
    other << code << "," << (i < 30 ? code : code % 3 + 1) << "," << code << "\n";
  }
  other.close();
  ASSERT_EQ(run("compare p.csv --reference ref --mapped a --mapped b --other-points o.csv --json"),
            0)
      << err();
  Json j = json();
  EXPECT_NEAR(j["a"]["overall"].get<double>(), 5.0 / 7, 1e-12);  // all that a speaks of
  EXPECT_NEAR(j["b"]["overall"].get<double>(), 0.75, 1e-12);
  EXPECT_NEAR(j["difference"].get<double>(), 0.75 - 5.0 / 7, 1e-12);
  EXPECT_LT(j["difference_interval"][0].get<double>(), 0);
  EXPECT_GT(j["p_value"].get<double>(), 0.5);
  EXPECT_EQ(j["weighted"], false);
  EXPECT_FALSE(j.contains("mcnemar"));  // that is of the same points
  ASSERT_EQ(run("compare p.csv --reference ref --mapped b --other-points o.csv --strata map.tif "
                "--stratum drawn --other-strata map.tif --json"),
            0)
      << err();
  EXPECT_EQ(json()["weighted"], true);
  EXPECT_NEAR(json()["difference"].get<double>(),
              json()["b"]["weighted"]["overall"].get<double>() -
                  json()["a"]["weighted"]["overall"].get<double>(),
              1e-12);
  EXPECT_EQ(run("compare p.csv --reference ref --mapped b --other-points o.csv --strata map.tif"),
            2);
  EXPECT_EQ(run("compare p.csv --reference ref --mapped b --other-points none.csv"), 1);
  EXPECT_EQ(run("compare p.csv --reference ref --mapped a --mapped b --other-strata map.tif"), 2);
}

TEST_F(ZpatchAccuracy, TheTurnedMatrixIsTheSameTurned) {
  ASSERT_EQ(run("matrix p.csv --reference ref --mapped a --out m.csv"), 0) << err();
  ASSERT_EQ(run("matrix p.csv --reference ref --mapped a --turned --out t.csv"), 0) << err();
  const Table m = readTable((folder_ / "m.csv").string()),
              t = readTable((folder_ / "t.csv").string());
  EXPECT_EQ(t.columns[0], "rows: reference, columns: map");
  for (size_t i = 0; i < 3; ++i)
    for (size_t j = 0; j < 3; ++j) EXPECT_EQ(m.rows[i][j + 1], t.rows[j][i + 1]);
  EXPECT_EQ(m.rows[1][1], "2");
}

TEST_F(ZpatchAccuracy, PlansKeepTheMarginsAskedFor) {
  for (const std::string split : {"balanced", "equal", "proportional"}) {
    ASSERT_EQ(run("plan map.tif --margin 0.04 --class-margin 0.12 --expect 1=0.7 --split " + split +
                  " --json"),
              0)
        << err();
    const Json j = json();
    EXPECT_LE(j["overall_margin"].get<double>(), 0.04);
    EXPECT_EQ(j["points"], j["advised"]);
    EXPECT_EQ(j["classes"][0]["expected"], 0.7);
    EXPECT_NEAR(j["classes"][2]["share"].get<double>(), 0.6, 1e-12);
    for (const auto& c : j["classes"])
      EXPECT_TRUE(split != "balanced" || c["users_margin"].get<double>() <= 0.12);
  }
  ASSERT_EQ(run("plan map.tif --total 90 --split equal --json"), 0) << err();
  for (const auto& c : json()["classes"]) EXPECT_EQ(c["points"], 30);
}

TEST_F(ZpatchAccuracy, AReadyMatrixIsAssessed) {
  std::ofstream(folder_ / "m.txt") << "65 4 22 24\n6 81 5 8\n0 11 85 19\n4 7 3 90\n";
  ASSERT_EQ(run("matrix m.txt --counts --json --out m.csv"), 0) << err();
  EXPECT_NEAR(json()["overall"].get<double>(), 321.0 / 434, 1e-12);
  EXPECT_EQ(json()["counts"][3][0], 4);
  // What was written is read again, totals and accuracies and all.
  const Json first = json();
  ASSERT_EQ(run("matrix m.csv --counts --json"), 0) << err();
  EXPECT_EQ(json()["counts"], first["counts"]);
  ASSERT_EQ(run("matrix m.txt --counts --columns-are-map --json"), 0);
  EXPECT_EQ(json()["counts"][0][3], 4);
  std::ofstream(folder_ / "w.csv") << ",A,B,area\nA,8,2,100\nB,1,9,300\n";
  ASSERT_EQ(run("matrix w.csv --counts --json"), 0) << err();
  EXPECT_NEAR(json()["weighted"]["overall"].get<double>(), 0.25 * 0.8 + 0.75 * 0.9, 1e-12);
  EXPECT_NEAR(json()["areas"][0]["area_m2"].get<double>(), 400 * (0.25 * 0.8 + 0.75 * 0.1), 1e-9);
  EXPECT_EQ(run("matrix m.txt"), 2);
  EXPECT_EQ(run("matrix m.txt --counts --reference a"), 2);
  EXPECT_EQ(run("matrix m.txt --counts --strata map.tif"), 2);
  EXPECT_EQ(run("matrix p.csv --counts"), 1);
  EXPECT_EQ(run("matrix nothing.txt --counts"), 1);
}

TEST_F(ZpatchAccuracy, ReportsAStudyWhosePointsAMapLabels) {
  std::vector<uint16_t> codes(grid_.pixels());
  for (size_t i = 0; i < codes.size(); ++i) codes[i] = i % 10 == 0 ? 1 : i % 10 < 5 ? 2 : 3;
  writeCodes(folder_ / "truth.tif", grid_, codes);
  {
    Study study = Study::create(folder_ / "study", "Small & <odd>");
    for (int code = 1; code <= 3; ++code)
      study.legend.addMissing(code, "Class " + std::to_string(code));
    const auto add = [&](Json step) { return study.addProduct(runStep(study, step, Progress())); };
    const Json match{{"1", 1}, {"2", 2}, {"3", 3}};
    const auto imported = [&](const char* file, const char* name) {
      return add({{"do", "import-classes"},
                  {"file", (folder_ / file).string()},
                  {"match", match},
                  {"name", name}});
    };
    const auto map = imported("map.tif", "Map"), truth = imported("truth.tif", "Truth");
    const auto points = add({{"do", "points"},
                             {"over", map},
                             {"plan", "stratified"},
                             {"count", 20},
                             {"seed", 1},
                             {"name", "Points"}});
    const auto labels = add({{"do", "labels"},
                             {"points", points},
                             {"map", map},
                             {"reference", truth},
                             {"seed", 1},
                             {"name", "Labels"}});
    EXPECT_EQ(study.product(labels)->facts["without_class"], 0);
    study.save();
  }
  const std::string files =
      "--out r.html --pdf r.pdf --matrix m.csv --points p.gpkg --sheet s.json";
  ASSERT_EQ(run("report --study study --json --author 'A. Labeller' " + files), 0) << err();
  const Json told = json();
  EXPECT_EQ(told["title"], "Small & <odd>");
  EXPECT_EQ(told["outputs"].size(), 5u);
  const Table matrix = readTable((folder_ / "m.csv").string());
  EXPECT_EQ(matrix.columns[1], "Class 1");
  const auto points = readLayer((folder_ / "p.gpkg").string());
  ASSERT_EQ(points.shapes.size(), 60u);
  size_t right = 0;
  for (const auto& row : points.table.rows)
    right += row[points.table.column("right")] == "1" ? 1 : 0;
  EXPECT_NEAR(told["overall"].get<double>(), static_cast<double>(right) / 60, 1e-12);
  std::ifstream in(folder_ / "r.html");
  std::stringstream html;
  html << in.rdbuf();
  EXPECT_NE(html.str().find("Small &amp; &lt;odd&gt;"), std::string::npos);
  EXPECT_NE(html.str().find("A. Labeller"), std::string::npos);
  EXPECT_NE(html.str().find("The labels are the classes of “Truth”."), std::string::npos);
  // What is there stays, and nothing is half there.
  EXPECT_EQ(run("report --study study " + files), 1);
  EXPECT_EQ(run("report --study study --replace " + files), 0) << err();
  EXPECT_EQ(run("report --study study --out no/r.html"), 1);
  EXPECT_EQ(run("report --study study --labels Nothing --out other.html"), 1);
  EXPECT_NE(err().find("Nothing"), std::string::npos);
  EXPECT_EQ(run("report --study study"), 2);
  // No file of the study is replaced by a report of it.
  const auto size = fs::file_size(folder_ / "study/study.json");
  EXPECT_EQ(run("report --study study --replace --out study/study.json"), 1);
  EXPECT_EQ(run("report --study study --replace --out study/products/map.tif"), 1);
  EXPECT_EQ(fs::file_size(folder_ / "study/study.json"), size);
  const Json record = [&] {
    EXPECT_EQ(run("record --study study --out sheet.json"), 0) << err();
    return readJson(folder_ / "sheet.json");
  }();
  EXPECT_EQ(record["steps"].back()["do"], "labels");
}

TEST_F(ZpatchAccuracy, WrongCalls) {
  EXPECT_EQ(run("compare p.csv --reference ref --mapped a"), 2);
  EXPECT_NE(err().find("twice"), std::string::npos);
  EXPECT_EQ(run("compare p.csv --reference ref --mapped a --mapped b --stratum drawn"), 2);
  EXPECT_EQ(run("compare p.csv --reference no --mapped a --mapped b"), 1);
  EXPECT_EQ(run("plan map.tif --split even"), 2);
  EXPECT_EQ(run("plan map.tif --margin 0"), 2);
  EXPECT_EQ(run("plan map.tif --expect 1=2"), 2);
  EXPECT_EQ(run("plan map.tif --expect 8=0.5"), 1);
  EXPECT_NE(err().find("no class 8"), std::string::npos);
  EXPECT_EQ(run("plan map.tif --margin 0.001"), 1);
  EXPECT_NE(err().find("wider"), std::string::npos);
  writeCodes(folder_ / "empty.tif", grid_, std::vector<uint16_t>(grid_.pixels()));
  EXPECT_EQ(run("plan empty.tif"), 1);
  EXPECT_NE(err().find("holds no class"), std::string::npos) << err();
  std::ofstream(folder_ / "e.csv") << "ref,a,b\n,1,1\n";
  EXPECT_EQ(run("compare e.csv --reference ref --mapped a --mapped b"), 1);
  EXPECT_NE(err().find("label some points"), std::string::npos);
}

}  // namespace
}  // namespace zp
