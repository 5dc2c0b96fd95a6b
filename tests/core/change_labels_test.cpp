// Labels of a map of change, each a class of its earlier date and one of its later; and labels from
// elsewhere that follow what they came from.
#include <cmath>

#include "sampling/readings.h"
#include "study/change_behind.h"
#include "study/judgement.h"
#include "study/report_of_study.h"
#include "study/step.h"
#include "study/write_report.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

constexpr int kWater = 1, kReed = 2, kSand = 3;
constexpr int kWide = 60, kHigh = 40;

/// Three strips: water, reed and sand.
int before(int x, int) {
  return 1 + x / 20;
}

/// What is there later: the sea took the upper reed, reed grew on some sand.
int after(int x, int y) {
  if (x >= 20 && x < 40 && y < 14) return kWater;
  if (x >= 56 && y >= 20) return kReed;
  return before(x, y);
}

/// What the later map says: it missed the new reed, and saw a little more of the sea than came.
int mapped(int x, int y) {
  if (x >= 20 && x < 40 && y < 16) return kWater;
  return before(x, y);
}

struct Dates {
  Folder folder;
  Study study = Study::create(folder / "study", "Dates");
  std::string earlier, later;
  Dates() {
    for (const auto& [code, name] : {std::pair{kWater, "water"}, {kReed, "reed"}, {kSand, "sand"}})
      study.legend.addMissing(code, name);
    earlier = addMap("Earlier", before, "2028-06-01");
    later = addMap("Later", mapped, "2031-06-01");
  }
  std::string addMap(const std::string& name, int (*codeAt)(int, int), const std::string& date) {
    Product p;
    p.kind = ProductKind::ClassMap;
    p.name = name;
    p.date = date;
    p.file = folder / (name + ".tif");
    write(p.file, codeAt);
    p.step = {{"do", "import-classes"}};
    p.facts["classes"] = Json::array();
    return study.addProduct(p);
  }
  void write(const std::filesystem::path& file, int (*codeAt)(int, int)) const {
    const Grid g = metricGrid(kWide, kHigh);
    std::vector<uint16_t> codes;
    for (int y = 0; y < kHigh; ++y)
      for (int x = 0; x < kWide; ++x) codes.push_back(static_cast<uint16_t>(codeAt(x, y)));
    RasterWriter writer(file, classMapSpec(g, study.legend, "m"));
    writer.writeCodes(1, {0, 0, kWide, kHigh}, codes);
    writer.finish();
  }
  std::string run(const Json& step) { return study.addProduct(runStep(study, step, Progress())); }
  void again(const std::string& id) {
    const Product old = *study.product(id);
    *study.product(id) = runStep(study, old.step, Progress(), &old);
  }
  std::string change(int code) {
    Json step{{"do", "change"}, {"from", earlier}, {"to", later}, {"name", "Change"}};
    if (code != 0) step["code"] = code;
    return run(step);
  }
  std::string labelsOf(const std::string& map, int each, Json more = Json::object()) {
    const auto points = run({{"do", "points"},
                             {"over", map},
                             {"plan", "stratified"},
                             {"count", each},
                             {"seed", 4},
                             {"name", "Points"}});
    more.update({{"do", "labels"}, {"points", points}, {"map", map}, {"seed", 2}, {"name", "L"}});
    return run(more);
  }
  LabelsFile file(const std::string& labels) { return readLabels(study.product(labels)->file); }
  /// As a labeller does who errs nowhere.
  void labelAll(const std::string& labels) {
    LabelsFile all = file(labels);
    const Grid g = metricGrid(kWide, kHigh);
    while (all.labelling.labelled() < all.labelling.points().size()) {
      const Place at = g.toPixel(all.labelling.current().place);
      const int x = static_cast<int>(at.x), y = static_cast<int>(at.y);
      const ClassPair pair{before(x, y), after(x, y)};
      all.labelling.label({all.change->add(pair), 0, pair.first, pair.second}, "now");
    }
    all.labelling.close("then");
    writeLabels(study.product(labels)->file, all);
  }
};

std::string nameOf(const LabelsFile& labels, int code) {
  const auto* c = labels.change->legend().find(code);
  return c == nullptr ? "" : c->name;
}

int codeCalled(const LabelsFile& labels, const std::string& name) {
  for (const auto& c : labels.change->legend().classes)
    if (c.name == name) return c.code;
  ADD_FAILURE() << name;
  return 0;
}

TEST(ChangeLabels, TheAreaOfEachChangeIsWithinItsInterval) {
  Dates d;
  const auto labels = d.labelsOf(d.change(0), 60);
  d.labelAll(labels);
  const LabelsFile file = d.file(labels);
  const Judged j = judge(d.study, *d.study.product(labels), file, file.labelling.drawn());
  ASSERT_TRUE(j.weighted);
  const std::map<std::string, double> truth{{"reed → water", 20 * 14},
                                            {"water, as before", 800},
                                            {"reed, as before", 20 * 26},
                                            {"sand → reed", 4 * 20},
                                            {"sand, as before", 800 - 80}};
  ASSERT_EQ(j.matrix.codes.size(), truth.size());
  for (size_t i = 0; i < j.matrix.codes.size(); ++i) {
    const double share = truth.at(j.matrix.names[i]) / (kWide * kHigh);
    const Estimate& area = j.weighted->area[i];
    EXPECT_LE(area.low, share) << j.matrix.names[i];
    EXPECT_GE(area.high, share) << j.matrix.names[i];
  }
  // A change that the map has nowhere has a class, after those of the map.
  const int missed = codeCalled(file, "sand → reed");
  EXPECT_EQ(missed, file.change->legend().highestCode());
  const auto at = std::find(j.matrix.codes.begin(), j.matrix.codes.end(), missed);
  const auto row = static_cast<size_t>(at - j.matrix.codes.begin());
  EXPECT_TRUE(std::isnan(j.weighted->users[row].value));
  EXPECT_EQ(j.weighted->producers[row].value, 0);
  EXPECT_GT(j.weighted->area[row].value, 0);
}

TEST(ChangeLabels, KeepTheirMeaningWhenTheCodesOfTheMapMove) {
  Dates d;
  const auto change = d.change(0);
  const auto labels = d.labelsOf(change, 20);
  d.labelAll(labels);
  LabelsFile before = d.file(labels);
  before.second = SecondLabels{"B", pointsForSecond(before.labelling, 1, 3)};
  before.labelling.goTo(0);
  const int first = before.labelling.current().reference;
  const int other = codeCalled(before, "reed → water");
  before.labelling.change(before.labelOf(other), "t", "A", "why");
  writeLabels(d.study.product(labels)->file, before);
  // Water that became sand is now the first of the changes.
  d.write(d.study.product(d.later)->file,
          [](int x, int y) { return x < 6 ? kSand : mapped(x, y); });
  d.again(change);
  d.again(labels);
  const LabelsFile now = d.file(labels);
  ASSERT_NE(codeCalled(now, "reed → water"), other);
  for (size_t i = 0; i < now.labelling.points().size(); ++i) {
    const auto &p = now.labelling.points()[i], &was = before.labelling.points()[i];
    EXPECT_EQ(nameOf(now, p.reference), nameOf(before, was.reference));
    EXPECT_EQ(nameOf(now, p.stratum), nameOf(before, was.stratum));
    EXPECT_EQ(now.change->codeOf({p.earlier, p.later}), p.reference);
  }
  for (const auto& [code, area] : before.strata)
    EXPECT_EQ(now.strata.at(codeCalled(now, nameOf(before, code))), area);
  ASSERT_EQ(now.labelling.lateChanges().size(), 1u);
  EXPECT_EQ(nameOf(now, now.labelling.lateChanges()[0].from), nameOf(before, first));
  EXPECT_EQ(nameOf(now, now.labelling.lateChanges()[0].to), "reed → water");
  EXPECT_TRUE(now.second);
}

TEST(ChangeLabels, OfOneClassKeepWhatWasSeen) {
  Dates d;
  const auto labels = d.labelsOf(d.change(kReed), 20);
  d.labelAll(labels);
  const LabelsFile file = d.file(labels);
  std::set<std::string> seen;
  for (const auto& p : file.labelling.points()) {
    const std::string name = nameOf(file, p.reference);
    seen.insert(name);
    EXPECT_EQ(name, p.earlier == kReed ? (p.later == kReed ? "kept" : "lost")
                    : p.later == kReed ? "gained"
                                       : "neither");
  }
  EXPECT_GE(seen.size(), 3u);
  const Judged j = judge(d.study, *d.study.product(labels), file, file.labelling.drawn());
  EXPECT_TRUE(j.weighted);
}

TEST(ChangeLabels, FollowAClassOfTheDatesThatGetsAnotherCode) {
  Dates d;
  const auto labels = d.labelsOf(d.change(0), 10);
  d.labelAll(labels);
  const LabelsFile before = d.file(labels);
  LabelsFile now = before;
  renumber(now, kReed, 7);
  for (size_t i = 0; i < now.labelling.points().size(); ++i) {
    const auto& p = now.labelling.points()[i];
    EXPECT_NE(p.earlier, kReed);
    EXPECT_EQ(p.reference, before.labelling.points()[i].reference);
    EXPECT_EQ(now.change->codeOf({p.earlier, p.later}), p.reference);
  }
  EXPECT_EQ(codeCalled(now, "reed → water"), codeCalled(before, "reed → water"));
  EXPECT_EQ(toJson(labelsFrom(toJson(now))), toJson(now));
}

TEST(ChangeLabels, FromAnotherMapOfChangeAreMatchedByWhatChanged) {
  Dates d;
  const auto change = d.change(0);
  d.later = d.addMap("True", after, "2031-06-01");
  const auto truth = d.change(0), ofReed = d.change(kReed);
  const auto labels = d.labelsOf(change, 20, {{"reference", truth}});
  const LabelsFile file = d.file(labels);
  EXPECT_TRUE(file.labelling.closed());
  const Grid g = metricGrid(kWide, kHigh);
  for (const auto& p : file.labelling.points()) {
    const Place at = g.toPixel(p.place);
    const int x = static_cast<int>(at.x), y = static_cast<int>(at.y);
    EXPECT_EQ(p.earlier, before(x, y));
    EXPECT_EQ(p.later, after(x, y));
    EXPECT_EQ(p.reference, file.change->codeOf({p.earlier, p.later}));
  }
  EXPECT_NE(sentenceOf([&] {
              d.labelsOf(change, 5, {{"reference", ofReed}});
            }).find("every change, the other of what became of one class"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              d.labelsOf(change, 5, {{"reference", d.later}});
            }).find("“True” is no map of change"),
            std::string::npos);
}

TEST(ChangeLabels, ATidiedMapOfChangeIsOneStill) {
  Dates d;
  const auto tidied =
      d.run({{"do", "tidy"}, {"map", d.change(0)}, {"majority", 3}, {"name", "Tidied"}});
  EXPECT_NE(changeBehind(d.study, *d.study.product(tidied)), nullptr);
  EXPECT_EQ(changeBehind(d.study, *d.study.product(d.later)), nullptr);
  const auto labels = d.labelsOf(tidied, 10);
  ASSERT_TRUE(d.file(labels).change);
  EXPECT_GT(codeCalled(d.file(labels), "reed → water"), 0);
}

TEST(ChangeLabels, AreReportedByTheirNames) {
  Dates d;
  const auto labels = d.labelsOf(d.change(0), 60);
  d.labelAll(labels);
  const Product& product = *d.study.product(labels);
  const std::string html = toHtml(reportOf(d.study, product, {}));
  for (const char* said :
       {"reed → water", "sand → reed", "change between the two dates", "from Earlier; to Later"})
    EXPECT_NE(html.find(said), std::string::npos) << said;
  EXPECT_EQ(html.find("class 6"), std::string::npos);
  writeReport(d.study, product, {}, {"", "", "", d.folder / "points.gpkg", ""}, false);
  const Table t = readTable((d.folder / "points.gpkg").string());
  const size_t earlier = t.column("earlier_name"), later = t.column("later_name"),
               name = t.column("reference_name");
  for (const auto& row : t.rows)
    EXPECT_EQ(row[name], row[earlier] == row[later] ? row[later] + ", as before"
                                                    : row[earlier] + " → " + row[later]);
}

/// Points over the later map, with the labels that another map gives them.
std::string labelledBy(Dates& d, const std::string& reference) {
  const auto points = d.run({{"do", "points"},
                             {"over", d.later},
                             {"plan", "random"},
                             {"count", 60},
                             {"seed", 4},
                             {"name", "Points"}});
  return d.run({{"do", "labels"},
                {"points", points},
                {"map", d.later},
                {"reference", reference},
                {"seed", 2},
                {"name", "L"}});
}

TEST(LabelsFromAMap, FollowItUnlessSomebodySaidOtherwise) {
  Dates d;
  const auto truth = d.addMap("True", after, "2031-06-01");
  const auto labels = labelledBy(d, truth);
  LabelsFile by = d.file(labels);
  ASSERT_TRUE(by.labelling.closed());
  const int changed = by.labelling.current().id;
  by.labelling.change(kSand, "t", "A", "seen there");
  by.labelling.change(kReed, "t", "A", "no: reed");
  writeLabels(d.study.product(labels)->file, by);
  d.write(d.study.product(truth)->file, [](int, int) { return kSand; });
  ++d.study.product(truth)->revision;
  ASSERT_TRUE(d.study.outOfDate(*d.study.product(labels)));
  d.again(labels);
  const Labelling now = d.file(labels).labelling;
  for (const auto& p : now.points()) EXPECT_EQ(p.reference, p.id == changed ? kReed : kSand);
  EXPECT_EQ(now.lateChanges().size(), 2u);
}

TEST(LabelsFromAMap, ArriveWhereItSaidNothingBefore) {
  Dates d;
  const auto half = d.addMap(
      "Half", [](int x, int) { return x < 30 ? kSand : 0; }, "2031-06-01");
  const auto labels = labelledBy(d, half);
  LabelsFile some = d.file(labels);
  ASSERT_FALSE(some.labelling.closed());
  some.labelling.nextOpen();
  const int byHand = some.labelling.current().id;
  some.labelling.label(kWater, "now");
  writeLabels(d.study.product(labels)->file, some);
  d.write(d.study.product(half)->file, [](int, int) { return kReed; });
  d.again(labels);
  const Labelling now = d.file(labels).labelling;
  for (const auto& p : now.points()) EXPECT_EQ(p.reference, p.id == byHand ? kWater : kReed);
}

}  // namespace
}  // namespace zp
