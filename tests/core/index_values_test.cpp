// Every index of the book against a second formula, written from its source by hand.
#include <gtest/gtest.h>

#include <cmath>
#include <functional>
#include <map>

#include "index/formula.h"
#include "index/index_book.h"
#include "index/scope.h"

namespace zp {
namespace {

using Bands = std::map<std::string, double>;

double b(const Bands& v, const char* role) {
  return v.at(role);
}

double nd(double x, double y) {
  return (x - y) / (x + y);
}

/// Reflectance of growth, of bare soil and of water, and backscatter of each.
const std::vector<Bands>& covers() {
  static const std::vector<Bands> all{{{"blue", 0.04},
                                       {"green", 0.09},
                                       {"red", 0.05},
                                       {"rededge", 0.22},
                                       {"rededge071", 0.12},
                                       {"rededge075", 0.33},
                                       {"rededge078", 0.41},
                                       {"nir", 0.46},
                                       {"nir08", 0.47},
                                       {"swir16", 0.21},
                                       {"swir22", 0.11},
                                       {"vv", 0.09},
                                       {"vh", 0.021},
                                       {"hh", 0.1},
                                       {"hv", 0.03}},
                                      {{"blue", 0.1},
                                       {"green", 0.14},
                                       {"red", 0.19},
                                       {"rededge", 0.22},
                                       {"rededge071", 0.21},
                                       {"rededge075", 0.24},
                                       {"rededge078", 0.25},
                                       {"nir", 0.27},
                                       {"nir08", 0.28},
                                       {"swir16", 0.35},
                                       {"swir22", 0.31},
                                       {"vv", 0.05},
                                       {"vh", 0.008},
                                       {"hh", 0.06},
                                       {"hv", 0.01}},
                                      {{"blue", 0.07},
                                       {"green", 0.06},
                                       {"red", 0.04},
                                       {"rededge", 0.03},
                                       {"rededge071", 0.032},
                                       {"rededge075", 0.025},
                                       {"rededge078", 0.02},
                                       {"nir", 0.018},
                                       {"nir08", 0.016},
                                       {"swir16", 0.009},
                                       {"swir22", 0.006},
                                       {"vv", 0.004},
                                       {"vh", 0.0006},
                                       {"hh", 0.005},
                                       {"hv", 0.0005}}};
  return all;
}

#define B(role) b(v, #role)
/// Longer than a function may be: a table, one formula an index.
const std::map<std::string, std::function<double(const Bands&)>>& byHand() {
  static const std::map<std::string, std::function<double(const Bands&)>> all{
      {"vegetation", [](const Bands& v) { return nd(B(nir), B(red)); }},
      {"water", [](const Bands& v) { return nd(B(green), B(nir)); }},
      {"water-swir", [](const Bands& v) { return nd(B(green), B(swir16)); }},
      {"bare-soil",
       [](const Bands& v) {
         return ((B(swir16) + B(red)) - (B(nir) + B(blue))) /
                ((B(swir16) + B(red)) + (B(nir) + B(blue)));
       }},
      {"built-up", [](const Bands& v) { return nd(B(swir16), B(nir)); }},
      {"burn", [](const Bands& v) { return nd(B(nir), B(swir22)); }},
      {"burn-short-wave", [](const Bands& v) { return nd(B(swir16), B(swir22)); }},
      {"moisture", [](const Bands& v) { return nd(B(nir), B(swir16)); }},
      {"vegetation-enhanced",
       [](const Bands& v) {
         return 2.5 * (B(nir) - B(red)) / (B(nir) + 6 * B(red) - 7.5 * B(blue) + 1);
       }},
      {"vegetation-enhanced-2",
       [](const Bands& v) { return 2.5 * (B(nir) - B(red)) / (B(nir) + 2.4 * B(red) + 1); }},
      {"vegetation-soil-adjusted",
       [](const Bands& v) { return (1 + 0.5) * (B(nir) - B(red)) / (B(nir) + B(red) + 0.5); }},
      {"vegetation-soil-optimised",
       [](const Bands& v) { return (B(nir) - B(red)) / (B(nir) + B(red) + 0.16); }},
      // The adjustment that follows from itself (Qi et al., eq. 22): L = 1 − MSAVI2.
      {"vegetation-soil-modified",
       [](const Bands& v) {
         double m = 0.5;
         for (int i = 0; i < 2000; ++i)
           m = 0.5 * m + 0.5 * (2 - m) * (B(nir) - B(red)) / (B(nir) + B(red) + 1 - m);
         return m;
       }},
      {"vegetation-atmosphere",
       [](const Bands& v) { return nd(B(nir), B(red) - 1 * (B(blue) - B(red))); }},
      {"vegetation-green", [](const Bands& v) { return nd(B(nir), B(green)); }},
      {"vegetation-rededge", [](const Bands& v) { return nd(B(nir), B(rededge)); }},
      {"vegetation-ratio", [](const Bands& v) { return B(nir) / B(red); }},
      {"vegetation-difference", [](const Bands& v) { return B(nir) - B(red); }},
      {"vegetation-wide",
       [](const Bands& v) { return (0.1 * B(nir) - B(red)) / (0.1 * B(nir) + B(red)); }},
      {"vegetation-nonlinear",
       [](const Bands& v) { return (B(nir) * B(nir) - B(red)) / (B(nir) * B(nir) + B(red)); }},
      {"vegetation-nir-share", [](const Bands& v) { return nd(B(nir), B(red)) * B(nir); }},
      {"vegetation-triangle",
       [](const Bands& v) { return 60 * (B(nir) - B(green)) - 100 * (B(red) - B(green)); }},
      {"vegetation-environment",
       [](const Bands& v) {
         const double n = B(nir), r = B(red),
                      eta = (2 * (n * n - r * r) + 1.5 * n + 0.5 * r) / (n + r + 0.5);
         return eta * (1 - 0.25 * eta) - (r - 0.125) / (1 - r);
       }},
      {"chlorophyll-green", [](const Bands& v) { return (B(nir) - B(green)) / B(green); }},
      {"chlorophyll-rededge", [](const Bands& v) { return (B(nir) - B(rededge)) / B(rededge); }},
      {"chlorophyll-absorption",
       [](const Bands& v) {
         return (0.8 * B(rededge071) - B(red) + 0.2 * B(green)) * B(rededge071) / B(red);
       }},
      // Where the straight line from 705 to 740 nm crosses the middle of the edge.
      {"rededge-position",
       [](const Bands& v) {
         const double middle = (B(red) + B(rededge078)) / 2;
         const double t = (middle - B(rededge071)) / (B(rededge075) - B(rededge071));
         return 705 * (1 - t) + 740 * t;
       }},
      {"senescence", [](const Bands& v) { return (B(red) - B(blue)) / B(rededge075); }},
      {"green-visible",
       [](const Bands& v) { return (B(green) - B(red)) / (B(green) + B(red) - B(blue)); }},
      // Of chromatic coordinates.
      {"green-excess",
       [](const Bands& v) {
         const double sum = B(red) + B(green) + B(blue);
         return 2 * (B(green) / sum) - B(red) / sum - B(blue) / sum;
       }},
      {"green-leaf",
       [](const Bands& v) {
         return ((B(green) - B(red)) + (B(green) - B(blue))) / (2 * B(green) + B(red) + B(blue));
       }},
      {"water-extraction",
       [](const Bands& v) {
         return 4 * B(green) - 4 * B(swir16) - 0.25 * B(nir) - 2.75 * B(swir22);
       }},
      {"water-extraction-shadow",
       [](const Bands& v) {
         return B(blue) + 2.5 * B(green) - 1.5 * B(nir) - 1.5 * B(swir16) - 0.25 * B(swir22);
       }},
      {"water-2015",
       [](const Bands& v) {
         return 1.7204 + 171 * B(green) + 3 * B(red) - 70 * B(nir) - 45 * B(swir16) -
                71 * B(swir22);
       }},
      {"turbidity", [](const Bands& v) { return nd(B(red), B(green)); }},
      {"algae", [](const Bands& v) { return nd(B(rededge071), B(red)); }},
      {"moisture-stress", [](const Bands& v) { return B(swir16) / B(nir); }},
      {"moisture-canopy",
       [](const Bands& v) {
         return (B(nir) + 0.1 - B(swir16) - 0.02) / (B(nir) + 0.1 + B(swir16) + 0.02);
       }},
      {"drought",
       [](const Bands& v) {
         return (B(nir) - B(swir16) + B(swir22)) / (B(nir) + B(swir16) - B(swir22));
       }},
      {"soil-brightness",
       [](const Bands& v) { return std::hypot(B(red), B(green), B(blue)) / std::sqrt(3.0); }},
      {"soil-redness",
       [](const Bands& v) { return B(red) * B(red) / (B(blue) * std::pow(B(green), 3)); }},
      {"soil-dry", [](const Bands& v) { return nd(B(swir16), B(green)) - nd(B(nir), B(red)); }},
      {"soil-litter", [](const Bands& v) { return nd(B(swir16), B(swir22)); }},
      {"clay", [](const Bands& v) { return B(swir16) / B(swir22); }},
      {"iron-oxide", [](const Bands& v) { return B(red) / B(blue); }},
      {"urban", [](const Bands& v) { return nd(B(swir22), B(nir)); }},
      {"built-up-less-green",
       [](const Bands& v) { return nd(B(swir16), B(nir)) - nd(B(nir), B(red)); }},
      {"built-up-index-based",
       [](const Bands& v) {
         const double built = 2 * B(swir16) / (B(swir16) + B(nir)),
                      rest = B(nir) / (B(nir) + B(red)) + B(green) / (B(green) + B(swir16));
         return (built - rest) / (built + rest);
       }},
      {"built-up-vegetation",
       [](const Bands& v) {
         const double growth = nd(B(nir), B(red));
         return growth / (growth + nd(B(swir16), B(nir)));
       }},
      {"snow", [](const Bands& v) { return nd(B(green), B(swir16)); }},
      {"snow-forest",
       [](const Bands& v) {
         return B(nir) * (B(red) - B(swir16)) / (B(nir) + B(red)) / (B(nir) + B(swir16));
       }},
      {"ice", [](const Bands& v) { return nd(B(green), B(red)); }},
      {"burn-area",
       [](const Bands& v) { return 1 / (std::pow(0.1 - B(red), 2) + std::pow(0.06 - B(nir), 2)); }},
      {"burn-mid-infrared", [](const Bands& v) { return 10 * B(swir22) - 9.8 * B(swir16) + 2; }},
      {"burn-char", [](const Bands& v) { return B(nir) / B(swir22); }},
      {"radar-ratio", [](const Bands& v) { return B(vh) / B(vv); }},
      {"radar-ratio-decibels",
       [](const Bands& v) { return 10 * std::log10(B(vv)) - 10 * std::log10(B(vh)); }},
      {"radar-vegetation", [](const Bands& v) { return 4 * B(vh) / (B(vv) + B(vh)); }},
      {"radar-polarisation", [](const Bands& v) { return nd(B(vv), B(vh)); }},
      {"radar-forest", [](const Bands& v) { return nd(B(hh), B(hv)); }}};
  return all;
}
#undef B

TEST(IndexBook, EveryIndexGivesWhatItsSourceSays) {
  for (const auto& e : indexBook()) {
    if (e.group == "own") continue;
    const auto hand = byHand().find(e.id);
    ASSERT_NE(hand, byHand().end()) << e.id << " has no second formula here";
    const Formula f = parseFormula(e.formula, knownRoles());
    for (const auto& v : covers()) {
      std::vector<float> values;
      for (const auto& name : f.variables) values.push_back(static_cast<float>(v.at(name)));
      std::vector<const float*> planes;
      for (const float& x : values) planes.push_back(&x);
      float got = 0;
      evaluateFormula(f, planes, 1, &got);
      const double want = hand->second(v);
      EXPECT_NEAR(static_cast<double>(got), want, 2e-5 * std::abs(want) + 2e-6) << e.id;
      EXPECT_GE(static_cast<double>(got), e.low - 1e-6) << e.id;
      EXPECT_LE(static_cast<double>(got), e.high + 1e-6) << e.id;
    }
  }
  for (const auto& [id, formula] : byHand()) EXPECT_NO_THROW(indexEntry(id)) << id;
}

TEST(IndexBook, ItsEndsHaveNames) {
  const auto ends = [](const char* id) {
    const auto& of = indexEntry(id).ends;
    return std::pair(of.low, of.high);
  };
  using Ends = std::pair<std::string, std::string>;
  EXPECT_EQ(ends("water"), Ends("The rest", "Open water"));
  EXPECT_EQ(ends("burn"), Ends("Burnt", "The rest"));
  EXPECT_EQ(ends("water-2015"), Ends("The rest", "Water"));
  EXPECT_EQ(ends("snow"), Ends("The rest", "Snow"));
  EXPECT_EQ(ends("turbidity"), Ends("The rest", "Silty"));
  EXPECT_EQ(ends("drought"), Ends("Low", "High"));
}

TEST(IndexBook, ConstantsThatSupposeReflectanceAreKnown) {
  const auto supposes = [](const char* id) {
    return supposesScale(parseFormula(indexEntry(id).formula, knownRoles()));
  };
  for (const char* id :
       {"vegetation-enhanced", "vegetation-enhanced-2", "vegetation-soil-adjusted",
        "vegetation-soil-optimised", "vegetation-soil-modified", "vegetation-environment",
        "vegetation-nonlinear", "moisture-canopy", "burn-area", "burn-mid-infrared", "water-2015"})
    EXPECT_TRUE(supposes(id)) << id;
  for (const char* id : {"vegetation", "water", "bare-soil", "vegetation-ratio",
                         "vegetation-difference", "vegetation-wide", "drought", "soil-redness",
                         "soil-brightness", "water-extraction", "radar-ratio-decibels"})
    EXPECT_FALSE(supposes(id)) << id;
  EXPECT_TRUE(supposesScale(parseFormula("nir > 0.3", knownRoles())));
  EXPECT_FALSE(supposesScale(parseFormula("when nir > red then nir else red", knownRoles())));
}

}  // namespace
}  // namespace zp
