// Formulas against a second implementation: a random tree is written as text and, apart from that,
// evaluated node by node in double precision.
#include <cmath>
#include <functional>
#include <memory>

#include "base/random.h"
#include "index/formula.h"
#include "support/rasters.h"

namespace zp {
namespace {

struct Node {
  std::string text;
  std::function<double(double, double)> value;  // of red and nir
};

constexpr double kNan = std::numeric_limits<double>::quiet_NaN();

double checked(double v) {
  return std::abs(v) <= 3.4028234e38 ? v : kNan;
}
double truth(bool b, double x, double y) {
  return std::isnan(x) || std::isnan(y) ? kNan : (b ? 1 : 0);
}

class Grower {
 public:
  explicit Grower(uint64_t seed) : random_(seed) {}

  Node grow(int depth) {
    if (depth == 0) return leaf();
    switch (random_.below(9)) {
      case 0:
        return leaf();
      case 1:
        return sign(grow(depth - 1));
      case 2:
        return comparison(grow(depth - 1), grow(depth - 1));
      case 3:
        return logic(grow(depth - 1), grow(depth - 1));
      case 4:
        return choice(grow(depth - 1), grow(depth - 1), grow(depth - 1));
      case 5:
        return function(grow(depth - 1), grow(depth - 1));
      default:
        return arithmetic(grow(depth - 1), grow(depth - 1));
    }
  }

 private:
  Node leaf() {
    switch (random_.below(3)) {
      case 0:
        return {"red", [](double r, double) { return r; }};
      case 1:
        return {"nir", [](double, double n) { return n; }};
      default: {
        const double c = static_cast<double>(random_.below(9)) / 4;
        return {fmtNumber(c), [c](double, double) { return c; }};
      }
    }
  }

  static std::string fmtNumber(double c) {
    std::string s = std::to_string(c);
    s.erase(s.find_last_not_of('0') + 1);
    if (s.back() == '.') s.pop_back();
    return s;
  }

  static Node sign(const Node& a) {
    return {"-(" + a.text + ")", [f = a.value](double r, double n) { return -f(r, n); }};
  }

  Node arithmetic(const Node& a, const Node& b) {
    static const char* const kSigns[] = {"+", "-", "*", "/"};
    const auto k = random_.below(4);
    return {"(" + a.text + ") " + kSigns[k] + " (" + b.text + ")",
            [f = a.value, g = b.value, k](double r, double n) {
              const double x = f(r, n), y = g(r, n);
              return checked(k == 0 ? x + y : k == 1 ? x - y : k == 2 ? x * y : x / y);
            }};
  }

  Node comparison(const Node& a, const Node& b) {
    static const char* const kSigns[] = {"<", ">"};
    const auto k = random_.below(2);
    return {"((" + a.text + ") " + kSigns[k] + " (" + b.text + "))",
            [f = a.value, g = b.value, k](double r, double n) {
              const double x = f(r, n), y = g(r, n);
              return truth(k == 0 ? x < y : x > y, x, y);
            }};
  }

  Node logic(const Node& a, const Node& b) {
    const bool both = random_.below(2) == 0;
    return {"((" + a.text + (both ? ") and (" : ") or (") + b.text + "))",
            [f = a.value, g = b.value, both](double r, double n) {
              const double x = f(r, n), y = g(r, n);
              return truth(both ? x != 0 && y != 0 : x != 0 || y != 0, x, y);
            }};
  }

  static Node choice(const Node& c, const Node& a, const Node& b) {
    return {"(when (" + c.text + ") then (" + a.text + ") else (" + b.text + "))",
            [h = c.value, f = a.value, g = b.value](double r, double n) {
              const double x = h(r, n);
              return std::isnan(x) ? kNan : (x != 0 ? f(r, n) : g(r, n));
            }};
  }

  Node function(const Node& a, const Node& b) {
    const auto k = random_.below(4);
    static const char* const kNames[] = {"min", "max", "ndiff", "abs"};
    const std::string inside = k == 3 ? a.text : a.text + ", " + b.text;
    return {std::string(kNames[k]) + "(" + inside + ")",
            [f = a.value, g = b.value, k](double r, double n) {
              const double x = f(r, n), y = k == 3 ? 0 : g(r, n);
              if (std::isnan(x) || std::isnan(y)) return kNan;
              if (k == 0) return std::min(x, y);
              if (k == 1) return std::max(x, y);
              return k == 2 ? checked((x - y) / (x + y)) : std::abs(x);
            }};
  }

  Random random_;
};

TEST(FormulaReference, RandomTreesAgreeWithADirectEvaluation) {
  const std::vector<std::string> roles{"red", "nir"};
  size_t compared = 0, close = 0;
  for (uint64_t seed = 0; seed < 400; ++seed) {
    const Node node = Grower(seed).grow(1 + static_cast<int>(seed % 5));
    if (node.text.size() > 4000) continue;
    const Formula f = parseFormula(node.text, roles);
    Random random(seed + 1000);
    std::vector<float> red(257), nir(257), out(257);
    for (size_t i = 0; i < red.size(); ++i) {
      // Quarters are exact in float and double, so comparisons cannot fall apart by rounding alone.
      red[i] = i % 31 == 0 ? std::nanf("") : static_cast<float>(random.below(40)) / 16 - 1;
      nir[i] = i % 29 == 0 ? std::nanf("") : static_cast<float>(random.below(40)) / 16 - 1;
    }
    std::vector<const float*> bands;
    for (const auto& v : f.variables) bands.push_back(v == "red" ? red.data() : nir.data());
    evaluateFormula(f, bands, red.size(), out.data());
    for (size_t i = 0; i < red.size(); ++i) {
      const double want = node.value(red[i], nir[i]);
      ++compared;
      const bool bothEmpty = std::isnan(want) && std::isnan(out[i]);
      const bool near = std::abs(out[i] - want) <= 1e-4 * std::max(1.0, std::abs(want));
      close += bothEmpty || near ? 1 : 0;
    }
  }
  // A division by a difference that rounds to nothing may differ; it is rare.
  EXPECT_GE(static_cast<double>(close), 0.998 * static_cast<double>(compared));
}

TEST(FormulaReference, WhiteSpaceDoesNotMatter) {
  const std::vector<std::string> roles{"red", "nir"};
  const float red = 0.2f, nir = 0.7f;
  for (const char* text :
       {"(nir-red)/(nir+red)", " ( nir - red )  /  ( nir + red ) ", "(nir\t-\nred)/(nir+red)"}) {
    const Formula f = parseFormula(text, roles);
    float out = 0;
    evaluateFormula(f, {&nir, &red}, 1, &out);
    EXPECT_FLOAT_EQ(out, 0.5f / 0.9f) << text;
  }
}

TEST(FormulaReference, NamesOfScenesWithADotAreOneName) {
  const std::vector<std::string> roles{"spring.nir", "autumn.nir"};
  const Formula f = parseFormula("spring.nir - autumn.nir", roles);
  EXPECT_EQ(f.variables, roles);
}

}  // namespace
}  // namespace zp
