// The charts of a table: one column, groups, curves through time, shares.
#include "charts/curve_chart.h"
#include "charts/shares_chart.h"
#include "charts/values_chart.h"
#include "table_window.h"

namespace zp {
namespace {

using namespace testing;

TEST_F(TableWindow, ChartsOfOneColumnAndByGroup) {
  d().click("chartValues");
  choose("chartOf", "Vegetation_mean");
  auto& values = chartOf<ValuesChart>();
  ASSERT_TRUE(values.isVisible());
  const QPoint from = values.pointOf(0.6, values.yAxis->range().upper / 2),
               to = values.pointOf(0.9, 0) - QPoint(0, 4);
  drag(values, from, to);
  ASSERT_GT(book().chosenCount(), 5u);
  for (size_t r = 0; r < book().whole().rows(); ++r)
    if (book().chosen()[r]) {
      EXPECT_GT(book().whole().columns[1].numbers[r], 0.58);
    }
  book().edit({{"add", "kind"}, {"formula", "when Vegetation_mean > 0.4 then \"a\" else \"b\""}},
              "");
  d().until([&] { return book().ready() && book().shown().columns.size() == 4; }, "the column");
  d().click("chartBoxes");
  choose("boxesBy", "kind");
  auto& boxes = chartOf<BoxChart>();
  ASSERT_TRUE(boxes.isVisible());
  EXPECT_EQ(boxes.plottableCount(), 2);
  const int group = cell(0, "kind") == "b" ? 0 : 1;  // in the order of the rows
  QTest::mouseClick(&boxes, Qt::LeftButton, {},
                    boxes.pointOf(group, boxes.yAxis->range().center()));
  ASSERT_GT(book().chosenCount(), 0u);
  for (size_t r = 0; r < book().whole().rows(); ++r)
    EXPECT_EQ(book().chosen()[r], cell(r, "kind") == "b");
}

TEST_F(TableWindow, CompartmentsThroughTheRadarSeason) {
  openSeason();
  choose("curvesBy", "last_cut");
  choose("curvesLayer", "vh dB");
  auto& chart = chartOf<CurveChart>();
  ASSERT_TRUE(chart.isVisible());
  EXPECT_TRUE(w().table().chart().said().contains("of power"));
  // Of the compartments last cut in one year the mean of power at the first date, by hand.
  const auto& sheet = book().shown();
  const size_t cut = sheet.column("last_cut"), date = sheet.column("date"),
               layer = sheet.column("layer"), mean = sheet.column("mean");
  const std::string group = sheet.columns[cut].texts[0], first = sheet.columns[date].texts[0];
  double sum = 0, n = 0;
  for (size_t r = 0; r < sheet.rows(); ++r)
    if (sheet.columns[cut].texts[r] == group && sheet.columns[date].texts[r] == first &&
        sheet.columns[layer].texts[r] == "vh dB" && !sheet.columns[mean].texts[r].empty())
      sum += std::pow(10, sheet.columns[mean].numbers[r] / 10), n += 1;
  ASSERT_GT(n, 2);
  bool met = false;
  for (int g = 0; g < chart.graphCount(); ++g)
    if (chart.graph(g)->dataCount() > 0)
      met = met || std::abs(chart.graph(g)->data()->at(0)->value - 10 * std::log10(sum / n)) < 1e-9;
  EXPECT_TRUE(met);
  // Rows chosen by a place are a curve of their own; a rectangle chooses the dates it holds.
  const int graphs = chart.graphCount();
  std::vector<size_t> ofPlaces;
  for (size_t r = 0; r < sheet.rows(); ++r)
    if (book().places()->rows[r] < 2) ofPlaces.push_back(r);
  book().choose(ofPlaces);
  EXPECT_EQ(chart.graphCount(), graphs + 1);
  const double at = sheet.columns[date].numbers[0] * 86'400;
  const double low = chart.yAxis->range().lower, high = chart.yAxis->range().upper;
  drag(chart, chart.pointOf(at - 5 * 86'400, high - 0.1),
       chart.pointOf(at + 5 * 86'400, low + 0.1));
  ASSERT_GT(book().chosenCount(), 0u);
  for (size_t r = 0; r < sheet.rows(); ++r)
    EXPECT_EQ(book().chosen()[r], sheet.columns[date].texts[r] == first) << r;
  // By the day of the year, and by the days since a date in the rows.
  choose("curvesAlong", "by day of the year, years over each other");
  EXPECT_GT(chart.graphCount(), 2);
  choose("curvesAlong", "by days since");
  choose("curvesSince", "date");
  EXPECT_TRUE(w().table().chart().said().contains("In steps of"));
  for (const char* ending : {"png", "svg", "pdf"}) {
    const auto file = folder_ / (std::string("curves.") + ending);
    whenAskedForAFile(file);
    d().click("chartOut");
    ASSERT_TRUE(fs::exists(file)) << ending;
    EXPECT_GT(fs::file_size(file), 2000u) << ending;
  }
}

TEST_F(TableWindow, AnotherColumnStandsInAStripBelowTheCurves) {
  openSeason();
  choose("curvesLayer", "vh dB");
  book().edit({{"add", "level"}, {"formula", "mean * -2"}}, "Add level");
  d().until([&] { return book().ready() && book().whole().names().back() == "level"; }, "level");
  choose("curvesOf", "mean");
  auto& chart = chartOf<CurveChart>();
  EXPECT_FALSE(chart.hasStrip());
  const int alone = chart.graphCount();
  choose("curvesBelow", "level");
  ASSERT_TRUE(chart.hasStrip());
  ASSERT_EQ(chart.axisRectCount(), 2);
  ASSERT_EQ(chart.graphCount(), alone + 1);
  // Its mean is the plain one of all rows at the first date, not that of power.
  const auto& sheet = book().shown();
  const size_t date = sheet.column("date"), layer = sheet.column("layer"),
               level = sheet.column("level");
  double sum = 0, n = 0;
  for (size_t r = 0; r < sheet.rows(); ++r)
    if (sheet.columns[date].texts[r] == sheet.columns[date].texts[0] &&
        sheet.columns[layer].texts[r] == "vh dB" && !std::isnan(sheet.columns[level].numbers[r]))
      sum += sheet.columns[level].numbers[r], n += 1;
  const auto* below = chart.graph(alone);
  EXPECT_NEAR(below->data()->at(0)->value, sum / n, 1e-9);
  EXPECT_NE(below->valueAxis(), chart.yAxis);
  const auto shown = below->keyAxis()->range();
  EXPECT_EQ(shown.lower, chart.xAxis->range().lower);
  EXPECT_EQ(shown.upper, chart.xAxis->range().upper);
  EXPECT_FALSE(below->valueAxis()->label().isEmpty());
  EXPECT_FALSE(chart.xAxis->tickLabels());  // they stand below both
  EXPECT_TRUE(w().table().chart().findChild<QLabel*>("chartTitle")->text().contains("level"));
  const auto out = folder_ / "strip.png";
  whenAskedForAFile(out);
  d().click("chartOut");
  ASSERT_TRUE(fs::exists(out));
  if (const char* kept = std::getenv("ZP_LOOK")) {
    fs::create_directories(kept);
    fs::copy_file(out, fs::path(kept) / "strip.png", fs::copy_options::overwrite_existing);
  }
  EXPECT_TRUE(chart.hasStrip());
  // Along something else it follows, and goes when it is taken away.
  choose("curvesAlong", "by day of the year, years over each other");
  EXPECT_TRUE(chart.hasStrip());
  choose("curvesBelow", "nothing");
  EXPECT_FALSE(chart.hasStrip());
  EXPECT_TRUE(chart.xAxis->tickLabels());
}

TEST_F(TableWindow, PointsThroughTheRadarSeason) {
  runStep({{"do", "points"},
           {"plan", "random"},
           {"over", s().scenes[3].id},
           {"count", 30},
           {"seed", 2},
           {"name", "Thirty"}});
  openSeason();  // the last kind of chart is that through time
  w().openTable(q(id(3)));
  settle();
  // A table without dates opens with a chart that it has.
  EXPECT_FALSE(w().findChild<QPushButton*>("chartCurves")->isChecked());
  EXPECT_TRUE(chartOf<RelationChart>().isVisible());
  d().click("leaveTable");
  d().click("pageReadings");
  choose("readPlaces", "Thirty");
  auto* layers = d().find<QListWidget>("readLayers");
  for (int i = 0; i < layers->count(); ++i)
    layers->item(i)->setCheckState(layers->item(i)->text().startsWith("Heron") ? Qt::Checked
                                                                               : Qt::Unchecked);
  choose("zoneRows", "a row a place and date");
  d().make("primary", "the readings");
  settle();
  EXPECT_EQ(book().whole().rows(), 30u * 4 * 2);
  EXPECT_TRUE(w().findChild<QPushButton*>("chartCurves")->isChecked());
  auto& chart = chartOf<CurveChart>();
  ASSERT_TRUE(chart.isVisible());
  choose("curvesBy", "id");
  EXPECT_EQ(chart.graphCount(), 30);
}

TEST_F(TableWindow, SharesOfAClassMapByGroup) {
  runStep(
      {{"do", "threshold"},
       {"product", id(0)},
       {"at", {0.3}},
       {"name", "Green"},
       {"classes",
        {{{"name", "Other"}, {"colour", "#caa46a"}}, {{"name", "Green"}, {"colour", "#5c9a48"}}}}});
  runStep({{"do", "zones"},
           {"cells", id(2)},
           {"from", {id(4)}},
           {"statistics", {"share", "majority"}},
           {"name", "Shares"}});
  open(id(5));
  d().click("chartShares");
  auto& chart = chartOf<SharesChart>();
  ASSERT_TRUE(chart.isVisible());
  ASSERT_EQ(chart.plottableCount(), 2);
  EXPECT_EQ(d().find<QLabel>("chartTitle")->text(), "Shares of Green");
  const auto& share = book().shown().columns[book().shown().column("share_2")].numbers;
  double sum = 0, n = 0;
  for (const double v : share)
    if (!std::isnan(v)) sum += v, n += 1;
  const auto* bars = qobject_cast<QCPBars*>(chart.plottable(1));
  EXPECT_NEAR(bars->data()->at(0)->value, sum / n * 100, 1e-9);
  EXPECT_EQ(bars->brush().color(), QColor("#5c9a48"));
  // A bar each for the most of the cell; a click chooses its rows.
  choose("sharesBy", "majority");
  EXPECT_EQ(qobject_cast<QCPBars*>(chart.plottable(1))->dataCount(), 2);
  QTest::mouseClick(&chart, Qt::LeftButton, {}, chart.pointOf(1, 50));
  const auto& most = book().shown().columns[book().shown().column("majority")].texts;
  const std::string second = *std::find_if(
      most.begin(), most.end(), [&](const auto& t) { return t != most[0] && !t.empty(); });
  for (size_t r = 0; r < most.size(); ++r) EXPECT_EQ(book().chosen()[r], most[r] == second);
}

}  // namespace
}  // namespace zp
