// CSV files as strangers write them.
#include "base/csv.h"

#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;
using Cells = std::vector<std::string>;

class Csv : public ::testing::Test {
 protected:
  std::filesystem::path write(const std::string& text) {
    std::ofstream(folder_ / "t.csv", std::ios::binary) << text;
    return folder_ / "t.csv";
  }
  Table read(const std::string& text) {
    const auto file = write(text);
    return readCsv(file, dialectOf(file), 1000);
  }
  std::string wrong(const std::string& text) {
    return sentenceOf([&] { read(text); });
  }
  Folder folder_;
};

TEST_F(Csv, SeparatorsAndDecimalSignsAreFoundOut) {
  for (const char* text : {"a,b\n1.5,x\n", "a;b\n1,5;x\n", "a\tb\r\n1.5\tx\r\n",
                           "\xEF\xBB\xBF"
                           "a;b\n1,5;x",
                           "a;b\n\n1.5;x\n\n"}) {
    const Table t = read(text);
    EXPECT_EQ(t.columns, (Cells{"a", "b"})) << text;
    ASSERT_EQ(t.rows.size(), 1u) << text;
    EXPECT_EQ(t.rows[0], (Cells{"1.5", "x"})) << text;
  }
  // One column, and a comma that is no decimal sign.
  EXPECT_EQ(read("a\n1\n2\n").rows.size(), 2u);
  EXPECT_EQ(read("a;b\n1.5;1,5\n").rows[0], (Cells{"1.5", "1,5"}));
}

TEST_F(Csv, QuotesHoldSeparatorsLinesAndQuotes) {
  const Table t = read("a,b\n\"x, \"\"y\"\"\",\"two\nlines\"\n,\n");
  ASSERT_EQ(t.rows.size(), 2u);
  EXPECT_EQ(t.rows[0], (Cells{"x, \"y\"", "two\nlines"}));
  EXPECT_EQ(t.rows[1], (Cells{"", ""}));
  EXPECT_EQ(read("a,a,a\n1,2,3\n").columns, (Cells{"a", "a_2", "a_3"}));
}

TEST_F(Csv, WhatIsBrokenIsSaidWithItsPlace) {
  EXPECT_NE(wrong("a,b\n1,2\n3\n").find("Line 3 has 1 cells where the first has 2"),
            std::string::npos);
  EXPECT_NE(wrong("a,b\n1,\"x\n2,3\n").find("Line 2, column 3: the quote"), std::string::npos);
  EXPECT_NE(wrong("a,b\n1,x\"y\n").find("Line 2, column 4: a quote"), std::string::npos);
  EXPECT_NE(wrong("a,b\n1,\"x\"y\n").find("Line 2, column 6: something"), std::string::npos);
  EXPECT_NE(wrong("a,,c\n1,2,3\n").find("column 2 of 3 has no name"), std::string::npos);
  EXPECT_NE(wrong("a,b\n1,\xE4\n").find("Line 2, column 3: this is no UTF-8"), std::string::npos);
  EXPECT_NE(wrong("").find("empty"), std::string::npos);
  EXPECT_NE(sentenceOf([&] { readCsv(folder_ / "none.csv", {}, 10); }).find("does not exist"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { readCsv(write("a\n1\n2\n3\n"), {}, 2); }).find("more than 2 rows"),
            std::string::npos);
  // Of the first rows only what is asked for is read.
  EXPECT_EQ(readCsv(write("a\n1\n2\n\"never closed"), {}, 1000, 2).rows.size(), 2u);
}

}  // namespace
}  // namespace zp
