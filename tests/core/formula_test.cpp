#include "index/formula.h"

#include <cmath>
#include <limits>
#include <map>
#include <set>

#include "base/random.h"
#include "index/formula_kernel.h"
#include "index/index_book.h"
#include "support/rasters.h"

namespace zp {
namespace {

using testing::sentenceOf;

const std::vector<std::string> kRoles{"red", "nir", "green", "swir16", "blue"};
constexpr float kNoData = std::numeric_limits<float>::quiet_NaN();

float valueOf(const std::string& text, float red = 0.1f, float nir = 0.5f) {
  const Formula f = parseFormula(text, kRoles);
  std::vector<float> values;
  for (const auto& v : f.variables) values.push_back(v == "red" ? red : v == "nir" ? nir : 0.25f);
  std::vector<const float*> bands;
  for (const auto& v : values) bands.push_back(&v);
  float out = 0;
  evaluateFormula(f, bands, 1, &out);
  return out;
}

TEST(Formula, ByHand) {
  const std::pair<const char*, float> cases[] = {{"1 + 2 * 3", 7},
                                                 {"(1 + 2) * 3", 9},
                                                 {"-2^2", -4},
                                                 {"(-2)^2", 4},
                                                 {"2^3^2", 512},
                                                 {"2^-1", 0.5f},
                                                 {"8 / 4 / 2", 1},
                                                 {"8 - 4 - 2", 2},
                                                 {"--3", 3},
                                                 {"+3", 3},
                                                 {"2 * -3", -6},
                                                 {".5 + 1.", 1.5f},
                                                 {"1e-2 * 100", 1},
                                                 {"1 < 2", 1},
                                                 {"2 <= 2", 1},
                                                 {"3 > 4", 0},
                                                 {"3 >= 4", 0},
                                                 {"2 = 2", 1},
                                                 {"2 <> 2", 0},
                                                 {"1 < 2 and 2 < 3", 1},
                                                 {"1 > 2 or 2 > 3", 0},
                                                 {"not 0", 1},
                                                 {"not 1 or 1", 1},
                                                 {"not (1 or 1)", 0},
                                                 {"when 1 then 5 else 6", 5},
                                                 {"when 0 then 5 else when 1 then 7 else 8", 7},
                                                 {"min(3, 1, 2)", 1},
                                                 {"max(3, 1, 2)", 3},
                                                 {"abs(-4)", 4},
                                                 {"sqrt(9)", 3},
                                                 {"log10(1000)", 3},
                                                 {"exp(0)", 1},
                                                 {"ndiff(3, 1)", 0.5f},
                                                 {"nir", 0.5f},
                                                 {"(nir - red) / (nir + red)", 2.0f / 3},
                                                 {"ndiff(nir, red)", 2.0f / 3},
                                                 {"when nir > red then nir else red", 0.5f}};
  for (const auto& [text, want] : cases) EXPECT_NEAR(valueOf(text), want, 1e-6) << text;
}

TEST(Formula, WhatIsNotFiniteIsNoData) {
  for (const char* text :
       {"1 / 0", "0 / 0", "1 / (nir - nir)", "min(1 / 0, 5)", "sqrt(-1)", "log10(0)", "log10(-1)",
        "exp(1000)", "10^39", "3e38 * 10", "ndiff(1, -1)", "(0-8)^0.5"})
    EXPECT_TRUE(std::isnan(valueOf(text))) << text;
}

TEST(Formula, NoDataInEveryOperation) {
  for (const char* text : {"nir + 1",
                           "1 - nir",
                           "nir * 0",
                           "nir / 2",
                           "nir ^ 0",
                           "1 ^ nir",
                           "-nir",
                           "nir < 1",
                           "nir <= 1",
                           "nir > 1",
                           "nir >= 1",
                           "nir = 1",
                           "nir <> 1",
                           "nir and 0",
                           "nir or 1",
                           "not nir",
                           "when nir then 1 else 2",
                           "min(nir, 1)",
                           "max(1, nir)",
                           "abs(nir)",
                           "sqrt(nir)",
                           "log10(nir)",
                           "exp(nir)",
                           "ndiff(nir, 1)",
                           "when 1 then nir else 2"})
    EXPECT_TRUE(std::isnan(valueOf(text, 0.1f, kNoData))) << text;
  EXPECT_EQ(valueOf("when 1 then 3 else nir", 0.1f, kNoData), 3);  // only the taken branch counts
  EXPECT_EQ(valueOf("when red > 1 then nir else 4", 0.1f, kNoData), 4);
}

struct Wrong {
  const char* text;
  size_t at;
  const char* part;
};

TEST(Formula, ErrorsNameTheirPlace) {
  const Wrong cases[] = {{"", 0, "empty"},
                         {"   ", 0, "empty"},
                         {"1 +", 3, "too early"},
                         {"(1 + 2", 6, "closing parenthesis"},
                         {"1 + 2)", 5, "no opening"},
                         {"redd + 1", 0, "Did you mean “red”?"},
                         {"1 + nyr", 4, "Did you mean “nir”?"},
                         {"sqr(4)", 0, "Did you mean “sqrt”?"},
                         {"1 2", 2, "does not belong"},
                         {"nir red", 4, "sign missing"},
                         {"1 < 2 < 3", 6, "not chained"},
                         {"when 1 then 2", 13, "else"},
                         {"when 1 else 2", 7, "then"},
                         {"min(1)", 0, "takes 2 to 16"},
                         {"abs(1, 2)", 0, "takes 1 value"},
                         {"ndiff(1)", 0, "takes 2 values"},
                         {"sqrt 4", 5, "parentheses"},
                         {"1 + * 2", 4, "does not belong"},
                         {"1 ÷ 2", 2, "÷"},
                         {"nir & red", 4, "&"},
                         {"1e99", 0, "too large"},
                         {"and", 0, "does not belong"}};
  for (const auto& c : cases) {
    try {
      parseFormula(c.text, kRoles);
      ADD_FAILURE() << c.text << " was taken";
    } catch (const FormulaError& e) {
      EXPECT_EQ(e.at, c.at) << c.text << ": " << e.what();
      EXPECT_NE(std::string(e.what()).find(c.part), std::string::npos)
          << c.text << ": " << e.what();
    }
  }
}

TEST(Formula, HugeAndDeepOnesAreRefused) {
  EXPECT_NE(sentenceOf([] { parseFormula(std::string(5000, '1'), kRoles); }).find("longer than"),
            std::string::npos);
  EXPECT_NE(sentenceOf([] {
              parseFormula(std::string(1500, '(') + "1" + std::string(1500, ')'), kRoles);
            }).find("nested deeper"),
            std::string::npos);
  EXPECT_NE(
      sentenceOf([] { parseFormula(std::string(3900, '-') + "1", kRoles); }).find("nested deeper"),
      std::string::npos);
  std::string powers = "2";
  for (int i = 0; i < 900; ++i) powers += "^2";
  EXPECT_NE(sentenceOf([&] { parseFormula(powers, kRoles); }).find("nested deeper"),
            std::string::npos);
  std::string flat = "1";
  for (int i = 0; i < 900; ++i) flat += " + 1";
  EXPECT_NEAR(valueOf(flat), 901, 1e-3);
}

TEST(Formula, RandomTextNeverCrashes) {
  Random random(11);
  const std::vector<std::string> parts{"red", "nir",  "1",    "(",    ")",   "+",   "-",
                                       "^",   "when", "then", "else", "and", "not", "min",
                                       ",",   "<",    ".",    "e",    " ",   "\xc3"};
  for (int i = 0; i < 20000; ++i) {
    std::string text;
    for (uint64_t n = random.below(14); n > 0; --n) text += parts[random.below(parts.size())];
    try {
      const float v = valueOf(text);
      EXPECT_TRUE(std::isnan(v) || std::isfinite(v));
    } catch (const FormulaError& e) {
      EXPECT_LE(e.at, text.size());
    }
  }
}

TEST(Formula, BaselineAndV3AgreeToTheBit) {
  Random random(5);
  constexpr size_t n = kFormulaChunk + 37;
  std::vector<float> a(n), b(n);
  for (size_t i = 0; i < n; ++i) {
    a[i] = i % 17 == 0 ? kNoData : static_cast<float>(random.between(-1, 1));
    b[i] = i % 23 == 0 ? 0.0f : static_cast<float>(random.between(-1, 1));
  }
  for (const char* text : {"ndiff(nir, red)", "nir * red + nir / red - 2",
                           "when nir > red and red > 0 then sqrt(nir) else abs(red) ^ 1.7",
                           "min(nir, red, 0.2) - max(nir, 0)"}) {
    const Formula f = parseFormula(text, kRoles);
    const float* bands[2] = {f.variables[0] == "nir" ? a.data() : b.data(),
                             f.variables[0] == "nir" ? b.data() : a.data()};
    std::vector<float> stack(static_cast<size_t>(f.stack) * kFormulaChunk), x(n), y(n);
    for (size_t from = 0; from < n; from += kFormulaChunk) {
      const size_t count = std::min(kFormulaChunk, n - from);
      baseline::runFormula(f.steps.data(), f.steps.size(), bands, from, count, stack.data(),
                           x.data());
      if (__builtin_cpu_supports("avx2"))
        v3::runFormula(f.steps.data(), f.steps.size(), bands, from, count, stack.data(), y.data());
      else
        y = x;
    }
    for (size_t i = 0; i < n; ++i)
      EXPECT_TRUE(x[i] == y[i] || (std::isnan(x[i]) && std::isnan(y[i]))) << text << " at " << i;
  }
}

TEST(Formula, TokensColourWhatTheyAre) {
  const auto t = formulaTokens("min(nir, 2) and redd", kRoles);
  ASSERT_EQ(t.size(), 8u);
  EXPECT_EQ(t[0].kind, FormulaToken::Function);
  EXPECT_EQ(t[2].kind, FormulaToken::Name);
  EXPECT_EQ(t[4].kind, FormulaToken::Number);
  EXPECT_EQ(t[6].kind, FormulaToken::Word);
  EXPECT_EQ(t[7].kind, FormulaToken::Unknown);
}

/// Reflectances (and backscatter in power) as textbooks show them.
const std::map<std::string, std::map<std::string, float>> kCovers{{"leaves",
                                                                   {{"coastal", .02f},
                                                                    {"blue", .03f},
                                                                    {"green", .08f},
                                                                    {"red", .04f},
                                                                    {"rededge", .25f},
                                                                    {"rededge071", .12f},
                                                                    {"rededge075", .33f},
                                                                    {"rededge078", .42f},
                                                                    {"nir", .45f},
                                                                    {"nir08", .46f},
                                                                    {"swir16", .22f},
                                                                    {"swir22", .10f},
                                                                    {"vv", .12f},
                                                                    {"vh", .04f},
                                                                    {"hh", .10f},
                                                                    {"hv", .05f}}},
                                                                  {"dry soil",
                                                                   {{"coastal", .10f},
                                                                    {"blue", .12f},
                                                                    {"green", .17f},
                                                                    {"red", .23f},
                                                                    {"rededge", .25f},
                                                                    {"rededge071", .25f},
                                                                    {"rededge075", .27f},
                                                                    {"rededge078", .28f},
                                                                    {"nir", .31f},
                                                                    {"nir08", .32f},
                                                                    {"swir16", .40f},
                                                                    {"swir22", .36f},
                                                                    {"vv", .08f},
                                                                    {"vh", .01f},
                                                                    {"hh", .07f},
                                                                    {"hv", .01f}}},
                                                                  {"clear water",
                                                                   {{"coastal", .06f},
                                                                    {"blue", .06f},
                                                                    {"green", .05f},
                                                                    {"red", .03f},
                                                                    {"rededge", .02f},
                                                                    {"rededge071", .02f},
                                                                    {"rededge075", .015f},
                                                                    {"rededge078", .014f},
                                                                    {"nir", .01f},
                                                                    {"nir08", .01f},
                                                                    {"swir16", .005f},
                                                                    {"swir22", .003f},
                                                                    {"vv", .01f},
                                                                    {"vh", .001f},
                                                                    {"hh", .01f},
                                                                    {"hv", .001f}}},
                                                                  {"roofs",
                                                                   {{"coastal", .11f},
                                                                    {"blue", .13f},
                                                                    {"green", .15f},
                                                                    {"red", .17f},
                                                                    {"rededge", .18f},
                                                                    {"rededge071", .18f},
                                                                    {"rededge075", .19f},
                                                                    {"rededge078", .20f},
                                                                    {"nir", .21f},
                                                                    {"nir08", .22f},
                                                                    {"swir16", .27f},
                                                                    {"swir22", .25f},
                                                                    {"vv", .40f},
                                                                    {"vh", .04f},
                                                                    {"hh", .5f},
                                                                    {"hv", .04f}}},
                                                                  {"snow",
                                                                   {{"coastal", .93f},
                                                                    {"blue", .92f},
                                                                    {"green", .90f},
                                                                    {"red", .88f},
                                                                    {"rededge", .86f},
                                                                    {"rededge071", .86f},
                                                                    {"rededge075", .84f},
                                                                    {"rededge078", .82f},
                                                                    {"nir", .80f},
                                                                    {"nir08", .78f},
                                                                    {"swir16", .08f},
                                                                    {"swir22", .06f},
                                                                    {"vv", .05f},
                                                                    {"vh", .01f},
                                                                    {"hh", .05f},
                                                                    {"hv", .01f}}},
                                                                  {"char",
                                                                   {{"coastal", .03f},
                                                                    {"blue", .035f},
                                                                    {"green", .045f},
                                                                    {"red", .06f},
                                                                    {"rededge", .07f},
                                                                    {"rededge071", .07f},
                                                                    {"rededge075", .08f},
                                                                    {"rededge078", .085f},
                                                                    {"nir", .09f},
                                                                    {"nir08", .10f},
                                                                    {"swir16", .17f},
                                                                    {"swir22", .19f},
                                                                    {"vv", .06f},
                                                                    {"vh", .01f},
                                                                    {"hh", .06f},
                                                                    {"hv", .01f}}}};

float valueOf(const IndexEntry& e, const std::string& cover) {
  const Formula f = parseFormula(e.formula, knownRoles());
  std::vector<float> values;
  for (const auto& role : f.variables) values.push_back(kCovers.at(cover).at(role));
  std::vector<const float*> bands;
  for (const auto& v : values) bands.push_back(&v);
  float out = 0;
  evaluateFormula(f, bands, 1, &out);
  return out;
}

TEST(IndexBook, EveryEntryIsWholeAndLiesInItsRange) {
  EXPECT_GE(indexBook().size(), 40u);
  std::set<std::string> ids, titles, groups;
  for (const auto& e : indexBook()) {
    EXPECT_TRUE(ids.insert(e.id).second) << e.id;
    EXPECT_TRUE(titles.insert(e.title).second) << e.title;
    groups.insert(e.group);
    EXPECT_FALSE(e.roles.empty()) << e.id;
    EXPECT_LT(e.low, e.high) << e.id;
    EXPECT_FALSE(e.source.empty()) << e.id;
    EXPECT_GT(e.about.size(), 60u) << e.id;
    EXPECT_EQ(e.reading.back(), '.') << e.id;
    for (const auto& [cover, bands] : kCovers) {
      const float v = valueOf(e, cover);
      EXPECT_TRUE(std::isfinite(v)) << e.id << " over " << cover;
      if (e.group == "vegetation" || e.group == "burn" || e.id == "rededge-position") continue;
      EXPECT_GE(v, e.low) << e.id << " over " << cover;
      EXPECT_LE(v, e.high) << e.id << " over " << cover;
    }
  }
  EXPECT_EQ(groups, (std::set<std::string>{"vegetation", "water", "moisture", "soil", "built-up",
                                           "snow", "burn", "radar"}));
  EXPECT_NE(sentenceOf([] { indexEntry("vegetasion"); }).find("“vegetation”"), std::string::npos);
}

TEST(IndexBook, IndicesRankCoversAsTheirReadingSays) {
  const auto above = [](const char* id, const char* more, const char* less) {
    const IndexEntry& e = indexEntry(id);
    EXPECT_GT(valueOf(e, more), valueOf(e, less)) << id << ": " << more << " over " << less;
  };
  for (const auto& e : indexBook())
    if (e.group == "vegetation" && e.reading == "High is green.") {
      above(e.id.c_str(), "leaves", "dry soil");
      above(e.id.c_str(), "leaves", "roofs");
    }
  for (const char* id :
       {"water", "water-swir", "water-extraction", "water-extraction-shadow", "water-2015"}) {
    above(id, "clear water", "leaves");
    above(id, "clear water", "dry soil");
    above(id, "clear water", "roofs");
  }
  for (const char* id : {"moisture", "moisture-canopy"}) above(id, "leaves", "dry soil");
  above("moisture-stress", "dry soil", "leaves");
  for (const char* id : {"bare-soil", "soil-dry", "soil-brightness", "built-up", "urban",
                         "built-up-less-green", "built-up-index-based"})
    above(id, "dry soil", "leaves");
  for (const char* id : {"snow", "snow-forest"}) {
    above(id, "snow", "leaves");
    above(id, "snow", "dry soil");
  }
  above("burn", "leaves", "char");
  above("burn-char", "leaves", "char");
  above("burn-area", "char", "leaves");
  above("burn-area", "char", "dry soil");
  above("burn-mid-infrared", "char", "leaves");
  for (const char* id : {"radar-ratio", "radar-vegetation"}) above(id, "leaves", "dry soil");
  for (const char* id : {"radar-ratio-decibels", "radar-polarisation", "radar-forest"})
    above(id, "dry soil", "leaves");
}

TEST(IndexBook, KnownValues) {
  EXPECT_NEAR(valueOf(indexEntry("vegetation"), "leaves"), 0.41 / 0.49, 1e-6);
  EXPECT_NEAR(valueOf(indexEntry("vegetation-soil-adjusted"), "leaves"), 1.5 * 0.41 / 0.99, 1e-6);
  EXPECT_NEAR(valueOf(indexEntry("vegetation-enhanced"), "leaves"),
              2.5 * 0.41 / (0.45 + 0.24 - 0.225 + 1), 1e-6);
  EXPECT_NEAR(valueOf(indexEntry("rededge-position"), "leaves"),
              705 + 35 * (0.23 - 0.12) / (0.33 - 0.12), 1e-3);
  EXPECT_NEAR(valueOf(indexEntry("radar-ratio-decibels"), "leaves"), 10 * std::log10(3.0), 1e-5);
  EXPECT_NEAR(valueOf(indexEntry("burn-area"), "char"), 1 / (0.0016 + 0.0009), 0.05);
}

TEST(IndexBook, IsSearchedByEveryWord) {
  EXPECT_EQ(searchIndexBook("").size(), indexBook().size());
  const auto found = searchIndexBook("Huete  1988");
  ASSERT_EQ(found.size(), 1u);
  EXPECT_EQ(found[0]->id, "vegetation-soil-adjusted");
  EXPECT_EQ(searchIndexBook("water")[0]->id, "water");  // names before what is said about others
  EXPECT_GT(searchIndexBook("water").size(), 6u);
  for (const auto* e : searchIndexBook("snow swir16"))
    EXPECT_NE(e->formula.find("swir16"), std::string::npos);
  EXPECT_TRUE(searchIndexBook("no such index").empty());
  EXPECT_EQ(searchIndexBook("ndwi")[0]->id, "water");
}

TEST(IndexBook, IsFoundByAbbreviationsThatAreOfOneIndexOnly) {
  std::set<std::string> seen;
  for (const auto& e : indexBook())
    if (!e.abbreviation.empty()) {
      EXPECT_TRUE(seen.insert(e.abbreviation).second) << e.abbreviation;
      EXPECT_EQ(&indexEntry(e.abbreviation), &e);
    }
  EXPECT_EQ(indexEntry("evi2").id, "vegetation-enhanced-2");
  EXPECT_NE(sentenceOf([] { indexEntry(""); }).find("look through"), std::string::npos);
}

TEST(IndexBook, AnIndexOfOnesOwnIsKept) {
  testing::Folder folder;
  setenv("ZPATCH_OWN", folder.path().c_str(), 1);
  const size_t before = indexBook().size();
  IndexEntry own;
  own.title = "Reed, cut";
  own.name = own.title;
  own.formula = "ndiff(rededge, green)";
  own.low = -1, own.high = 1;
  own.reading = "High is uncut.";
  const IndexEntry& kept = keepIndex(own);
  EXPECT_EQ(kept.id, "own-reed-cut");
  EXPECT_EQ(kept.roles, (std::vector<std::string>{"rededge", "green"}));
  EXPECT_EQ(searchIndexBook("uncut").size(), 1u);
  EXPECT_NE(sentenceOf([&] { keepIndex(own); }).find("another name"), std::string::npos);
  own.title = "Broken";
  own.formula = "ndiff(rededge, )";
  EXPECT_THROW(keepIndex(own), FormulaError);
  own.title = "";
  EXPECT_NE(sentenceOf([&] { keepIndex(own); }).find("no name"), std::string::npos);
  EXPECT_EQ(readJson(folder / "indices.json", "zany-patch-index-book")["indices"].size(), 1u);
  dropIndex("own-reed-cut");
  dropIndex("vegetation");  // a shipped one stays
  EXPECT_EQ(indexBook().size(), before);
  EXPECT_EQ(readJson(folder / "indices.json")["indices"].size(), 0u);
  unsetenv("ZPATCH_OWN");
}

}  // namespace
}  // namespace zp
