// The report, asked for on the matrix sheet, and its numbers read back.
#include <QRegularExpression>

#include "accuracy_fixture.h"
#include "outline/layer.h"
#include "study/run_sheet.h"

namespace zp {
namespace {

using namespace testing;

TEST_F(AccuracyDeskWindow, TheReportSaysWhatTheMatrixSays) {
  startLabelling();
  labelAll(5);
  closeLabelling();
  d().click("report");
  look("report-part");
  d().find<QLineEdit>("reportTitle")->clear();
  QTest::keyClicks(d().find<QLineEdit>("reportTitle"), "Cover <of> a haven & more");
  QTest::keyClicks(d().find<QLineEdit>("reportAuthor"), "A. Labeller");
  fs::create_directory(folder_ / "out");
  w().matrix().report().write(q((folder_ / "out").string()));
  d().until(
      [&] { return w().findChild<QLabel*>("matrixSaid")->text().contains("The report is in"); },
      "the report");
  for (const char* name :
       {"report.html", "report.pdf", "matrix.csv", "points.gpkg", "run-sheet.json"})
    EXPECT_TRUE(fs::exists(folder_ / "out" / name)) << name;
  QFile file(q((folder_ / "out/report.html").string()));
  ASSERT_TRUE(file.open(QIODevice::ReadOnly));
  const QString html = QString::fromUtf8(file.readAll());
  EXPECT_TRUE(html.contains("Cover &lt;of&gt; a haven &amp; more"));
  EXPECT_FALSE(html.contains("<of>"));
  EXPECT_FALSE(html.contains("http://") || html.contains("https://"));  // leans on nothing else
  const Estimate overall = *w().book().overall();
  EXPECT_TRUE(html.contains(
      QString("%1 % of the mapped area is right").arg(100 * overall.value, 0, 'f', 1)));
  EXPECT_TRUE(html.contains(QString("95 % interval %1 to %2")
                                .arg(100 * overall.low, 0, 'f', 1)
                                .arg(100 * overall.high, 0, 'f', 1)));
  // The map, and one confusion with its picture.
  EXPECT_EQ(html.count("data:image/png;base64,"), 2);
  EXPECT_EQ(readLayer((folder_ / "out/points.gpkg").string()).shapes.size(), 36u);
  readRunSheet(folder_ / "out/run-sheet.json");
  QFile pdf(q((folder_ / "out/report.pdf").string()));
  ASSERT_TRUE(pdf.open(QIODevice::ReadOnly));
  EXPECT_TRUE(pdf.read(5) == "%PDF-");
  // Again in its place.
  w().matrix().report().write(q((folder_ / "out").string()));
  d().settle();
  EXPECT_EQ(std::distance(fs::directory_iterator(folder_ / "out"), fs::directory_iterator()), 5);
}

TEST_F(AccuracyDeskWindow, WhatLiesInTheFolderIsNotReplacedUnasked) {
  startLabelling();
  labelAll(5);
  closeLabelling();
  d().click("report");
  fs::create_directory(folder_ / "out");
  std::ofstream(folder_ / "out/points.gpkg") << "somebody's own";
  QString asked;
  whenAskedForAFile(folder_ / "out");
  whenOpen<QMessageBox>([&](QMessageBox& box) {
    asked = box.text();
    QTest::keyClick(&box, Qt::Key_Return);  // without a look: nothing is replaced
  });
  d().click("writeReport");
  d().settle();
  EXPECT_TRUE(asked.contains("points.gpkg")) << asked.toStdString();
  EXPECT_EQ(fs::file_size(folder_ / "out/points.gpkg"), 14u);
  EXPECT_FALSE(fs::exists(folder_ / "out/report.html"));
}

}  // namespace
}  // namespace zp
