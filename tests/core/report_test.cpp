// The report as a page: its numbers, what strangers wrote into names, and what is not defined.
#include "accuracy/report.h"

#include "accuracy/report_words.h"
#include "grid/png.h"
#include "study/step_words.h"
#include "support/matrices.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

Report smallReport(const std::vector<std::vector<int>>& counts) {
  Report r;
  r.title = "Cover";
  r.matrix = confusionMatrix(pairsOf(counts));
  r.assessment = r.counts = assessCounts(r.matrix);
  return r;
}

bool says(const std::string& html, const std::string& what) {
  return html.find(what) != std::string::npos;
}

TEST(Report, TellsTheMatrixWithItsMeasures) {
  const std::string html = toHtml(smallReport(kCongalton));
  EXPECT_TRUE(says(html, "74.0 % of the tested points are right"));
  EXPECT_TRUE(says(html, "by 434 points"));
  EXPECT_TRUE(says(html, ">65</td>"));
  EXPECT_TRUE(says(html, "0.654"));
  EXPECT_TRUE(says(html, "substantial"));
  EXPECT_FALSE(says(html, "corrected"));  // nothing is weighted
  EXPECT_FALSE(says(html, "nan"));
}

TEST(Report, WhatIsNotDefinedIsADash) {
  for (const auto& counts : std::vector<std::vector<std::vector<int>>>{
           {{5}}, {{0, 4}, {0, 0}}, {{0, 0}, {3, 2}}, {{3, 0}, {0, 4}}}) {
    const std::string html = toHtml(smallReport(counts));
    EXPECT_FALSE(says(html, "nan"));
    EXPECT_FALSE(says(html, "inf"));
  }
  EXPECT_TRUE(says(toHtml(smallReport({{5}})), "–"));
  Report byHand = smallReport(kCongalton);
  byHand.intervals = false;
  EXPECT_FALSE(says(toHtml(byHand), "95 % interval "));
}

TEST(Report, OfManyClassesListsTheErrorsLargestFirst) {
  std::vector<std::vector<int>> counts(30, std::vector<int>(30, 0));
  for (size_t i = 0; i < counts.size(); ++i) counts[i][i] = 2;
  counts[3][4] = 1;
  counts[7][9] = 5;
  Report r = smallReport(counts);
  for (size_t i = 0; i < 30; ++i) r.matrix.names[i] = "kind " + std::to_string(i);
  const std::string html = toHtml(r);
  EXPECT_FALSE(says(html, "class=\"matrix\""));
  EXPECT_TRUE(says(html, "60 of 66 points are right"));
  const size_t larger = html.find("<td>kind 7</td><td>kind 9</td><td class=\"n\">5</td>");
  const size_t smaller = html.find("<td>kind 3</td><td>kind 4</td><td class=\"n\">1</td>");
  ASSERT_NE(larger, std::string::npos);
  ASSERT_NE(smaller, std::string::npos);
  EXPECT_LT(larger, smaller);
  EXPECT_TRUE(says(toHtml(smallReport(kCongalton)), "class=\"matrix\""));
}

TEST(Report, NamesOfStrangersStayNames) {
  Report r = smallReport({{3, 1}, {0, 4}});
  const std::string evil = "<script>alert(1)</script>&\"'";
  r.title = r.author = r.remarks = r.about = r.first = evil;
  r.matrix.names = {evil, evil};
  r.classes = {{1, evil, {1, 2, 3}}, {2, evil, {4, 5, 6}}};
  r.done = {{evil, evil}};
  r.plan = r.training = r.beside = {evil};
  r.chips = {{evil, evil, 1, "", 0.1}};
  r.late = {{1, 1, 2, evil, evil, evil}};
  const std::string html = toHtml(r);
  EXPECT_FALSE(says(html, "<script"));
  EXPECT_TRUE(says(html, "&lt;script&gt;"));
}

TEST(Report, ManyClassesStandByNumber) {
  std::vector<std::vector<int>> counts(25, std::vector<int>(25, 0));
  for (size_t i = 0; i < 25; ++i) counts[i][i] = 2;
  EXPECT_TRUE(says(toHtml(smallReport(counts)), "column\">25</th>"));
}

TEST(Report, FiguresAsAPersonReadsThem) {
  EXPECT_EQ(percentText(0.9125), "91.2 %");
  EXPECT_EQ(percentText(std::nan("")), "–");
  EXPECT_EQ(hectares(5.4e6), "540 ha");
  EXPECT_EQ(hectares(123456789.0), "12 346 ha");
  EXPECT_EQ(hectares(4200), "0.42 ha");
  EXPECT_EQ(hectares(0), "0 ha");
  EXPECT_EQ(hectares(-20000000), "-2000 ha");
  EXPECT_EQ(dayInWords("2031-07-04T10:00:00Z"), "4 July 2031");
  EXPECT_EQ(dayInWords("some day"), "some day");
  EXPECT_EQ(base64("Man"), "TWFu");
}

TEST(Png, IsReadBackAsItWas) {
  Folder folder;
  Pixels p{3, 2, {}};
  for (uint8_t i = 0; i < 24; ++i) p.rgba.push_back(static_cast<uint8_t>(i * 10));
  std::ofstream(folder / "p.png", std::ios::binary) << toPng(p);
  const RasterFile file(folder / "p.png");
  EXPECT_EQ(file.grid().width, 3);
  std::vector<float> red(6);
  file.read(1, {0, 0, 3, 2}, red.data());
  EXPECT_EQ(red[5], 200);
}

}  // namespace
}  // namespace zp
