#pragma once
#include <filesystem>
#include <string>
#include <vector>

#include "base/progress.h"
#include "index/scope.h"
#include "legend/class_map.h"
#include "outline/layer.h"

namespace zp {

/// A condition over indices and bands that gives a class: "flooded when water > 0.1 and moisture >
/// 0.3".
struct Rule {
  std::string condition;  // a formula; holds where it is not 0
  LegendClass cls;
};

/// The conditions as formulas. FormulaError, its sentence led by the class's name, where one is
/// none; Error when two rules give one code, or there are none.
std::vector<Formula> parseRules(const std::vector<Rule>& rules,
                                const std::vector<std::string>& known);

/// Writes the class map to `temporary`, on the scope's grid: each pixel has the class of the first
/// rule that holds, else `otherwise`, which may be absent (code 0). No data in a condition that is
/// reached gives no data.
/// With `inside`, only pixels whose centre lies in one of its polygons.
void rulesToClasses(const Scope& scope, const std::vector<Rule>& rules,
                    const LegendClass& otherwise, const std::filesystem::path& temporary,
                    const Layer* inside = nullptr, const Progress& progress = Progress());

}  // namespace zp
