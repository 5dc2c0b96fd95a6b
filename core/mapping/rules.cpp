#include "mapping/rules.h"

#include <fmt/format.h>

#include <cmath>

#include "base/error.h"
#include "feature/feature_reader.h"
#include "feature/formula_feature.h"
#include "grid/block_pipeline.h"

namespace zp {
namespace {

Legend legendOfRules(const std::vector<Rule>& rules, const LegendClass& otherwise) {
  Legend legend;
  for (const auto& r : rules) legend.add(r.cls);
  if (otherwise.code != 0) legend.add(otherwise);
  return legend;
}

/// `values[i]` are the n of condition i.
void applyRules(const std::vector<Rule>& rules, uint16_t otherwise,
                const std::vector<const float*>& values, size_t n, std::vector<uint16_t>& codes) {
  codes.assign(n, otherwise);
  for (size_t i = 0; i < n; ++i)
    for (size_t r = 0; r < rules.size(); ++r) {
      const float v = values[r][i];
      if (v == 0) continue;
      codes[i] = std::isnan(v) ? uint16_t{0} : static_cast<uint16_t>(rules[r].cls.code);
      break;
    }
}

}  // namespace

std::vector<Formula> parseRules(const std::vector<Rule>& rules,
                                const std::vector<std::string>& known) {
  if (rules.empty()) throw Error("There are no rules; write one, such as “nir < 0.1”.");
  std::vector<Formula> formulas;
  for (const auto& r : rules) {
    try {
      formulas.push_back(parseFormula(r.condition, known));
    } catch (const FormulaError& e) {
      throw FormulaError(e.at, e.length, Sentence("{}: {}", r.cls.name, e.sentence()),
                         e.suggestion);
    }
  }
  return formulas;
}

void rulesToClasses(const Scope& scope, const std::vector<Rule>& rules,
                    const LegendClass& otherwise, const std::filesystem::path& temporary,
                    const Layer* inside, const Progress& progress) {
  struct Block : FeatureBlock {
    std::vector<uint16_t> codes;
  };
  FeatureReader reader(scope, formulaFeatures(parseRules(rules, scope.names()), scope));
  if (inside != nullptr) reader.keepInside(*inside);
  RasterWriter writer(temporary,
                      classMapSpec(scope.grid, legendOfRules(rules, otherwise), "classes"));
  forEachBlock<Block>(
      reader.windows(), progress,
      [&](Window w, Block& b) {
        reader.read(w, b);
        applyRules(rules, static_cast<uint16_t>(otherwise.code), b.pointers(), w.pixels(), b.codes);
      },
      [&](Block& b) { writer.writeCodes(1, b.window, b.codes); });
  writer.finish();
}

}  // namespace zp
