// The headless command as its users call it: a process, its files, its exit codes.
#include <signal.h>
#include <sys/wait.h>
#include <unistd.h>

#include <cmath>
#include <thread>

#include "base/json.h"
#include "base/random.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

struct Ran {
  int code = -1;
  std::string out, err;
  Json json() const { return parseJson(out, "standard output"); }
};

class Zpatch : public ::testing::Test {
 protected:
  Ran run(const std::string& arguments) {
    const std::string call = prefix_ + std::string(ZPATCH) + " " + arguments + " > '" +
                             (logs_ / "out").string() + "' 2> '" + (logs_ / "err").string() + "'";
    const int status = std::system(("cd '" + folder_.path().string() + "' && " + call).c_str());
    return {WIFEXITED(status) ? WEXITSTATUS(status) : -1, textOf(logs_ / "out"),
            textOf(logs_ / "err")};
  }

  void SetUp() override {
    const Grid g = metricGrid(60, 40);
    std::vector<std::vector<float>> bands(3, std::vector<float>(g.pixels()));
    for (size_t i = 0; i < g.pixels(); ++i)
      for (size_t b = 0; b < 3; ++b)
        bands[b][i] = static_cast<float>((i % 60 < 30 ? 0.1 : 0.5) + 0.05 * unit(mix(i, b)));
    bands[0][0] = -9999;
    writeFloats(folder_ / "s.tif", g, bands, {"red", "nir", "green"}, -9999);
    const auto box = [](double x, double y, double w) {
      return Ring{{500000 + x, 5000000 - y},
                  {500000 + x + w, 5000000 - y},
                  {500000 + x + w, 5000000 - y - w},
                  {500000 + x, 5000000 - y - w}};
    };
    writeAreas(folder_ / "t.gpkg",
               {{1, "Left side", box(20, 20, 120)}, {2, "Right side", box(400, 100, 120)}});
  }

  Folder folder_, logs_;
  std::string prefix_;
};

TEST_F(Zpatch, LookSaysTheFacts) {
  const Ran r = run("look s.tif --json");
  ASSERT_EQ(r.code, 0) << r.err;
  const Json j = r.json();
  EXPECT_EQ(j["width"], 60);
  EXPECT_EQ(j["crs"], "EPSG:32627");
  EXPECT_EQ(j["pixel_size"], Json({10.0, 10.0}));
  EXPECT_EQ(j["bands"][1]["role"], "nir");
  EXPECT_EQ(j["bands"][0]["valid"], 60 * 40 - 1);
  EXPECT_EQ(j["bands"][0]["nodata"], -9999.0);
  EXPECT_TRUE(j["outputs"].empty());
}

TEST_F(Zpatch, IndexAndItsRefusals) {
  const Ran r = run("index s.tif --index vegetation --out v.tif --json");
  ASSERT_EQ(r.code, 0) << r.err;
  EXPECT_EQ(r.json()["valid"], 60 * 40 - 1);
  EXPECT_EQ(r.json()["outputs"][0], "v.tif");
  EXPECT_EQ(run("index s.tif --index vegetation --out v.tif").code, 1);  // it exists
  EXPECT_EQ(run("index s.tif --index vegetation --out v.tif --replace").code, 0);
  const std::string before = textOf(folder_ / "s.tif");
  EXPECT_EQ(run("index s.tif --index vegetation --out s.tif --replace").code,
            1);  // it is the input
  EXPECT_EQ(textOf(folder_ / "s.tif"), before);
  EXPECT_EQ(run("index s.tif --index vegetation --out no/v.tif").code, 1);
  const Ran missing = run("index s.tif --index built-up --out b.tif --json");
  EXPECT_EQ(missing.code, 1);
  EXPECT_TRUE(missing.out.empty());
  EXPECT_NE(missing.err.find("has no swir16 band"), std::string::npos) << missing.err;
  const Ran wrong = run("index s.tif --formula 'nir + grean' --out w.tif");
  EXPECT_EQ(wrong.code, 1);
  EXPECT_NE(wrong.err.find("Did you mean “green”? (at character 7"), std::string::npos)
      << wrong.err;
  EXPECT_FALSE(fs::exists(folder_ / "w.tif"));
  EXPECT_EQ(run("index s.tif --out x.tif").code, 2);
  EXPECT_EQ(run("index s.tif --index vegetation").code, 2);
  EXPECT_EQ(run("index s.tif --index vegetation --formula nir --out x.tif").code, 2);
  EXPECT_EQ(run("index s.tif --index vegetation --out x.tif --roles red").code, 2);
  const Json book = run("index --list s.tif --json").json()["indices"];
  EXPECT_GE(book.size(), 40u);
  EXPECT_EQ(book[0]["id"], "vegetation");
  EXPECT_TRUE(book[0]["missing"].empty());
}

TEST_F(Zpatch, ThresholdWithPolygonsAllOrNothing) {
  ASSERT_EQ(run("index s.tif --formula nir --out n.tif").code, 0);
  const Ran r =
      run("threshold n.tif --at 0.3 --names 'low,high' --out c.tif --polygons p.gpkg --keep high "
          "--json");
  ASSERT_EQ(r.code, 0) << r.err;
  const Json c = r.json()["classes"];
  EXPECT_EQ(c[1]["name"], "high");
  EXPECT_EQ(c[1]["pixels"], 1200);
  EXPECT_EQ(c[1]["area_m2"], 120000.0);
  EXPECT_EQ(r.json()["outputs"].size(), 2u);
  const Layer polygons = readLayer((folder_ / "p.gpkg").string());
  EXPECT_EQ(polygons.table.rows.size(), 1u);
  EXPECT_EQ(polygons.table.rows[0][1], "high");
  EXPECT_EQ(run("threshold n.tif --at 0.3 --names low,high --out d.tif --polygons p.gpkg").code, 1);
  EXPECT_FALSE(fs::exists(folder_ / "d.tif"));
  EXPECT_EQ(run("threshold n.tif --at 0.3,0.2 --names a,b,c --out d.tif").code, 2);
  EXPECT_EQ(run("threshold n.tif --at x --names a,b --out d.tif").code, 2);
  EXPECT_EQ(run("areas c.tif --json").json()["classes"], c);
}

TEST_F(Zpatch, SignaturesMapPointsReadingsMatrix) {
  Ran r = run(
      "signatures s.tif --training t.gpkg --code code --name name --bands 2,3 --out s.json --json");
  ASSERT_EQ(r.code, 0) << r.err;
  EXPECT_EQ(r.json()["bands"], Json({"nir", "green"}));
  EXPECT_EQ(r.json()["classes"][0]["pixels"], 144);
  EXPECT_EQ(readJson(folder_ / "s.json")["classes"], r.json()["classes"]);
  EXPECT_GT(r.json()["separability"][0]["jeffries_matusita"], 1.99);

  for (const char* method : {"maximum-likelihood", "minimum-distance"}) {
    r = run(std::string("map s.tif --training t.gpkg --code code --name name --method ") + method +
            " --out " + method + ".tif --json");
    ASSERT_EQ(r.code, 0) << r.err;
    EXPECT_EQ(r.json()["method"], method);
    EXPECT_EQ(r.json()["training_pixels"], 288);
    EXPECT_EQ(r.json()["classes"][1]["pixels"], 1200);
    EXPECT_EQ(r.json()["classes"][1]["name"], "Right side");
  }
  r =
      run("points --plan stratified --over maximum-likelihood.tif --per-class 20 --seed 5 "
          "--with-class --out p.gpkg --json");
  ASSERT_EQ(r.code, 0) << r.err;
  EXPECT_EQ(r.json()["points"], 40);
  EXPECT_EQ(r.json()["per_class"][0]["points"], 20);
  r =
      run("readings p.gpkg --from maximum-likelihood.tif minimum-distance.tif s.tif:2 --out r.csv "
          "--json");
  ASSERT_EQ(r.code, 0) << r.err;
  EXPECT_EQ(r.json()["columns"],
            Json({"id", "code", "class", "maximum-likelihood", "minimum-distance", "s_b2"}));
  r =
      run("matrix r.csv --reference code --mapped maximum-likelihood --strata "
          "maximum-likelihood.tif --out m.csv --json");
  ASSERT_EQ(r.code, 0) << r.err;
  EXPECT_EQ(r.json()["overall"], 1.0);
  EXPECT_EQ(r.json()["kappa"], 1.0);
  EXPECT_EQ(r.json()["classes"][1]["name"], "Right side");
  EXPECT_EQ(r.json()["weighted"]["overall"], 1.0);
  EXPECT_NE(textOf(folder_ / "m.csv").find("rows: map, columns: reference"), std::string::npos);
}

TEST_F(Zpatch, PointsRefuseAndRepeat) {
  EXPECT_EQ(run("points --plan random --over s.tif --count 5 --seed 1 --out a.geojson").code, 0);
  EXPECT_EQ(run("points --plan random --over s.tif --count 5 --seed 1 --out b.geojson").code, 0);
  const Layer a = readLayer((folder_ / "a.geojson").string()),
              b = readLayer((folder_ / "b.geojson").string());
  EXPECT_EQ(a.shapes[3].points[0].x, b.shapes[3].points[0].x);
  EXPECT_EQ(a.table.columns, std::vector<std::string>{"id"});
  EXPECT_EQ(
      run("points --plan random --over s.tif --count 5 --apart 4000 --seed 1 --out c.gpkg").code,
      1);
  EXPECT_EQ(run("points --plan random --over s.tif --seed 1 --out c.gpkg").code, 2);
  EXPECT_EQ(run("points --plan grid --over s.tif --seed 1 --out c.gpkg").code, 2);
  EXPECT_EQ(run("points --plan random --over s.tif --count 5 --seed 1 --out c.xyz").code, 1);
  EXPECT_FALSE(fs::exists(folder_ / "c.gpkg"));
}

TEST_F(Zpatch, BadInputIsOneSentenceAndChangesNothing) {
  std::ofstream(folder_ / "no.tif") << "text";
  const auto names = folder_.names();
  for (const char* call :
       {"look no.tif", "look missing.tif", "areas no.tif", "index no.tif --formula 1 --out o.tif",
        "map s.tif --training t.gpkg --code kode --method maximum-likelihood --out o.tif",
        "map s.tif --training t.gpkg --code code --method minimum-distance --bands 9 --out o.tif",
        "readings s.tif --from s.tif", "matrix t.gpkg --reference x --mapped code"}) {
    const Ran r = run(std::string(call) + " --json");
    EXPECT_EQ(r.code, 1) << call;
    EXPECT_TRUE(r.out.empty()) << call;
    EXPECT_EQ(std::count(r.err.begin(), r.err.end(), '\n'), 1) << call << ": " << r.err;
  }
  for (const char* call : {"map s.tif --training t.gpkg --code code --method forest --out o.tif",
                           "map s.tif --training t.gpkg --code code --method maximum-likelihood "
                           "--set rejekt=1 --out o.tif",
                           "look s.tif --roles redd=1", "look s.tif --sensor fynch",
                           "index s.tif --index vegetasion --out o.tif"}) {
    const Ran r = run(std::string(call) + " --json");
    EXPECT_EQ(r.code, 2) << call;
    EXPECT_TRUE(r.out.empty()) << call;
  }
  EXPECT_EQ(folder_.names(), names);
  EXPECT_EQ(run("").code, 2);
  EXPECT_EQ(run("fly").code, 2);
  EXPECT_EQ(run("--help").code, 0);
  EXPECT_EQ(run("map --help").code, 0);
}

TEST_F(Zpatch, TheResultDoesNotDependOnTheThreads) {
  ASSERT_EQ(run("map s.tif --training t.gpkg --code code --method maximum-likelihood --out a.tif "
                "--threads 1")
                .code,
            0);
  ASSERT_EQ(
      run("map s.tif --training t.gpkg --code code --method maximum-likelihood --out b.tif").code,
      0);
  EXPECT_EQ(textOf(folder_ / "a.tif"), textOf(folder_ / "b.tif"));
}

TEST_F(Zpatch, AnInterruptLeavesNothingBehind) {
  const Grid g = metricGrid(6000, 5000);
  {
    RasterSpec spec;
    spec.grid = g;
    spec.bands.resize(1);
    spec.bands[0].name = "nir";
    RasterWriter writer(folder_ / "big.tif", spec);
    std::vector<float> rows(6000 * 250);
    for (int y = 0; y < 5000; y += 250) {
      for (size_t i = 0; i < rows.size(); ++i)
        rows[i] = static_cast<float>(unit(mix(i, static_cast<uint64_t>(y))));
      writer.write(1, {0, y, 6000, 250}, rows);
    }
    writer.finish();
  }
  const auto names = folder_.names();
  const pid_t child = fork();
  if (child == 0) {
    if (chdir(folder_.path().c_str()) != 0) _exit(9);
    if (freopen("/dev/null", "w", stderr) == nullptr) _exit(9);
    execl(ZPATCH, ZPATCH, "index", "big.tif", "--formula", "nir ^ 0.3 + exp(nir)", "--out", "o.tif",
          nullptr);
    _exit(9);
  }
  while (folder_.names() == names && waitpid(child, nullptr, WNOHANG) == 0)
    std::this_thread::yield();
  kill(child, SIGTERM);
  int status = 0;
  waitpid(child, &status, 0);
  ASSERT_TRUE(WIFEXITED(status));
  EXPECT_EQ(WEXITSTATUS(status), 130);
  EXPECT_EQ(folder_.names(), names);
}

TEST_F(Zpatch, AReadOnlyFolderIsRefused) {
  fs::create_directory(folder_ / "closed");
  fs::permissions(folder_ / "closed", fs::perms(0555));
  fs::permissions(folder_.path(), fs::perms(0755));
  // Root may write everywhere, so the call is made as nobody.
  prefix_ = geteuid() == 0 ? "setpriv --reuid 65534 --clear-groups " : "";
  const Ran r = run("index s.tif --formula nir --out closed/o.tif");
  if (r.code == 127) GTEST_SKIP() << "the build folder is closed to nobody";
  EXPECT_EQ(r.code, 1);
  EXPECT_NE(r.err.find("read-only"), std::string::npos) << r.err;
}

TEST_F(Zpatch, HelpNamesEveryCallAndEveryCallItsOptions) {
  const Ran all = run("--help");
  EXPECT_EQ(all.code, 0);
  const std::vector<std::pair<std::string, std::vector<std::string>>> calls{
      {"look", {"--json", "--sensor", "--roles", "--nodata"}},
      {"index", {"--index", "--formula", "--out", "--outline", "--inside", "--list", "--replace"}},
      {"threshold", {"--at", "--names", "--out", "--polygons", "--keep"}},
      {"areas", {"--json"}},
      {"signatures", {"--training", "--code", "--name", "--bands", "--out"}},
      {"map",
       {"--method", "--set", "--confidence", "--model-out", "--model", "--features",
        "minimum-distance"}},
      {"methods", {"--json"}},
      {"features", {"--json"}},
      {"points", {"--plan", "--over", "--inside", "--count", "--per-class", "--apart", "--seed"}},
      {"readings", {"--from", "--out"}},
      {"matrix", {"--reference", "--mapped", "--strata"}}};
  for (const auto& [call, options] : calls) {
    EXPECT_NE(all.out.find(call), std::string::npos) << call;
    const Ran one = run(call + " --help");
    EXPECT_EQ(one.code, 0);
    EXPECT_TRUE(one.err.empty()) << one.err;
    for (const auto& option : options)
      EXPECT_NE(one.out.find(option), std::string::npos) << call << " " << option;
  }
  EXPECT_EQ(run("").code, 2);
  EXPECT_EQ(run("lok s.tif").code, 2);
  EXPECT_EQ(run("look").code, 2);
}

TEST_F(Zpatch, OutputsOfAMapComeAllOrNone) {
  const std::string call = "map s.tif --training t.gpkg --code code --method maximum-likelihood ";
  std::ofstream(folder_ / "c.tif") << "mine";
  Ran r = run(call + "--out m.tif --confidence c.tif --model-out model.json --json");
  EXPECT_EQ(r.code, 1);
  EXPECT_TRUE(r.out.empty());
  EXPECT_NE(r.err.find("“c.tif” exists already"), std::string::npos) << r.err;
  EXPECT_FALSE(fs::exists(folder_ / "m.tif"));
  EXPECT_FALSE(fs::exists(folder_ / "model.json"));
  EXPECT_EQ(textOf(folder_ / "c.tif"), "mine");
  r = run(call + "--out m.tif --confidence m.tif");
  EXPECT_EQ(r.code, 1);
  EXPECT_NE(r.err.find("named twice"), std::string::npos) << r.err;
  r = run(call + "--out m.tif --confidence c.tif --model-out model.json --replace --json");
  ASSERT_EQ(r.code, 0) << r.err;
  EXPECT_EQ(r.json()["outputs"], Json({"m.tif", "c.tif", "model.json"}));
  EXPECT_EQ(run("map s.tif --model m.tif --out n.tif").code, 1);
  EXPECT_EQ(run("map s.tif --model model.json --out model.json --replace").code, 1);
  for (const auto& name : folder_.names()) EXPECT_NE(name.rfind(".zpatch-", 0), 0u) << name;
}

TEST_F(Zpatch, AnInputIsNeverTheOutputByWhateverName) {
  const std::string before = textOf(folder_ / "s.tif");
  fs::create_symlink("s.tif", folder_ / "link.tif");
  fs::create_hard_link(folder_ / "s.tif", folder_ / "hard.tif");
  for (const char* name : {"s.tif", "./s.tif", "link.tif", "hard.tif"}) {
    const Ran r = run(std::string("index s.tif --formula nir --replace --out ") + name);
    EXPECT_EQ(r.code, 1) << name;
    EXPECT_NE(r.err.find("is an input too"), std::string::npos) << r.err;
  }
  EXPECT_EQ(textOf(folder_ / "s.tif"), before);
}

TEST_F(Zpatch, ProgressStaysOffStandardOutputAndOutOfFiles) {
  const Ran plain = run("index s.tif --formula nir --out a.tif");
  EXPECT_EQ(plain.code, 0);
  EXPECT_TRUE(plain.err.empty()) << plain.err;  // a bar is for terminals
  const Ran asJson = run("index s.tif --formula nir --out b.tif --json");
  EXPECT_EQ(asJson.out.front(), '{');
  EXPECT_EQ(asJson.json()["outputs"], Json({"b.tif"}));
  EXPECT_EQ(textOf(folder_ / "a.tif"), textOf(folder_ / "b.tif"));
}

}  // namespace
}  // namespace zp
