// Tables as typed columns: formulas over rows, and the changes made to them.
#include "sampling/table_edits.h"

#include <gtest/gtest.h>

#include <cmath>
#include <random>

#include "base/day.h"
#include "index/formula.h"
#include "sampling/row_formula.h"

namespace zp {
namespace {

using Cells = std::vector<std::string>;

Table beds() {
  return {{"bed", "cover", "share of water", "cut", "seen", "code"},
          {{"1", "Reedbed", "0.2", "2031-05-12", "2031-07-18", "007"},
           {"2", "Wet meadow", "0.05", "", "2031-07-18", "010"},
           {"10", "", "", "2031-06-03", "2031-07-19", ""},
           {"3", "Reedbed", "0.7", "2031-07-20", "", "100"}}};
}

Cells computed(const std::string& formula) {
  return computedColumn("c", formula, sheetOf(beds())).texts;
}
std::vector<size_t> where(const std::string& formula) {
  return rowsWhere(formula, sheetOf(beds()));
}
std::string refusal(const std::string& formula) {
  try {
    computed(formula);
  } catch (const Error& e) {
    return e.what();
  }
  return "";
}

TEST(Day, ThereAndBack) {
  EXPECT_EQ(dayOf("1970-01-01"), 0);
  EXPECT_EQ(dayOf("2031-07-18T10:20:30Z"), dayOf("2031-07-18"));
  EXPECT_EQ(*dayOf("2028-03-01") - *dayOf("2028-02-28"), 2);  // a leap year
  EXPECT_EQ(dateOf(*dayOf("2031-07-18")), "2031-07-18");
  for (const char* none : {"", "2031-7-18", "2031-02-30", "18.07.2031", "2031-07-18x", "2031-07-1",
                           "-031-07-18", "2031-07-+8"})
    EXPECT_FALSE(dayOf(none)) << none;
}

TEST(SheetOf, WhatColumnsHold) {
  const Sheet s = sheetOf(beds());
  const CellType types[] = {CellType::Number, CellType::Text, CellType::Number,
                            CellType::Date,   CellType::Date, CellType::Text};
  for (size_t c = 0; c < s.columns.size(); ++c) EXPECT_EQ(s.columns[c].type, types[c]) << c;
  EXPECT_TRUE(std::isnan(s.columns[2].numbers[2]));
  EXPECT_EQ(s.columns[3].filled(), 3u);
  const Table back = tableOf(s);
  EXPECT_EQ(back.columns, beds().columns);
  EXPECT_EQ(back.rows, beds().rows);  // as they stood, 007 and all
  EXPECT_EQ(sheetOf({{"a"}, {{""}, {""}}}).columns[0].type, CellType::Text);
  EXPECT_EQ(sheetOf({{"a"}, {}}).rows(), 0u);
}

TEST(RowFormula, NumbersDatesAndTexts) {
  EXPECT_EQ(computed("{share of water} * 100"), (Cells{"20", "5", "", "70"}));
  EXPECT_EQ(computed("bed + 0.1"), (Cells{"1.1", "2.1", "10.1", "3.1"}));  // in double
  EXPECT_EQ(computed("seen - cut"), (Cells{"67", "", "46", ""}));
  EXPECT_EQ(computed("cut + 7"), (Cells{"2031-05-19", "", "2031-06-10", "2031-07-27"}));
  EXPECT_EQ(computed("max(cut, seen)"), (Cells{"2031-07-18", "", "2031-07-19", ""}));
  EXPECT_EQ(computed("when {share of water} > 0.1 then \"wet\" else \"dry\""),
            (Cells{"wet", "dry", "", "wet"}));
  EXPECT_EQ(computed("when bed = 1 then cut else seen"),
            (Cells{"2031-05-12", "2031-07-18", "2031-07-19", ""}));
  EXPECT_EQ(computed("\"new\""), (Cells{"new", "new", "new", "new"}));
  EXPECT_EQ(computed("1 / (bed - 1)"), (Cells{"", "1", "0.1111111111111111", "0.5"}));
}

TEST(RowFormula, ChoosesRows) {
  EXPECT_EQ(where("{share of water} > 0.2"), (std::vector<size_t>{3}));
  EXPECT_EQ(where("{share of water} >= 0.2"), (std::vector<size_t>{0, 3}));
  EXPECT_EQ(where("cover = \"Reedbed\""), (std::vector<size_t>{0, 3}));
  EXPECT_EQ(where("cover <> \"Reedbed\""), (std::vector<size_t>{1}));  // an empty cell is neither
  EXPECT_EQ(where("\"Reedbed\" = cover and bed > 1"), (std::vector<size_t>{3}));
  EXPECT_EQ(where("cover = \"\""), (std::vector<size_t>{2}));
  EXPECT_EQ(where("{share of water} <> \"\""), (std::vector<size_t>{0, 1, 3}));
  EXPECT_EQ(where("cut > \"2031-06-01\""), (std::vector<size_t>{2, 3}));
  EXPECT_EQ(where("seen - cut < 50 or cut = \"\""), (std::vector<size_t>{2}));
  EXPECT_EQ(where("code = \"007\""), (std::vector<size_t>{0}));
  EXPECT_TRUE(rowsWhere("a > 1", sheetOf({{"a"}, {}})).empty());
}

TEST(RowFormula, SaysWhatIsWrong) {
  EXPECT_NE(refusal("covr = 1").find("Did you mean “cover”?"), std::string::npos);
  EXPECT_NE(refusal("{share of watr}").find("“share of water”"), std::string::npos);
  EXPECT_NE(refusal("cover + 1").find("holds texts"), std::string::npos);
  EXPECT_NE(refusal("cover < \"Reed\"").find("= and <>"), std::string::npos);
  EXPECT_NE(refusal("bed = \"1\"").find("without quotes"), std::string::npos);
  EXPECT_NE(refusal("cut > \"May\"").find("no date"), std::string::npos);
  EXPECT_NE(refusal("when bed > 1 then \"a\" else 2").find("two texts"), std::string::npos);
  EXPECT_NE(refusal("\"a\" + \"b\"").find("text"), std::string::npos);
  EXPECT_NE(refusal("mean_in(bed, 3)").find("row has none"), std::string::npos);
  EXPECT_NE(refusal("cover = \"Reed").find("closing quote"), std::string::npos);
  EXPECT_NE(refusal("{bed").find("closing brace"), std::string::npos);
  EXPECT_NE(refusal("").find("empty"), std::string::npos);
  EXPECT_THROW(rowsWhere("cover", sheetOf(beds())), Error);
  // Over pixels nothing of it is known.
  EXPECT_THROW(parseFormula("nir = \"x\"", {"nir"}), FormulaError);
  EXPECT_THROW(parseFormula("{nir} + 1", {"nir"}), FormulaError);
}

TEST(RowFormula, NamesStandInBracesWhereTheyMust) {
  EXPECT_EQ(inFormula("bed"), "bed");
  EXPECT_EQ(inFormula("share of water"), "{share of water}");
  EXPECT_EQ(inFormula("min"), "{min}");
  EXPECT_EQ(inFormula("when"), "{when}");
  EXPECT_EQ(inFormula("2031"), "{2031}");
  EXPECT_EQ(inFormula("größe"), "{größe}");
  EXPECT_EQ(inFormula(""), "{}");
  const Table t{{"min", "größe"}, {{"3", "4"}}};
  EXPECT_EQ(computedColumn("c", "{min} + {größe}", sheetOf(t)).texts[0], "7");
}

/// What a formula is over pixels it is over rows.
TEST(RowFormula, AgreesWithTheSameFormulaOverPixels) {
  const std::vector<std::string> formulas{"ndiff(a, b)",
                                          "when a > b then a ^ 2 else -b",
                                          "not a and b or a < 0.5",
                                          "min(a, b, 0.3) + max(a, b) * abs(a - b)",
                                          "sqrt(a) / log10(b + 1)",
                                          "exp(a * b) - a / b",
                                          "a >= b and a <> 0.25",
                                          "2 ^ -a"};
  std::mt19937 random(5);
  std::vector<float> a, b;
  Table t{{"a", "b"}, {}};
  for (int i = 0; i < 500; ++i) {
    a.push_back(i % 11 == 0 ? NAN : static_cast<float>(random() % 9) / 4 - 1);
    b.push_back(i % 13 == 0 ? NAN : static_cast<float>(random() % 9) / 8);
    const auto cell = [](float v) { return std::isnan(v) ? "" : std::to_string(v); };
    t.rows.push_back({cell(a.back()), cell(b.back())});
  }
  const Sheet sheet = sheetOf(t);
  for (const auto& text : formulas) {
    const Formula f = parseFormula(text, {"a", "b"});
    std::vector<const float*> bands;
    for (const auto& v : f.variables) bands.push_back(v == "a" ? a.data() : b.data());
    std::vector<float> pixels(a.size());
    evaluateFormula(f, bands, a.size(), pixels.data());
    const auto rows = computedColumn("c", text, sheet);
    for (size_t i = 0; i < a.size(); ++i) {
      ASSERT_EQ(std::isnan(pixels[i]), rows.texts[i].empty())
          << text << " of " << a[i] << ", " << b[i];
      if (!std::isnan(pixels[i])) {
        ASSERT_NEAR(pixels[i], rows.numbers[i], 1e-5 * std::max(1.0, std::abs(rows.numbers[i])))
            << text;
      }
    }
  }
}

TEST(TableEdits, AddFillPaste) {
  Sheet s = sheetOf(beds());
  EXPECT_EQ(applyEdit(s, {{"add", "percent"}, {"formula", "{share of water} * 100"}}), 3u);
  EXPECT_EQ(applyEdit(s, {{"fill", "percent"}, {"formula", "0"}, {"where", "percent = \"\""}}), 1u);
  EXPECT_EQ(s.columns.back().texts, (Cells{"20", "5", "0", "70"}));
  EXPECT_EQ(applyEdit(s, {{"fill", "percent"}, {"formula", "when bed = 1 then 20 else 1"}}), 3u);
  const Json values{{"1", "high"}, {"10", "low"}, {"99", "none"}};
  EXPECT_EQ(applyEdit(s, {{"paste", "level"}, {"by", "bed"}, {"values", values}}), 2u);
  EXPECT_EQ(s.columns.back().texts, (Cells{"high", "", "low", ""}));
  EXPECT_EQ(applyEdit(s, {{"paste", "cover"}, {"by", "bed"}, {"values", {{"2", "Reedbed"}}}}), 1u);
  EXPECT_EQ(s.columns[1].texts[1], "Reedbed");
}

TEST(TableEdits, RowsAndColumns) {
  Sheet s = sheetOf(beds());
  applyEdit(s, {{"sort", "bed"}, {"down", true}});
  EXPECT_EQ(s.origin, (std::vector<size_t>{2, 3, 1, 0}));  // 10 before 3: numbers
  applyEdit(s, {{"sort", "share of water"}});
  EXPECT_EQ(s.origin, (std::vector<size_t>{1, 0, 3, 2}));  // empty ones last
  applyEdit(s, {{"sort", "share of water"}, {"down", true}});
  EXPECT_EQ(s.origin, (std::vector<size_t>{3, 0, 1, 2}));
  applyEdit(s, {{"rename", "share of water"}, {"to", "water"}});
  EXPECT_EQ(applyEdit(s, {{"keep", "water > 0.1"}}), 2u);
  EXPECT_EQ(s.origin, (std::vector<size_t>{3, 0}));
  applyEdit(s, {{"drop", {"seen", "code"}}});
  EXPECT_EQ(tableOf(s).rows[0], (Cells{"3", "Reedbed", "0.7", "2031-07-20"}));
  EXPECT_EQ(tableOf(s).columns, (Cells{"bed", "cover", "water", "cut"}));
  EXPECT_EQ(applyEdit(s, {{"group", {"cover"}}, {"of", {"water"}}}), 2u);
  EXPECT_EQ(s.rows(), 1u);
}

TEST(TableEdits, WrongOnes) {
  const std::vector<Json> wrong{
      {{"add", "bed"}, {"formula", "1"}},
      {{"add", " "}, {"formula", "1"}},
      {{"add", "a}"}, {"formula", "1"}},
      {{"add", "x"}},
      {{"add", 3}, {"formula", "1"}},
      {{"add", "x"}, {"formula", "1"}, {"wher", "1"}},
      {{"fill", "none"}, {"formula", "1"}},
      {{"rename", "bed"}, {"to", "cover"}},
      {{"rename", "none"}, {"to", "x"}},
      {{"drop", {"none"}}},
      {{"drop", {"bed", "cover", "share of water", "cut", "seen", "code"}}},
      {{"drop", "bed"}},
      {{"sort", "none"}},
      {{"keep", "bed >"}},
      {{"paste", "x"}, {"by", "none"}, {"values", Json::object()}},
      {{"paste", "x"}, {"by", "bed"}, {"values", {{"1", 2}}}},
      {{"group", {"bed"}}},
      {{"turn", "bed"}},
      Json::array(),
      Json("add")};
  for (const auto& edit : wrong) {
    Sheet s = sheetOf(beds());
    EXPECT_THROW(applyEdit(s, edit), Error) << edit;
  }
  Sheet s = sheetOf(beds());
  EXPECT_EQ(applyEdit(s, {{"rename", "bed"}, {"to", "bed"}}), 0u);
}

}  // namespace
}  // namespace zp
