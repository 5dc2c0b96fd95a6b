#include <oneapi/tbb/global_control.h>

#include <Eigen/Dense>
#include <cmath>

#include "base/random.h"
#include "feature/feature_kind.h"
#include "legend/class_map.h"
#include "mapping/make_map.h"
#include "mapping/methods/maximum_likelihood.h"
#include "mapping/methods/minimum_distance.h"
#include "support/rasters.h"
#include "support/signatures.h"
#include "support/train.h"

namespace zp {
namespace {

using namespace zp::testing;

TEST(MinimumDistance, ByHand) {
  SignatureSet set = randomSignatures(2, 3, 1);
  set.classes[0].mean << 0, 0;
  set.classes[1].mean << 4, 0;
  set.classes[2].mean << 0, 4;
  for (auto& c : set.classes) c.pixels = 1;  // needs no covariance
  const std::vector<float> a{1, 3, 0, 2, 50}, b{1, 0, 3, 0, 0};
  std::vector<uint16_t> codes(5);
  MinimumDistance(set).classify({a.data(), b.data()}, 5, codes.data());
  EXPECT_EQ(codes, (std::vector<uint16_t>{1, 4, 7, 1, 4}));
  MinimumDistance(set, {{"reject", 1.5}}).classify({a.data(), b.data()}, 5, codes.data());
  EXPECT_EQ(codes[4], 0);
}

TEST(Methods, SayWhatIsWrong) {
  SignatureSet set = randomSignatures(5, 3, 2);
  const auto likelihood = [&] { return sentenceOf([&] { MaximumLikelihood{set}; }); };
  set.classes[1].pixels = 5;
  EXPECT_NE(likelihood().find("“c1” has 5 training pixels, too few"), std::string::npos);
  set.classes[1].pixels = 50;
  set.classes[2].covariance.col(1) = set.classes[2].covariance.col(0);
  set.classes[2].covariance.row(1) = set.classes[2].covariance.row(0);
  EXPECT_NE(likelihood().find("“c2” do not vary enough"), std::string::npos);
  set.classes.resize(1);
  EXPECT_NE(sentenceOf([&] { MinimumDistance{set}; }).find("at least two classes"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { method("maximum-likelyhood"); }).find("“maximum-likelihood”"),
            std::string::npos);
}

TEST(Methods, AnIdWithoutAMethodIsNeverAnotherMethod) {
  for (const char* id : {"", "minimum", "minimum-distance ", "Minimum distance", "forest"})
    EXPECT_NE(sentenceOf([&] { method(id); }).find("There is no method"), std::string::npos) << id;
}

/// What holds of every method there is and will be.
TEST(Methods, EachTellsWhatItIsAndComesBackFromItsOwnJson) {
  Random random(12);
  Samples samples;
  samples.features = {"a", "b"};
  samples.subclasses = {""};
  samples.classes = {{2, "low", 60}, {7, "high", 60}};
  for (int i = 0; i < 120; ++i) {
    const double middle = i < 60 ? 0.2 : 0.8;
    samples.values.push_back(static_cast<float>(middle + 0.05 * bellOf(random)));
    samples.values.push_back(static_cast<float>(1 - middle + 0.05 * bellOf(random)));
    samples.codes.push_back(i < 60 ? 2 : 7);
    samples.areas.push_back(0);
  }
  std::vector<float> a, b;
  for (int i = 0; i < 1000; ++i)
    a.push_back(static_cast<float>(random.uniform())), b.push_back(1 - a.back());
  a.push_back(NAN), b.push_back(0.5f);
  std::set<std::string> ids;
  for (const auto* m : methods()) {
    EXPECT_TRUE(ids.insert(m->id).second) << m->id;
    for (const auto* text : {&m->title, &m->about, &m->assumes, &m->fails, &m->source})
      EXPECT_FALSE(text->empty()) << m->id;
    for (const auto& p : m->parameters) EXPECT_FALSE(p.about.empty()) << m->id << " " << p.id;
    const Json settings = settingsFrom(m->parameters, {}, m->title);
    const auto trained = m->train(samples, settings, Progress());
    EXPECT_EQ(trained->features(), 2u) << m->id;
    EXPECT_EQ(trained->classes(), (std::vector<int>{2, 7})) << m->id;
    std::vector<uint16_t> codes(a.size()), again(a.size());
    trained->classify({a.data(), b.data()}, a.size(), codes.data());
    const auto back = m->read(Json::parse(trained->toJson().dump()), settings);
    back->classify({a.data(), b.data()}, a.size(), again.data());
    EXPECT_EQ(codes, again) << m->id;
    EXPECT_EQ(codes.back(), 0) << m->id;
    size_t wrong = 0;
    for (size_t i = 0; i + 1 < a.size(); ++i)
      wrong += a[i] < 0.45f && codes[i] != 2 ? 1 : a[i] > 0.55f && codes[i] != 7 ? 1 : 0;
    EXPECT_LE(wrong, 10u) << m->id;
    EXPECT_FALSE(m->support.empty()) << m->id;
    std::vector<float> support(2 * a.size()), sure(a.size());
    trained->support({a.data(), b.data()}, a.size(), support.data());
    classifySurely(*trained, {a.data(), b.data()}, a.size(), again.data(), sure.data());
    EXPECT_EQ(codes, again) << m->id;  // asked with or without it, the map is the same
    for (size_t i = 0; i + 1 < a.size(); ++i) {
      const float low = support[i], high = support[a.size() + i];
      ASSERT_NEAR(low + high, 1, 1e-4) << m->id;
      ASSERT_GE(std::min(low, high), 0) << m->id;
      ASSERT_EQ(sure[i], codes[i] == 2 ? low : high) << m->id;
      ASSERT_GE(sure[i], 0.5f) << m->id << " " << a[i];
    }
    EXPECT_TRUE(std::isnan(support[a.size() - 1])) << m->id;
    EXPECT_TRUE(std::isnan(sure.back())) << m->id;
    EXPECT_THROW(m->read(Json::object(), settings), std::exception) << m->id;
  }
}

/// A scene of two covers with a few training areas.
struct Small {
  Folder folder;
  Scene scene;
  fs::path file;
  std::vector<TrainingArea> areas() const {
    return readTrainingAreas(file.string(), {"code", "name", ""}, scene.grid.crs);
  }
  FeatureReader reader(const std::string& bands = "") const {
    const Scope scope(scene);
    return FeatureReader(scope, makeFeatures(bandLines(bandsNamed(bands, scene), scene), scope));
  }
  Samples samples(const SampleLimit& limit = {}) const {
    return drawSamples(reader(), areas(), legendOf(areas()), limit);
  }
  Small() {
    const Grid g = metricGrid(40, 20);
    std::vector<std::vector<float>> bands(3, std::vector<float>(g.pixels()));
    Random random(8);
    for (size_t i = 0; i < g.pixels(); ++i)
      for (size_t b = 0; b < 3; ++b)
        bands[b][i] = static_cast<float>((i % 40 < 20 ? 0.1 : 0.6) + 0.02 * bellOf(random));
    bands[1][0] = -9999;
    writeFloats(folder / "s.tif", g, bands, {"red", "nir", "green"}, -9999);
    scene = openScene(folder / "s.tif");
    const auto box = [](double x, double y, double w) {
      return Ring{{500000 + x, 5000000 - y},
                  {500000 + x + w, 5000000 - y},
                  {500000 + x + w, 5000000 - y - w},
                  {500000 + x, 5000000 - y - w}};
    };
    file = writeAreas(folder / "t.gpkg", {{5, "left", box(0, 0, 60)},
                                          {9, "right", box(300, 50, 80)},
                                          {9, "right", box(320, 60, 40)}});
  }
};

TEST(Signatures, PixelsMeansAndSpreads) {
  Small small;
  const auto areas = small.areas();
  const auto labels = labelPixels(areas, small.scene.grid);
  EXPECT_EQ(labels.pixels, 36u + 64u);  // the second area of class 9 lies in the first
  EXPECT_EQ(labels.conflicts, 0u);
  const Samples samples = small.samples();
  const auto set = signaturesOf(samples);
  ASSERT_EQ(set.classes.size(), 2u);
  EXPECT_EQ(set.classes[0].pixels, 35u);  // one is no data in nir
  EXPECT_EQ(set.classes[1].name, "right");
  const auto nir = readFloats(small.folder / "s.tif", 2);
  std::vector<double> inside;
  for (int r = 5; r < 13; ++r)
    for (int c = 30; c < 38; ++c) inside.push_back(nir[static_cast<size_t>(r * 40 + c)]);
  double mean = 0, squares = 0;
  for (double v : inside) mean += v / 64;
  for (double v : inside) squares += (v - mean) * (v - mean);
  EXPECT_NEAR(set.classes[1].mean[1], mean, 1e-12);
  EXPECT_NEAR(set.classes[1].covariance(1, 1), squares / 63, 1e-12);
  EXPECT_EQ(set.classes[1].max[1], *std::max_element(inside.begin(), inside.end()));
}

TEST(Signatures, APixelThatTwoClassesClaimIsDropped) {
  Small small;
  auto areas = small.areas();
  areas[2].code = 5;  // now inside an area of class 9
  const auto labels = labelPixels(areas, small.scene.grid);
  EXPECT_EQ(labels.conflicts, 16u);
  EXPECT_EQ(labels.pixels, 36u + 64u - 16u);
}

TEST(Signatures, FileAndBack) {
  SignatureSet set = randomSignatures(4, 3, 6);
  set.conflicts = 7;
  const SignatureSet back = signaturesFrom(toJson(set));
  EXPECT_EQ(toJson(back), toJson(set));
  Json broken = toJson(set);
  broken["classes"][0].erase("mean");
  EXPECT_NE(sentenceOf([&] { signaturesFrom(broken); }).find("not complete"), std::string::npos);
}

TEST(Separability, KnownAnswers) {
  Signature a, b;
  a.mean = b.mean = Eigen::Vector2d(0, 0);
  a.covariance = b.covariance = Eigen::Matrix2d::Identity();
  EXPECT_NEAR(jeffriesMatusita(a, b), 0, 1e-12);
  b.mean = Eigen::Vector2d(2, 0);
  EXPECT_NEAR(jeffriesMatusita(a, b), 2 * (1 - std::exp(-0.5)), 1e-12);  // B = 2² / 8
  b.mean = a.mean;
  b.covariance = 4 * Eigen::Matrix2d::Identity();
  EXPECT_NEAR(jeffriesMatusita(a, b), 0.4,
              1e-9);  // determinants 1, 16, pooled 6.25: B = ½ ln(6.25 / 4)
  b.mean = Eigen::Vector2d(100, 0);
  EXPECT_NEAR(jeffriesMatusita(a, b), 2, 1e-9);
}

TEST(TrainingAreas, BadInput) {
  Small small;
  const auto read = [&](const std::string& layer, const std::string& code) {
    return sentenceOf([&] { readTrainingAreas(layer, {code, "", ""}, small.scene.grid.crs); });
  };
  EXPECT_NE(read(small.file.string(), "kode").find("“code”"), std::string::npos);
  EXPECT_NE(read(small.file.string(), "name").find("is not a class code"), std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              readTrainingAreas(small.file.string(), {"code", "", ""}, "");
            }).find("no reference system"),
            std::string::npos);
  auto areas = small.areas();
  for (auto& a : areas)
    for (auto& p : a.shape.rings[0]) p.x += 1e6;
  EXPECT_NE(
      sentenceOf([&] { drawSamples(small.reader(), areas, {}); }).find("No training area covers"),
      std::string::npos);
}

TEST(MakeMap, TwoCoversAndTheSameBytesOnAnyThreads) {
  Small small;
  const auto areas = small.areas();
  const Legend legend = legendOf(areas);
  const auto classifier = trainMethod(method("maximum-likelihood"), small.samples());
  const FeatureReader reader = small.reader();
  makeMap(reader, *classifier, legend, small.folder / "m.tif");
  const auto codes = readCodes(small.folder / "m.tif");
  for (size_t i = 0; i < codes.size(); ++i) EXPECT_EQ(codes[i], i == 0 ? 0 : i % 40 < 20 ? 5 : 9);
  const oneapi::tbb::global_control one(oneapi::tbb::global_control::max_allowed_parallelism, 1);
  makeMap(reader, *classifier, legend, small.folder / "n.tif");
  EXPECT_EQ(codes, readCodes(small.folder / "n.tif"));
  EXPECT_NE(sentenceOf([&] {
              makeMap(small.reader("1,2"), *classifier, legend, small.folder / "o.tif");
            }).find("3 features, but 2"),
            std::string::npos);
}

TEST(MakeMap, OnlyInsideAnOutline) {
  Folder folder;
  const Grid g = metricGrid(20, 10);
  writeFloats(folder / "s.tif", g, {std::vector<float>(200, 0.2f), std::vector<float>(200, 0.3f)});
  const Scene scene = openScene(folder / "s.tif");
  const SignatureSet set = randomSignatures(2, 2, 3);
  Legend legend;
  for (const auto& c : set.classes) legend.addMissing(c.code, c.name);
  const MaximumLikelihood classifier(set);
  Layer inside;
  const Extent e = g.extent();
  inside.shapes = {
      {{{{e.left, e.top}, {e.left + 50, e.top}, {e.left + 50, e.top - 40}, {e.left, e.top - 40}}},
       {}}};
  const Scope scope(scene);
  FeatureReader reader(scope, makeFeatures({"band(1)", "band(2)"}, scope));
  reader.keepInside(inside);
  makeMap(reader, classifier, legend, folder / "m.tif");
  EXPECT_EQ(makeConfidence(reader, classifier, folder / "c.tif").valid, 20u);
  const auto codes = readCodes(folder / "m.tif");
  const auto sure = readFloats(folder / "c.tif");
  for (size_t i = 0; i < codes.size(); ++i) {
    const bool in = i % 20 < 5 && i / 20 < 4;
    EXPECT_EQ(codes[i] != 0, in) << i;
    EXPECT_EQ(std::isnan(sure[i]), !in) << i;
  }
}

TEST(Covariances, DoNotDependOnTheUnitsOfTheBands) {
  // One band in kelvin, one in reflectance, well apart from each other's multiple: the second's
  // variance is a millionth of a millionth of the first's.
  SignatureSet set;
  set.bands = {"temperature", "reflectance"};
  Signature s;
  s.code = 1, s.pixels = 50;
  s.mean = s.min = s.max = Eigen::VectorXd::Zero(2);
  s.covariance = Eigen::MatrixXd(2, 2);
  s.covariance << 1e7, 0.3 * std::sqrt(1e7 * 1e-6), 0.3 * std::sqrt(1e7 * 1e-6), 1e-6;
  set.classes = {s};
  EXPECT_NO_THROW(requireCovariances(set));
  // Bands that repeat each other are found in any unit.
  set.classes[0].covariance << 1e7, std::sqrt(1e7 * 1e-6), std::sqrt(1e7 * 1e-6), 1e-6;
  EXPECT_THROW(requireCovariances(set), Error);
  set.classes[0].covariance << 1e7, 0, 0, 0;  // one that does not vary
  EXPECT_THROW(requireCovariances(set), Error);
}

}  // namespace
}  // namespace zp
