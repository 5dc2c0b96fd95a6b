// zpatch plan, matrix and compare: against each other, against counts by hand, and wrong calls.
#include <fstream>

#include "base/table.h"
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
