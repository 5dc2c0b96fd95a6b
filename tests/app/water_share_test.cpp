// From the aerial picture to a relation: the share of standing water in cells against the surface
// temperature, with its scatter plot, by mouse and keys.
#include "charts/relation_chart.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class WaterShareWindow : public RealWindow {
 protected:
  void tick(const char* list, const QString& begins, bool on) {
    auto* all = d().find<QListWidget>(list);
    for (int i = 0; i < all->count(); ++i)
      if (all->item(i)->text().startsWith(begins))
        all->item(i)->setCheckState(on ? Qt::Checked : Qt::Unchecked);
  }
};

TEST_F(WaterShareWindow, WaterIsCoolerThanLand) {
  const std::string aerial = s().scenes[7].id;
  runStep(
      {{"do", "index"}, {"scene", aerial}, {"formula", "ndiff(blue, red)"}, {"name", "Blueness"}});
  runStep(
      {{"do", "threshold"},
       {"product", s().products[0].id},
       {"at", {0.1}},
       {"name", "Water"},
       {"classes",
        {{{"name", "Land"}, {"colour", "#caa46a"}}, {{"name", "Water"}, {"colour", "#3a6ab0"}}}}});
  runStep({{"do", "import-quantity"},
           {"file", (s().folder() / "outlines/surface-temperature.tif").string()},
           {"unit", "°C"},
           {"from", "2031-07-01"},
           {"to", "2031-07-31"},
           {"name", "Temperature"}});
  w().bench().setCurrentScene(q(aerial));
  d().stage(4);
  d().click("pageCells");
  d().press("cellsSize", "300");
  d().until([&] { return d().find<QLabel>("cellsLaid")->text().contains("300 m"); }, "the cells");
  d().make("primary", "the cells");
  d().click("cellsToReadings");
  tick("readLayers", "Blueness", false);
  d().make("primary", "the summary");
  d().until([&] { return w().table().isVisible() && w().table().ready(); }, "the table");
  auto& book = w().table().book();
  choose("chartX", "Water_share_2");
  choose("chartY", "Temperature_mean");
  EXPECT_EQ(d().find<QLabel>("chartTitle")->text(),
            "Temperature_mean, mean against Water_share_2, share of Water");
  const auto& sheet = book.shown();
  const auto& share = sheet.columns[sheet.column("Water_share_2")].numbers;
  const auto& warmth = sheet.columns[sheet.column("Temperature_mean")].numbers;
  const Line line = fitLine(share, warmth);
  EXPECT_GT(line.n, 20u);
  EXPECT_LT(line.rHigh, 0);  // whatever chance does
  // The wettest cells are brushed: their rows are chosen, and their places lit in the view.
  auto& chart = *w().table().findChild<RelationChart*>();
  const QPoint from = chart.pointOf(0.6, chart.yAxis->range().upper) + QPoint(0, 2),
               to = chart.pointOf(1.02, chart.yAxis->range().lower) - QPoint(0, 2);
  drag(chart, from, to);
  ASSERT_GT(book.chosenCount(), 0u);
  for (size_t r = 0; r < share.size(); ++r)
    if (!std::isnan(share[r]) && std::abs(share[r] - 0.6) > 0.02) {
      EXPECT_EQ(book.chosen()[r], share[r] > 0.6 && !std::isnan(warmth[r])) << share[r];
    }
  look("water-share");
}

}  // namespace
}  // namespace zp
