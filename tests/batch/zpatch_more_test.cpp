// More of the headless command: folders, STAC items, other systems, outlines, rasters without one.
#include <cmath>

#include "base/random.h"
#include "scene/stac_item.h"
#include "zpatch_run.h"

namespace zp {
namespace {

using namespace zp::testing;

class ZpatchInputs : public ZpatchRun {
 protected:
  /// Training areas of two classes at the left and at the right, as t.gpkg.
  void writeTwoAreas() {
    const auto box = [](double x, double w) {
      return Ring{{500000 + x, 4999990},
                  {500000 + x + w, 4999990},
                  {500000 + x + w, 4999990 - w},
                  {500000 + x, 4999990 - w}};
    };
    writeAreas(folder_ / "t.gpkg", {{1, "a", box(20, 100)}, {2, "b", box(250, 100)}});
  }
};

TEST_F(ZpatchInputs, AFolderOfBandsIsAScene) {
  fs::create_directory(folder_ / "bands");
  const Grid g = metricGrid(3, 1);
  writeFloats(folder_ / "bands/b_2_nir.tif", g, {{3, 2, 1}});
  writeFloats(folder_ / "bands/b_1_red.tif", g, {{1, 2, 3}});
  ASSERT_EQ(run("index bands --index vegetation --out v.tif --json"), 0) << err();
  EXPECT_EQ(json()["max"], 0.5);
  EXPECT_EQ(json()["min"], -0.5);
  EXPECT_EQ(json()["mean"], 0.0);
  EXPECT_EQ(json()["sd"], 0.5);
}

TEST_F(ZpatchInputs, AStacItemIsAScene) {
  writeFloats(folder_ / "two.tif", metricGrid(2, 1), {{100, 300}, {300, 100}});
  Scene s = openScene(folder_ / "two.tif");
  setRoles(s, {{"red", 1}, {"nir", 2}});
  for (auto& b : s.bands) b.conversion.scale = 0.001;
  s.date = "2031-05-02";
  writeJson(folder_ / "item.json", stacItem(s, folder_ / "item.json"));
  ASSERT_EQ(run("look item.json --json"), 0) << err();
  EXPECT_EQ(json()["date"], "2031-05-02");
  EXPECT_NEAR(json()["bands"][1]["max"].get<double>(), 0.3, 1e-7);
  ASSERT_EQ(run("index item.json --formula 'nir - red' --out d.tif --json"), 0) << err();
  EXPECT_NEAR(json()["max"].get<double>(), 0.2, 1e-6);
}

TEST_F(ZpatchInputs, RolesSensorAndNoDataFromTheCall) {
  writeFloats(folder_ / "s.tif", metricGrid(3, 1), {{1, 2, 0}, {3, 2, 5}});
  ASSERT_EQ(run("index s.tif --roles red=1,nir=2 --nodata 0 --formula 'ndiff(nir, red)' --out "
                "v.tif --json"),
            0)
      << err();
  EXPECT_EQ(json()["valid"], 2);
  EXPECT_EQ(json()["empty"], 1);
  std::vector<std::vector<float>> eight(8, std::vector<float>{2000});
  writeFloats(folder_ / "f.tif", metricGrid(1, 1), eight);
  ASSERT_EQ(run("look f.tif --sensor finch --json"), 0) << err();
  EXPECT_EQ(json()["bands"][7]["role"], "swir22");
  EXPECT_NEAR(json()["bands"][0]["mean"].get<double>(), 0.2, 1e-7);
  EXPECT_EQ(json()["values"], "surface-reflectance");
}

TEST_F(ZpatchInputs, InsideAnOutlineOfAnotherSystem) {
  const Grid g = metricGrid(100, 100);
  writeFloats(folder_ / "s.tif", g, {std::vector<float>(g.pixels(), 2)}, {"nir"});
  const CrsChange change(g.crs, crsFrom("EPSG:4326"));
  Ring ring;
  for (const auto& [c, r] : {std::pair{20, 20}, {60, 20}, {60, 50}, {20, 50}}) {
    Place p = g.toMap(c, r);
    change.apply(p);
    ring.push_back(p);
  }
  writeAreas(folder_ / "o.geojson", {{1, "a", ring}}, "EPSG:4326");
  ASSERT_EQ(run("index s.tif --formula nir --outline o.geojson --inside --out v.tif --json"), 0)
      << err();
  EXPECT_NEAR(json()["valid"].get<double>(), 40 * 30, 70);  // GeoJSON keeps seven decimals
  EXPECT_EQ(run("index s.tif --formula nir --outline o.geojson --out w.tif"), 2);
}

TEST_F(ZpatchInputs, AreasInDegreesAreGeodesicAndUnknownWithoutASystem) {
  Grid g;
  g.width = 10, g.height = 10;
  g.transform = {10, 0.1, 0, 50, 0, -0.1};
  g.georeferenced = true;
  g.crs = crsFrom("EPSG:4326");
  testing::writeCodes(folder_ / "m.tif", g, std::vector<uint16_t>(100, 1));
  ASSERT_EQ(run("areas m.tif --json"), 0) << err();
  // One degree square from 49° to 50° north: 7962.65 km² on WGS 84 (authalic zone, integrated
  // numerically from the radii of curvature).
  double zone = 0;
  constexpr int n = 20000;
  const double a = 6378137, e2 = 0.00669437999014, rad = M_PI / 180;
  for (int i = 0; i < n; ++i) {
    const double phi = (49 + (i + 0.5) / n) * rad, w = 1 - e2 * std::sin(phi) * std::sin(phi);
    zone += a * (1 - e2) / (w * std::sqrt(w)) * a / std::sqrt(w) * std::cos(phi) * rad / n * rad;
  }
  EXPECT_NEAR(json()["classes"][0]["area_m2"].get<double>() / zone, 1, 1e-9);
  g.crs.clear();
  testing::writeCodes(folder_ / "n.tif", g, std::vector<uint16_t>(100, 1));
  ASSERT_EQ(run("areas n.tif --json"), 0);
  EXPECT_TRUE(json()["classes"][0]["area_m2"].is_null());
}

TEST_F(ZpatchInputs, WithoutASystemLookingAndIndicesWorkAndTheRestIsRefused) {
  Grid g = metricGrid(4, 4);
  g.crs.clear();
  writeFloats(folder_ / "s.tif", g, {std::vector<float>(16, 1), std::vector<float>(16, 3)},
              {"red", "nir"});
  EXPECT_EQ(run("look s.tif --json"), 0);
  EXPECT_TRUE(json()["crs"].is_null());
  EXPECT_EQ(run("index s.tif --index vegetation --out v.tif"), 0);
  EXPECT_EQ(run("points --plan random --over s.tif --count 2 --seed 1 --out p.gpkg"), 1);
  EXPECT_NE(err().find("no reference system"), std::string::npos);
  writeAreas(folder_ / "t.gpkg",
             {{1, "a", {{500000, 5000000}, {500020, 5000000}, {500020, 4999980}}}});
  EXPECT_EQ(run("map s.tif --training t.gpkg --code code --method minimum-distance --out m.tif"),
            1);
  EXPECT_NE(err().find("no reference system"), std::string::npos);
}

TEST_F(ZpatchInputs, TrainingOutsideTheSceneOrWithTooFewPixels) {
  const Grid g = metricGrid(20, 20);
  std::vector<std::vector<float>> bands(3, std::vector<float>(g.pixels()));
  for (size_t b = 0; b < 3; ++b)
    for (size_t i = 0; i < g.pixels(); ++i) bands[b][i] = static_cast<float>(unit(mix(i, b)));
  writeFloats(folder_ / "s.tif", g, bands);
  const auto box = [](double x, double y, double w) {
    return Ring{{500000 + x, 5000000 - y},
                {500000 + x + w, 5000000 - y},
                {500000 + x + w, 5000000 - y - w},
                {500000 + x, 5000000 - y - w}};
  };
  writeAreas(folder_ / "out.gpkg", {{1, "a", box(9000, 9000, 50)}});
  EXPECT_EQ(run("signatures s.tif --training out.gpkg --code code --out x.json"), 1);
  EXPECT_NE(err().find("No training area covers"), std::string::npos);
  writeAreas(folder_ / "few.gpkg", {{1, "many", box(0, 0, 90)}, {2, "few", box(150, 150, 12)}});
  EXPECT_EQ(run("map s.tif --training few.gpkg --code code --name name --method maximum-likelihood "
                "--out m.tif"),
            1);
  EXPECT_NE(
      err().find("“few” has 1 training pixel, too few for a covariance over 3 features; draw at "
                 "least 4, better 30."),
      std::string::npos)
      << err();
  EXPECT_FALSE(fs::exists(folder_ / "m.tif"));
  EXPECT_EQ(run("map s.tif --training few.gpkg --code code --name name --method minimum-distance "
                "--out m.tif"),
            0)
      << err();
}

TEST_F(ZpatchInputs, ReadingsAtACsvOfPlaces) {
  writeFloats(folder_ / "s.tif", metricGrid(3, 1), {{7, 8, -9999}}, {}, -9999);
  std::ofstream(folder_ / "p.csv")
      << "name;x;y\nfirst;500005;4999995\nlast;500025;4999995\noutside;1;1\n";
  ASSERT_EQ(run("readings p.csv --from s.tif --out r.csv --json"), 0) << err();
  EXPECT_EQ(textOf(folder_ / "r.csv"),
            "name,x,y,s\nfirst,500005,4999995,7\nlast,500025,4999995,\noutside,1,1,\n");
  std::ofstream(folder_ / "q.csv") << "name,x,y\na,500005,north\n";
  EXPECT_EQ(run("readings q.csv --from s.tif"), 1);
  EXPECT_NE(err().find("Row 1"), std::string::npos);
  std::ofstream(folder_ / "none.csv") << "name,kind\na,b\n";
  EXPECT_EQ(run("readings none.csv --from s.tif"), 1);
  EXPECT_NE(err().find("columns x and y"), std::string::npos);
}

TEST_F(ZpatchInputs, ReadingsOfFeatures) {
  writeFloats(folder_ / "s.tif", metricGrid(3, 1), {{1, 2, 3}, {3, 2, 1}}, {"red", "nir"});
  writeFloats(folder_ / "t.tif", metricGrid(3, 1), {{5, 6, 7}}, {"red"});
  std::ofstream(folder_ / "p.csv") << "name,x,y\na,500005,4999995\nb,500025,4999995\nc,1,1\n";
  ASSERT_EQ(run("readings p.csv --from t.tif --scene now=s.tif --scene then=t.tif --features "
                "'index(ndvi)' 'band(red) of then' --out r.csv"),
            0)
      << err();
  EXPECT_EQ(textOf(folder_ / "r.csv"),
            "name,x,y,t,NDVI,red of then\na,500005,4999995,5,0.5,5\nb,500025,4999995,7,-0.5,7\n"
            "c,1,1,,,\n");
  EXPECT_EQ(run("readings p.csv"), 2);
  EXPECT_NE(err().find("--from"), std::string::npos) << err();
  EXPECT_EQ(run("readings p.csv --features 'index(ndvi)'"), 2);  // of which scene?
  EXPECT_EQ(run("readings p.csv --scene a=s.tif --features 'index(ndvi'"), 2);
  EXPECT_EQ(run("readings p.csv --scene a=s.tif --features 'indx(ndvi)'"), 1);
  EXPECT_NE(err().find("index"), std::string::npos) << err();
  EXPECT_EQ(run("readings p.csv --scene a=s.tif --features 'band(blue)'"), 1);
  EXPECT_EQ(run("readings p.csv --scene a=s.tif --features 'band(red)' --out s.tif --replace"), 1);
  EXPECT_NE(err().find("s.tif"), std::string::npos) << err();  // an input is not written over
}

TEST_F(ZpatchInputs, AnEmptyPointSetAndATableWithoutPairs) {
  std::ofstream(folder_ / "e.csv") << "x,y\n";
  writeFloats(folder_ / "s.tif", metricGrid(1, 1), {{1}});
  EXPECT_EQ(run("readings e.csv --from s.tif"), 1);
  EXPECT_NE(err().find("no points"), std::string::npos) << err();
  std::ofstream(folder_ / "m.csv") << "map,ref\n1,\n,2\n";
  EXPECT_EQ(run("matrix m.csv --reference ref --mapped map"), 1);
  EXPECT_NE(err().find("label some points first"), std::string::npos);
}

TEST_F(ZpatchInputs, MatrixCountsWhatItLeavesOut) {
  std::ofstream(folder_ / "m.csv") << "map,ref\n1,1\n1,2\n2,2\n2,\n";
  ASSERT_EQ(run("matrix m.csv --reference ref --mapped map --json"), 0) << err();
  const Json j = json();
  EXPECT_EQ(j["counts"], Json({{1, 1}, {0, 1}}));
  EXPECT_EQ(j["skipped"], 1);
  EXPECT_EQ(j["users"], Json({0.5, 1.0}));
  EXPECT_EQ(j["producers"], Json({1.0, 0.5}));
  EXPECT_NEAR(j["overall"].get<double>(), 2.0 / 3, 1e-15);
  EXPECT_NEAR(j["kappa"].get<double>(), 0.4, 1e-12);
  EXPECT_TRUE(j["outputs"].empty());
  EXPECT_EQ(j["overall_interval"].size(), 2u);
}

TEST_F(ZpatchInputs, PriorsAndRejectAreTaken) {
  const Grid g = metricGrid(40, 20);
  std::vector<float> band(g.pixels());
  for (size_t i = 0; i < band.size(); ++i)
    band[i] = static_cast<float>((i % 40 < 20 ? 0 : 1) + 0.5 * unit(mix(i)));
  band[0] = 50;  // like nothing that was trained
  writeFloats(folder_ / "s.tif", g, {band});
  writeTwoAreas();
  const std::string call =
      "map s.tif --training t.gpkg --code code --name name --method maximum-likelihood --json ";
  ASSERT_EQ(run(call + "--out a.tif"), 0) << err();
  EXPECT_EQ(json()["classes"][0]["pixels"].get<int>() + json()["classes"][1]["pixels"].get<int>(),
            800);
  ASSERT_EQ(run(call + "--set reject=6 --out b.tif"), 0) << err();
  EXPECT_EQ(json()["classes"][0]["pixels"].get<int>() + json()["classes"][1]["pixels"].get<int>(),
            799);
  ASSERT_EQ(run(call + "--set priors=1:0.999,2:0.001 --out c.tif"), 0) << err();
  EXPECT_EQ(run(call + "--set priors=1:0.5 --out d.tif"), 1);
  EXPECT_NE(err().find("no prior for “b”"), std::string::npos) << err();
}

TEST_F(ZpatchInputs, ConfidenceAndAModelForAnotherScene) {
  const Grid g = metricGrid(40, 20);
  for (const char* name : {"a.tif", "b.tif"}) {
    std::vector<float> band(g.pixels());
    for (size_t i = 0; i < band.size(); ++i)
      band[i] = static_cast<float>((i % 40 < 20 ? 0 : 1) +
                                   0.8 * unit(mix(i, static_cast<uint64_t>(name[0]))));
    writeFloats(folder_ / name, g, {band});
  }
  writeTwoAreas();
  const std::string call = "map a.tif --training t.gpkg --code code --name name ";
  ASSERT_EQ(run(call + "--method maximum-likelihood --out m.tif --confidence c.tif --model-out "
                       "model.json --json"),
            0)
      << err();
  EXPECT_EQ(json()["outputs"].size(), 3u);
  const Json classes = json()["classes"];
  // Confidence by hand: Bayes' rule over the two Gaussians of the model.
  const Json signatures = readJson(folder_ / "model.json")["learned"]["classes"];
  const auto values = readFloats(folder_ / "a.tif"), confidence = readFloats(folder_ / "c.tif");
  for (size_t i = 0; i < values.size(); i += 37) {
    double p[2];
    for (size_t c = 0; c < 2; ++c) {
      const double d = values[i] - signatures[c]["mean"][0].get<double>();
      const double v = signatures[c]["covariance"][0][0].get<double>();
      p[c] = std::exp(-d * d / (2 * v)) / std::sqrt(v);
    }
    EXPECT_NEAR(confidence[i], std::max(p[0], p[1]) / (p[0] + p[1]), 1e-4);
  }
  EXPECT_EQ(RasterFile(folder_ / "c.tif").facts(1).nodata, -1);
  // Where less speaks, there is no class; what is held out and what is unlike is told beside.
  ASSERT_EQ(run(call + "--method maximum-likelihood --least 0.95 --out sure.tif --unlikeness u.tif "
                       "--held-out h.json --json"),
            0)
      << err();
  const Json told = json();
  EXPECT_GT(told["held_out"]["pixels"], 0);
  EXPECT_EQ(readJson(folder_ / "h.json"), told["held_out"]);
  const auto sure = readCodes(folder_ / "sure.tif"), all = readCodes(folder_ / "m.tif");
  const auto unlike = readFloats(folder_ / "u.tif");
  size_t beyond = 0, without = 0;
  for (size_t i = 0; i < sure.size(); ++i) {
    const bool clear = std::abs(confidence[i] - 0.95f) > 1e-4f;
    ASSERT_TRUE(!clear || sure[i] == (confidence[i] < 0.95f ? 0 : all[i])) << i;
    without += sure[i] == 0 ? 1 : 0;
    if (sure[i] != 0 && static_cast<double>(unlike[i]) > told["guess"]["limit"]) ++beyond;
  }
  EXPECT_GT(without, 0u);
  EXPECT_EQ(told["guess"]["unlike"], beyond);
  EXPECT_EQ(told["guess"]["pixels"], sure.size() - without);
  EXPECT_EQ(run(call + "--method maximum-likelihood --least 1 --out x.tif"), 2);
  EXPECT_EQ(run(call + "--method maximum-likelihood --subclasses alone --out x.tif"), 2);
  EXPECT_EQ(run(call + "--method maximum-likelihood --subclasses apart --out x.tif"), 2);
  EXPECT_NE(err().find("--subclass"), std::string::npos) << err();
  Layer parts = readLayer((folder_ / "t.gpkg").string());
  parts.table.columns.push_back("part");
  const auto whole = parts.shapes[0].extent();
  for (size_t r = 0; r < parts.shapes.size(); ++r) parts.table.rows[r].push_back("west");
  Shape east = parts.shapes[0];
  const double middle = (whole.left + whole.right) / 2;
  for (auto& ring : east.rings)
    for (auto& p : ring) p.x = std::max(p.x, middle);
  for (auto& ring : parts.shapes[0].rings)
    for (auto& p : ring) p.x = std::min(p.x, middle);
  parts.shapes.push_back(east);
  parts.table.rows.push_back(parts.table.rows[0]);
  parts.table.rows.back().back() = "east";
  writeLayer(folder_ / "p.gpkg", folder_ / "p.gpkg", parts,
             std::vector<FieldType>(parts.table.columns.size(), FieldType::Text));
  ASSERT_EQ(run("map a.tif --training p.gpkg --code code --name name --subclass part --method "
                "minimum-distance --subclasses kept --out kept.tif --json"),
            0)
      << err();
  std::set<int> codes;
  const Json kept = json();
  for (const auto& c : kept["classes"]) codes.insert(c["code"].get<int>());
  EXPECT_EQ(codes, (std::set<int>{2, 101, 102}));
  EXPECT_EQ(run("map a.tif --model model.json --unlikeness v.tif --out x.tif"), 2);
  ASSERT_EQ(run("map a.tif --model model.json --out again.tif --json"), 0) << err();
  EXPECT_EQ(json()["classes"], classes);
  EXPECT_EQ(textOf(folder_ / "again.tif"), textOf(folder_ / "m.tif"));
  ASSERT_EQ(run("map b.tif --model model.json --out other.tif"), 0) << err();
  EXPECT_EQ(run("map b.tif --model model.json --method minimum-distance --out x.tif"), 2);
  EXPECT_EQ(run("map b.tif --out x.tif"), 2);
  std::ofstream(folder_ / "bad.json") << R"({"format": "zany-patch-model", "version": 1})";
  EXPECT_EQ(run("map b.tif --model bad.json --out x.tif"), 1);
  EXPECT_NE(err().find("not complete"), std::string::npos) << err();
  writeFloats(folder_ / "two.tif", g, {std::vector<float>(800, 1), std::vector<float>(800, 1)});
  EXPECT_EQ(run("map two.tif --model model.json --bands 1,2 --out x.tif"), 1);
  EXPECT_NE(err().find("used 1 features, but 2"), std::string::npos) << err();
  // The features of a model are found again in a scene with other bands beside them.
  EXPECT_EQ(run("map two.tif --model model.json --out y.tif"), 0) << err();
}

TEST_F(ZpatchInputs, AMapOfFeaturesOfSeveralScenes) {
  const Grid g = metricGrid(40, 20);
  std::vector<float> flat(g.pixels(), 0.3f), left(g.pixels());
  for (size_t i = 0; i < left.size(); ++i)
    left[i] = static_cast<float>((i % 40 < 20 ? 0.1 : 0.6) + 0.05 * unit(mix(i, 7)));
  for (size_t i = 0; i < flat.size(); ++i) flat[i] += static_cast<float>(0.05 * unit(mix(i, 9)));
  writeFloats(folder_ / "june.tif", g, {flat, flat}, {"red", "nir"});
  writeFloats(folder_ / "july.tif", metricGrid(20, 10, 20), {std::vector<float>(200, 0.2f)},
              {"red"});
  writeFloats(folder_ / "august.tif", g, {left, left}, {"red", "nir"});
  writeTwoAreas();
  const std::string call =
      "map --scene june=june.tif --scene august=august.tif --training t.gpkg --code code "
      "--method minimum-distance ";
  ASSERT_EQ(
      run(call + "--features 'band(red)' 'brightness of august' --model-out m.json --out m.tif "
                 "--json"),
      0)
      << err();
  EXPECT_EQ(json()["features"], (Json{"band(red)", "brightness of august"}));
  const auto codes = readCodes(folder_ / "m.tif");
  for (size_t i = 0; i < codes.size(); ++i) EXPECT_EQ(codes[i], i % 40 < 20 ? 1 : 2) << i;
  ASSERT_EQ(run("map --scene june=june.tif --scene august=august.tif --model m.json --out n.tif"),
            0)
      << err();
  EXPECT_EQ(textOf(folder_ / "n.tif"), textOf(folder_ / "m.tif"));
  EXPECT_EQ(run("map june.tif --model m.json --out x.tif"), 1);
  EXPECT_NE(err().find("no scene or layer “august”"), std::string::npos) << err();
  EXPECT_EQ(run(call + "--features 'brightnes' --out x.tif"), 1);
  EXPECT_NE(err().find("“brightness”"), std::string::npos) << err();
  EXPECT_EQ(run(call + "--features brightness --bands 1 --out x.tif"), 2);
  EXPECT_EQ(run(call + "--set priors=equal --out x.tif"), 2);
  EXPECT_NE(err().find("has no parameter “priors”"), std::string::npos) << err();
  ASSERT_EQ(run("signatures --scene june=june.tif --scene august=august.tif --training t.gpkg "
                "--code code --features 'index(ndvi)' 'band(nir) of august' --out s.json --json"),
            0)
      << err();
  EXPECT_EQ(json()["bands"], (Json{"NDVI", "nir"}));
}

TEST_F(ZpatchInputs, MethodsAndFeaturesAreListedWithWhatTheyTake) {
  ASSERT_EQ(run("methods --json"), 0) << err();
  size_t withReject = 0;
  Json told = json();
  for (const auto& m : told["methods"]) {
    EXPECT_FALSE(m["about"].get<std::string>().empty());
    for (const auto& p : m["parameters"]) withReject += p["id"] == "reject" ? 1 : 0;
  }
  EXPECT_GE(withReject, 2u);
  ASSERT_EQ(run("features --json"), 0) << err();
  bool found = false;
  told = json();
  for (const auto& f : told["features"]) found = found || f["line"] == "brightness(bands)";
  EXPECT_TRUE(found);
  ASSERT_EQ(run("methods"), 0);
  EXPECT_NE(out().find("\n  reject: a number above 0 ("), std::string::npos) << out();
  ASSERT_EQ(run("map --help"), 0);
  EXPECT_NE(out().find("priors, reject"), std::string::npos) << out();
}

TEST_F(ZpatchInputs, PicturesAreNoClassMaps) {
  writeFloats(folder_ / "index.tif", metricGrid(3, 1), {{0.25f, 1, 2}});
  EXPECT_EQ(run("areas index.tif"), 1);
  EXPECT_NE(err().find("holds 0.25, which is no class code"), std::string::npos) << err();
  // Whole numbers written as floats by somebody else are codes, with zero and NaN as no data.
  writeFloats(folder_ / "codes.tif", metricGrid(4, 1), {{1, 2, 2, 0}});
  ASSERT_EQ(run("areas codes.tif --json"), 0) << err();
  EXPECT_EQ(json()["classes"].size(), 2u);
  EXPECT_EQ(json()["classes"][1]["pixels"], 2);
  EXPECT_EQ(json()["classes"][1]["area_m2"], 200);
  EXPECT_EQ(run("points --plan stratified --over index.tif --per-class 1 --seed 1 --out p.gpkg"),
            1);
  EXPECT_FALSE(fs::exists(folder_ / "p.gpkg"));
}

TEST_F(ZpatchInputs, CountsHaveToBeAboveZero) {
  writeFloats(folder_ / "s.tif", metricGrid(5, 5), {std::vector<float>(25, 1)});
  for (const char* wrong : {"--count -5", "--count 0", "--count many", "--count 5 --apart -1"}) {
    EXPECT_EQ(run(std::string("points --plan random --over s.tif --seed 1 --out p.gpkg ") + wrong),
              2)
        << wrong;
    EXPECT_NE(err().find("is not a "), std::string::npos) << err();
  }
}

TEST_F(ZpatchInputs, WhatAKilledRunLeftIsSwept) {
  writeFloats(folder_ / "s.tif", metricGrid(1, 1), {{1}}, {"nir"});
  std::ofstream(folder_ / ".zpatch-4000001-0-old.tif") << "x";
  ASSERT_EQ(run("index s.tif --formula nir --out o.tif"), 0);
  EXPECT_FALSE(fs::exists(folder_ / ".zpatch-4000001-0-old.tif"));
}

}  // namespace
}  // namespace zp
