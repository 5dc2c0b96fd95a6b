// A map put right by brush and by patch; slopes in the light of level ground.
#include <cmath>

#include "desks/mapping/mapping_desk.h"
#include "support/rasters.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class TouchUpWindow : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    makeMap();
    d().click("touchUpPage");
    d().settle();
    auto* becomes = d().find<QComboBox>("touchUpBecomes");
    becomes->setCurrentIndex(becomes->findData(9));
  }
  const Product& map() { return s().products.back(); }
  uint16_t codeAt(const Product& of, QPoint screen) {
    const RasterFile file(of.file);
    const Place pixel = file.grid().toPixel(w().view().toMap(screen));
    uint16_t code = 0;
    file.readCodes(1, {static_cast<int>(pixel.x), static_cast<int>(pixel.y), 1, 1}, &code);
    return code;
  }
  int corrections() { return w().findChild<QTableWidget*>("touchUpList")->rowCount(); }
};

TEST_F(TouchUpWindow, ABrushPaintsAClass) {
  d().click("touchUpBrush");
  d().settle();
  d().find<QSpinBox>("touchUpWidth")->setValue(12);
  auto& view = w().view();
  const Place before = view.centre();
  QTest::mousePress(&view, Qt::LeftButton, {}, {300, 250});
  for (int x = 310; x <= 420; x += 10) QTest::mouseMove(&view, {x, 250});
  look("brush");
  QTest::mouseRelease(&view, Qt::LeftButton, {}, {420, 250});
  EXPECT_EQ(view.centre().x, before.x);  // the view stays where it is
  ASSERT_EQ(corrections(), 1);
  d().make("primary", "the map touched up");
  EXPECT_EQ(codeAt(map(), {305, 250}), 9);
  EXPECT_EQ(codeAt(map(), {415, 250}), 9);
  // As wide as was asked for: across the middle of the line 12 pixels or, at its rim, one more.
  const Place middle = view.toMap({360, 250});
  const RasterFile file(map().file);
  const Place at = file.grid().toPixel(middle);
  std::vector<uint16_t> column(41);
  file.readCodes(1, {static_cast<int>(at.x), static_cast<int>(at.y) - 20, 1, 41}, column.data());
  const auto wide = std::count(column.begin() + 13, column.begin() + 28, 9);
  EXPECT_GE(wide, 12);
  // The width is remembered.
  reopen();
  d().stage(3);
  d().click("touchUpPage");
  d().click("touchUpBrush");
  d().settle();
  EXPECT_EQ(d().find<QSpinBox>("touchUpWidth")->value(), 12);
  // Esc puts it down.
  QTest::keyClick(&w().view(), Qt::Key_Escape);
  EXPECT_FALSE(d().find("touchUpBrush")->isChecked());
}

TEST_F(TouchUpWindow, APatchIsTakenWholeByAClick) {
  const Product plain = map();
  d().click("touchUpPatch");
  d().settle();
  // A pixel whose patch is not the largest of all.
  QPoint at;
  for (int y = 120; y < 500 && corrections() == 0; y += 23) {
    at = {350, y};
    QTest::mouseClick(&w().view(), Qt::LeftButton, {}, at);
    d().settle();
  }
  ASSERT_EQ(corrections(), 1);
  look("patch");
  const uint16_t was = codeAt(plain, at);
  d().make("primary", "the map touched up");
  EXPECT_EQ(codeAt(map(), at), 9);
  // Every pixel that changed was of that class.
  const auto before = readCodes(plain.file), after = readCodes(map().file);
  size_t changed = 0;
  for (size_t i = 0; i < before.size(); ++i) {
    if (before[i] == after[i]) continue;
    ++changed;
    ASSERT_EQ(before[i], was);
  }
  EXPECT_EQ(changed, map().facts["changed"].get<size_t>());
}

class SlopeLightWindow : public RealWindow {};

TEST_F(SlopeLightWindow, IsMadeWithALayerOfHeights) {
  const Scene scene = w().bench().currentScene()->scene;
  std::vector<float> heights;
  for (int y = 0; y < scene.grid.height; ++y)
    for (int x = 0; x < scene.grid.width; ++x)
      heights.push_back(static_cast<float>(40 * std::sin(x / 11.0) * std::cos(y / 13.0)));
  writeFloats(folder_ / "hills.tif", scene.grid, {heights}, {"height"});
  const std::string id = w().bench().currentScene()->id;
  w().bench().bringIn({q((folder_ / "hills.tif").string())});
  d().until([&] { return s().scenes.back().scene.name.find("hills") != std::string::npos; },
            "the heights");
  w().bench().setCurrentScene(q(id));
  d().stage(0);
  d().settle();
  d().click("page-make");
  choose("makeWhat", "In the light of level ground");
  choose("makeOther", "hills");
  d().find<QDoubleSpinBox>("makeNumber")->setValue(35);
  d().find<QDoubleSpinBox>("makeSecond")->setValue(140);
  look("slope-light");
  d().make("primary", "the corrected scene");
  const Product& made = s().products.back();
  EXPECT_EQ(made.step.at("elevation"), 35);
  EXPECT_EQ(made.step.at("azimuth"), 140);
  EXPECT_EQ(made.facts.at("light_constants").size(), scene.bands.size());
  EXPECT_EQ(openScene(made.file).bands.size(), scene.bands.size());
}

}  // namespace
}  // namespace zp
