#include "feature/line_formula.h"

#include "base/error.h"
#include "feature/feature_kind.h"
#include "index/index_book.h"
#include "radar/decibels.h"

namespace zp {
namespace {

std::optional<std::string> roleOf(const Scene& scene, const std::string& band) {
  const size_t number = bandNamed(scene, band);
  const std::string& role = scene.bands[number].role;
  if (role.empty() || scene.bandOf(role) != static_cast<int>(number)) return {};
  return role;
}

std::optional<std::string> inWords(const FeatureLine& line, const Scene& scene) {
  const std::string& what = line.arguments.at(0);
  if (line.kind == "band") return roleOf(scene, what);
  if (line.kind == "index") return formulaFor(indexEntry(what), scene);
  if (line.kind == "formula") return what;
  if (line.kind != "decibels") return {};
  const auto role = roleOf(scene, what);
  if (!role || backscatterState(scene) != ValueState::BackscatterPower) return role;
  return "10 * log10(" + *role + ")";
}

}  // namespace

std::optional<std::string> formulaOfLine(const std::string& line, const Scene& scene) {
  try {
    const FeatureLine parsed = parseFeature(line);
    if (!parsed.of.empty() || parsed.arguments.size() != 1) return {};
    const auto formula = inWords(parsed, scene);
    if (formula) parseFormula(*formula, Scope(scene).names());
    return formula;
  } catch (const Error&) {
    return {};  // its scene lacks what it names, or it names other layers
  }
}

}  // namespace zp
