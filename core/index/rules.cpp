#include "index/rules.h"

#include <fmt/format.h>

#include <cmath>
#include <optional>

#include "base/error.h"
#include "grid/block_pipeline.h"
#include "index/compute_index.h"
#include "outline/scanline.h"

namespace zp {
namespace {

Legend legendOfRules(const std::vector<Rule>& rules, const LegendClass& otherwise) {
  Legend legend;
  for (const auto& r : rules) legend.add(r.cls);
  if (otherwise.code != 0) legend.add(otherwise);
  return legend;
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

void applyRules(const std::vector<Rule>& rules, uint16_t otherwise,
                const std::vector<std::vector<float>>& values, std::vector<uint16_t>& codes) {
  const size_t n = values.empty() ? 0 : values[0].size();
  codes.assign(n, otherwise);
  for (size_t i = 0; i < n; ++i)
    for (size_t r = 0; r < rules.size(); ++r) {
      const float v = values[r][i];
      if (v == 0) continue;
      codes[i] = std::isnan(v) ? uint16_t{0} : static_cast<uint16_t>(rules[r].cls.code);
      break;
    }
}

void rulesToClasses(const Scope& scope, const std::vector<Rule>& rules,
                    const LegendClass& otherwise, const std::filesystem::path& temporary,
                    const Layer* inside, const Progress& progress) {
  struct Block : FormulaReader::Block {
    std::vector<uint16_t> codes;
  };
  const FormulaReader reader(scope, parseRules(rules, scope.names()));
  std::optional<InsideMask> mask;
  if (inside != nullptr) mask.emplace(inside->shapes, scope.grid);
  RasterWriter writer(temporary,
                      classMapSpec(scope.grid, legendOfRules(rules, otherwise), "classes"));
  runBlocks<Block>(
      reader.windows(), progress,
      [&](Window w) {
        auto b = std::make_shared<Block>();
        reader.read(w, *b);
        return b;
      },
      [&](Block& b) {
        reader.compute(b);
        if (mask)
          for (auto& v : b.values) keepInside(*mask, b.window, v);
        applyRules(rules, static_cast<uint16_t>(otherwise.code), b.values, b.codes);
      },
      [&](Block& b) { writer.writeCodes(1, b.window, b.codes); });
  writer.finish();
}

}  // namespace zp
