// The sheet of a table: rows, chart and view with one selection, and what is done to a table.
#include "base/text.h"
#include "sampling/readings.h"
#include "sampling/relation.h"
#include "table_window.h"

namespace zp {
namespace {

using namespace testing;

TEST_F(TableWindow, OneSelectionAcrossChartRowsAndView) {
  const auto& sheet = book().shown();
  ASSERT_GT(sheet.rows(), 300u);
  auto& chart = chartOf<RelationChart>();
  const auto& x = sheet.columns[1].numbers;
  const auto& y = sheet.columns[2].numbers;
  ASSERT_EQ(d().find<QLabel>("chartTitle")->text(),
            "Temperature_mean, mean against Vegetation_mean, mean");
  // The line and its figures are those of the core.
  const Line line = fitLine(x, y);
  EXPECT_TRUE(w().table().chart().said().contains("r " + decimal(line.r, 2)))
      << w().table().chart().said().toStdString();
  EXPECT_TRUE(w().table().chart().said().contains("n " + QString::number(line.n)));
  // Dots that are brushed choose their rows and light their places up.
  const double lowX = 0.2, highX = 0.5, lowY = 17, highY = 24;
  drag(chart, chart.pointOf(lowX, highY), chart.pointOf(highX, lowY));
  std::vector<size_t> inside;
  for (size_t r = 0; r < x.size(); ++r)
    if (x[r] > lowX + 0.01 && x[r] < highX - 0.01 && y[r] > lowY + 0.1 && y[r] < highY - 0.1)
      inside.push_back(r);
  ASSERT_GT(inside.size(), 3u);
  ASSERT_GE(book().chosenCount(), inside.size());
  ASSERT_LT(book().chosenCount(), sheet.rows() / 2);
  for (const size_t r : inside) EXPECT_TRUE(book().chosen()[r]) << r;
  EXPECT_EQ(rows().selectionModel()->selectedRows().size(), static_cast<int>(book().chosenCount()));
  EXPECT_TRUE(count().contains(QString::number(book().chosenCount()) + " chosen"));
  EXPECT_TRUE(chart.anyChosen());
  // A place that is clicked chooses its row, and the mark around the dots goes with the choice.
  auto& view = w().table().places().view();
  const Place centre = [&] {
    const Extent e = book().layer()->shapes[40].extent();
    return Place{(e.left + e.right) / 2, (e.bottom + e.top) / 2};
  }();
  QTest::mouseClick(&view, Qt::LeftButton, {}, view.toScreen(centre).toPoint());
  EXPECT_EQ(book().chosenCount(), 1u);
  EXPECT_TRUE(book().chosen()[40]);
  ASSERT_EQ(rows().selectionModel()->selectedRows().size(), 1);
  EXPECT_EQ(rows().selectionModel()->selectedRows()[0].row(), 40);
  // A row that is clicked is chosen in both others.
  const QRect at = rows().visualRect(rows().model()->index(42, 1));
  QTest::mouseClick(rows().viewport(), Qt::LeftButton, {}, at.center());
  EXPECT_EQ(book().chosenCount(), 1u);
  EXPECT_TRUE(book().chosen()[42]);
  QTest::keyClick(&rows(), Qt::Key_Escape);
  EXPECT_EQ(book().chosenCount(), 0u);
  QTest::keyClick(&rows(), Qt::Key_Escape);
  EXPECT_FALSE(w().table().isVisible());
}

TEST_F(TableWindow, ARectangleInTheViewChoosesThePlacesItMeets) {
  auto& view = w().table().places().view();
  const auto& shapes = book().layer()->shapes;
  d().click("placesBox");
  const Extent a = shapes[40].extent(), b = shapes[41].extent();
  const auto at = [&](double x, double y) { return view.toScreen({x, y}).toPoint(); };
  const auto middle = [](double low, double high) { return (low + high) / 2; };
  // From the middle of the one into the other: no corner of either cell lies in it.
  drag(view, at(middle(a.left, a.right), middle(a.bottom, a.top)),
       at(middle(b.left, b.right), middle(b.bottom, b.top) + 40));
  EXPECT_EQ(book().chosenCount(), 2u);
  EXPECT_TRUE(book().chosen()[40] && book().chosen()[41]);
  // Around all of them; a click takes one alone; over nothing, none.
  drag(view, {2, view.height() - 2}, {view.width() - 2, 2});
  EXPECT_EQ(book().chosenCount(), book().whole().rows());
  QTest::mouseClick(&view, Qt::LeftButton, {}, at(middle(a.left, a.right), a.bottom + 30));
  EXPECT_EQ(book().chosenCount(), 1u);
  QTest::keyClick(&view, Qt::Key_Escape);
  EXPECT_FALSE(d().find<QPushButton>("placesBox")->isChecked());
  EXPECT_EQ(view.tool(), MapView::Tool::Pick);
  EXPECT_EQ(book().chosenCount(), 1u);
}

TEST_F(TableWindow, RowsWhereAndTheirOrderAreKeptAndTakenBack) {
  const size_t all = book().shown().rows();
  where("Vegetation_mean > 0.5");
  d().until([&] { return book().ready() && book().shown().rows() < all; }, "fewer rows");
  for (const double v : book().shown().columns[1].numbers) EXPECT_GT(v, 0.5);
  EXPECT_TRUE(count().contains(" of "));
  where("Vegetation > ");
  d().until([&] { return !trouble().isEmpty(); }, "what is wrong");
  EXPECT_TRUE(trouble().contains("Did you mean")) << trouble().toStdString();
  EXPECT_LT(book().shown().rows(), all);  // as before
  clickHead(2);
  d().until([&] { return book().ready() && book().sortedBy() == "Temperature_mean"; }, "the order");
  settle();
  EXPECT_TRUE(std::is_sorted(book().shown().columns[2].numbers.begin(),
                             book().shown().columns[2].numbers.end()));
  clickHead(2);
  d().until([&] { return book().ready() && book().sortedDown(); }, "the order down");
  settle();
  EXPECT_GT(book().shown().columns[2].numbers[0], book().shown().columns[2].numbers[1]);
  // Kept with the study, and taken back one by one.
  reopen();
  open(id(3));
  EXPECT_TRUE(book().sortedDown());
  EXPECT_EQ(book().where(), "Vegetation_mean > 0.5");
  EXPECT_LT(book().shown().rows(), all);
  auto* field = d().find<QLineEdit>("rowsWhere");
  field->setFocus();
  field->clear();
  d().until([&] { return book().ready() && book().shown().rows() == all; }, "all rows");
  w().bench().undo().undo();
  d().until([&] { return book().ready() && book().shown().rows() < all; }, "fewer rows again");
}

TEST_F(TableWindow, ColumnsByFormula) {
  d().click("sideColumn");
  EXPECT_FALSE(enabled("columnGo"));
  type("newColumn", "kelvin");
  type("newFormula", "Temperatur_mean + 273.15");
  d().until([&] { return d().find<QLabel>("columnSaid")->text().contains("Did you mean"); },
            "what is wrong");
  EXPECT_FALSE(enabled("columnGo"));
  type("newFormula", "Temperature_mean + 273.15");
  d().until([&] { return enabled("columnGo"); }, "the button");
  EXPECT_TRUE(d().find("columnGo")->text().contains(" values"));
  const size_t filled = book().whole().columns[2].filled();
  EXPECT_TRUE(d().find("columnGo")->text().contains(QString::number(filled)));
  d().click("columnGo");
  d().until([&] { return book().ready() && book().shown().columns.size() == 4; }, "the column");
  EXPECT_NEAR(*parseNumber(cell(5, "kelvin")), *parseNumber(cell(5, "Temperature_mean")) + 273.15,
              1e-9);
  // A change of many rows says how many before it is made.
  d().click("columnChange");
  choose("columnChoice", "kelvin");
  type("changeTo", "300");
  type("changeWhere", "kelvin > 300");
  size_t above = 0;
  for (const double v : book().whole().columns[3].numbers) above += v > 300;
  ASSERT_GT(above, 0u);
  d().until([&] { return enabled("columnGo") && d().find("columnGo")->text().contains("Change"); },
            "the button");
  EXPECT_EQ(d().find("columnGo")->text(),
            QString("Change %1 rows of %2").arg(above).arg(book().whole().rows()));
  d().click("columnGo");
  const auto highest = [&] {
    const auto& v = book().whole().columns[3].numbers;
    return *std::max_element(v.begin(), v.end());
  };
  d().until([&] { return book().ready() && highest() <= 300; }, "the change");
  w().bench().undo().undo();
  d().until([&] { return book().ready() && highest() > 300; }, "the change taken back");
  // Name, hide, drop.
  clickHead(3, Qt::RightButton);
  Q_EMIT rows().columnAsked("kelvin", {});
  type("renameTo", "K");
  d().until([&] { return enabled("columnGo"); }, "the button");
  d().click("columnGo");
  d().until([&] { return book().ready() && book().whole().columns[3].name == "K"; }, "the name");
  choose("columnChoice", "K");
  d().click("hideColumn");
  d().until([&] { return book().ready() && rows().model()->columnCount() == 3; }, "it is hidden");
  d().click("showColumns");
  d().until([&] { return book().ready() && rows().model()->columnCount() == 4; }, "it is shown");
  choose("columnChoice", "K");
  d().click("dropColumn");
  d().until([&] { return book().ready() && book().whole().columns.size() == 3; }, "it is gone");
}

TEST_F(TableWindow, AListFromTheClipboardAndRowsToIt) {
  QGuiApplication::clipboard()->setText("1\thigh\r\n3\tlow\r\n99999\tnone\r\n");
  d().click("sideColumn");
  d().click("columnPaste");
  EXPECT_TRUE(d().find<QLabel>("pasteSaid")->text().contains("3 values"));
  type("pasteInto", "level");
  d().until([&] { return enabled("columnGo"); }, "the button");
  EXPECT_TRUE(d().find("columnGo")->text().startsWith("Change 2 rows"));
  d().click("columnGo");
  d().until([&] { return book().ready() && book().shown().columns.size() == 4; }, "the column");
  EXPECT_EQ(cell(0, "level"), "high");
  EXPECT_EQ(cell(1, "level"), "");
  EXPECT_EQ(cell(2, "level"), "low");
  // Copied as text that a spreadsheet takes.
  book().choose({0, 2});
  rows().setFocus();
  QTest::keyClick(&rows(), Qt::Key_C, Qt::ControlModifier);
  const QStringList lines = QGuiApplication::clipboard()->text().split('\n');
  ASSERT_EQ(lines.size(), 4);
  EXPECT_EQ(lines[0], "id\tVegetation_mean\tTemperature_mean\tlevel");
  EXPECT_TRUE(lines[1].startsWith("1\t") && lines[1].endsWith("\thigh"));
  EXPECT_TRUE(lines[2].startsWith("3\t") && lines[2].endsWith("\tlow"));
  // What is no list is said.
  QGuiApplication::clipboard()->setText("no list");
  EXPECT_TRUE(d().find<QLabel>("pasteSaid")->text().contains("no such list"));
  EXPECT_FALSE(enabled("columnGo"));
}

TEST_F(TableWindow, ResidualsAreAColumnAndLeaveNothingOver) {
  d().click("addResiduals");
  d().until([&] { return book().ready() && book().whole().columns.size() == 4; }, "the residuals");
  const auto& c = book().whole().columns;
  EXPECT_EQ(c[3].name, "residual of Temperature_mean");
  double sum = 0;
  for (const double v : c[3].numbers) sum += std::isnan(v) ? 0 : v;
  EXPECT_NEAR(sum, 0, 1e-6);
  EXPECT_NEAR(fitLine(c[1].numbers, c[3].numbers).slope, 0, 1e-9);
}

TEST_F(TableWindow, TheLineMakesAPicture) {
  const auto& c = book().whole().columns;
  const Line line = fitLine(c[1].numbers, c[2].numbers);
  d().click("linePicture");
  d().until([&] { return s().products.size() == 5; }, "the picture");
  settle();
  const auto& made = s().products.back();
  EXPECT_EQ(made.kind, ProductKind::Quantity);
  EXPECT_EQ(made.facts["unit"], "°C");
  EXPECT_EQ(w().view().front().of, made.id);
  // At places it is the line of what the picture across is there.
  const Extent e = book().layer()->shapes[200].extent();
  const std::vector<Place> at{{(e.left + e.right) / 2, (e.bottom + e.top) / 2}};
  const auto& crs = book().layer()->crs;
  const double across = readAt(at, crs, {{s().products[0].file, 1, "x"}}).values[0][0];
  EXPECT_NEAR(readAt(at, crs, {{made.file, 1, "y"}}).values[0][0], line.at(across), 1e-4);
}

TEST_F(TableWindow, SummaryByGroupIsATableOfItsOwn) {
  d().click("sideColumn");
  type("newColumn", "kind");
  type("newFormula", "when Vegetation_mean > 0.4 then \"green\" else \"other\"");
  d().until([&] { return enabled("columnGo"); }, "the button");
  d().click("columnGo");
  d().until([&] { return book().ready() && book().shown().columns.size() == 4; }, "the column");
  d().click("sideSummary");
  EXPECT_FALSE(enabled("summaryGo"));
  const auto tick = [&](const char* list, const QString& name) {
    for (auto* item : d().find<QListWidget>(list)->findItems(name, Qt::MatchExactly))
      item->setCheckState(Qt::Checked);
  };
  tick("summaryBy", "kind");
  tick("summaryOf", "Temperature_mean");
  EXPECT_TRUE(d().find<QLabel>("summarySaid")->text().endsWith("make 2."));
  const size_t before = s().products.size();
  d().click("summaryGo");
  d().until(
      [&] {
        return s().products.size() > before && book().product()->id == s().products.back().id;
      },
      "the summary");
  settle();
  EXPECT_EQ(book().shown().rows(), 2u);
  EXPECT_EQ(cell(0, "kind"), "green");
  EXPECT_EQ(book().places(), nullptr);
  EXPECT_EQ(s().products.back().step["do"], "table");
}

/// Of what was read as a feature of a scene too; at the points the picture is the line.
TEST_F(TableWindow, ALineOverAFeatureOfASceneMakesAPicture) {
  runStep({{"do", "points"},
           {"plan", "random"},
           {"over", s().scenes[2].id},
           {"count", 40},
           {"seed", 3},
           {"name", "Forty"}});
  runStep({{"do", "readings"},
           {"points", id(4)},
           {"from", {id(1), s().scenes[2].id}},
           {"features", {"index(ndvi)", "neighbourhood(nir)"}},
           {"scene", s().scenes[2].id},
           {"name", "Read"}});
  open(id(5));
  const auto offered = [&](const QString& across) {
    choose("chartX", across);
    return w().findChild<QWidget*>("linePicture")->isVisible();
  };
  choose("chartY", "Temperature");
  EXPECT_FALSE(offered("x"));
  EXPECT_FALSE(offered(q(book().whole().columns.back().name)));  // its pixels' neighbours
  for (const auto& across : book().whole().names()) {
    if (!across.ends_with(" nir") && across != "NDVI") continue;
    ASSERT_TRUE(offered(q(across))) << across;
    const size_t before = s().products.size();
    d().click("linePicture");
    d().until([&] { return s().products.size() > before; }, "the picture");
    const auto& sheet = book().shown();
    const auto &x = sheet.columns[sheet.column(across)].numbers,
               &y = sheet.columns[sheet.column("Temperature")].numbers;
    const Line line = fitLine(x, y);
    const Layer points = readLayer(s().product(id(4))->file.string());
    const auto read = readAt(placesOf(points), points.crs, {{s().products.back().file, 1, "p"}});
    for (size_t r = 0; r < x.size(); ++r)
      if (!std::isnan(x[r])) {
        EXPECT_NEAR(read.values[0][r], line.intercept + line.slope * x[r], 1e-3);
      }
    EXPECT_EQ(s().products.back().facts["unit"], "°C");
    open(id(5));
  }
}

TEST_F(TableWindow, JoinedWithCompartmentsByPlace) {
  d().click("sideJoin");
  choose("joinOther", "Compartments");
  choose("joinHow", "place: the largest overlap");
  d().until([&] { return enabled("joinGo"); }, "the button");
  const size_t before = s().products.size();
  d().click("joinGo");
  d().until(
      [&] {
        return s().products.size() > before && book().product()->id == s().products.back().id;
      },
      "the joined table");
  settle();
  const Json& facts = s().products.back().facts;
  EXPECT_GT(facts["matched"].get<int>(), 10);
  EXPECT_TRUE(trouble().startsWith(QString::number(facts["matched"].get<int>()) + " rows found"));
  (void)book().shown().column("last_cut");
  ASSERT_NE(book().places(), nullptr);
  EXPECT_EQ(book().places()->rows[7], 7u);
  where("matches = 0");
  d().until(
      [&] { return book().ready() && book().shown().rows() == facts["unmatched"].get<size_t>(); },
      "those without");
}

TEST_F(TableWindow, ItsOwnTableAndRowsWithTheirPlaces) {
  where("Vegetation_mean > 0.6");
  const size_t all = book().whole().rows();
  d().until([&] { return book().ready() && book().shown().rows() < all; }, "fewer rows");
  const size_t some = book().shown().rows();
  d().click("sideOut");
  whenAskedForAFile(folder_ / "rows.gpkg");
  d().click("placesGo");
  const Layer out = readLayer((folder_ / "rows.gpkg").string());
  ASSERT_EQ(out.shapes.size(), some);
  EXPECT_EQ(out.shapes[0].rings, book().layer()->shapes[book().shown().origin[0]].rings);
  // As KML in degrees, as a shapefile with what that cuts.
  whenAskedForAFile(folder_ / "rows.kml");
  d().click("placesGo");
  const Layer kml = readLayer((folder_ / "rows.kml").string());
  ASSERT_EQ(kml.shapes.size(), some);
  EXPECT_TRUE(crsIsGeographic(kml.crs));
  EXPECT_LT(std::abs(kml.shapes[0].extent().left), 180);
  whenAskedForAFile(folder_ / "rows.shp");
  d().click("placesGo");
  EXPECT_TRUE(trouble().contains("Temperature_mean")) << trouble().toStdString();
  EXPECT_EQ(readLayer((folder_ / "rows.shp").string()).shapes.size(), some);
  d().click("keepTable");
  d().until([&] { return s().products.size() == 5 && book().product()->id == id(4); }, "the table");
  settle();
  EXPECT_EQ(book().whole().rows(), some);
  // The table it came from goes to the bin; this one stays open and knows its places.
  w().bench().toBin(q(id(3)));
  EXPECT_TRUE(w().table().isVisible());
  ASSERT_NE(book().places(), nullptr);
  // It goes itself: the desk comes back.
  w().bench().toBin(q(book().product()->id));
  EXPECT_FALSE(w().table().isVisible());
}

TEST_F(TableWindow, AHundredThousandRows) {
  Table t{{"id", "a", "b", "name"}, {}};
  for (int r = 0; r < 100'000; ++r)
    t.rows.push_back({std::to_string(r), std::to_string(r % 977),
                      std::to_string((r * 7919) % 10007), r % 3 == 0 ? "x" : "y"});
  const auto file = s().products[3].file;
  std::ofstream(file) << toCsv(t);
  book().close();
  open(id(3));
  d().until([&] { return book().ready() && book().whole().rows() == 100'000; }, "all rows");
  clickHead(2);
  d().until([&] { return book().ready() && book().sortedBy() == "b"; }, "the order");
  settle();
  EXPECT_TRUE(std::is_sorted(book().shown().columns[2].numbers.begin(),
                             book().shown().columns[2].numbers.end()));
  QTest::keyClick(&rows(), Qt::Key_A, Qt::ControlModifier);
  EXPECT_EQ(book().chosenCount(), 100'000u);
}

}  // namespace
}  // namespace zp
