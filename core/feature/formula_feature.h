#pragma once
#include "feature/feature.h"
#include "index/scope.h"

namespace zp {

/// The bands that the variables of a formula stand for. Error: a name that the scope lacks.
std::vector<FeaturePlane> planesOf(const Formula& formula, const Scope& scope);

/// The values of a formula; `planes` as its variables.
std::shared_ptr<Feature> formulaFeature(Formula formula, std::vector<FeaturePlane> planes,
                                        const std::string& name = "");
/// Over a scope.
std::shared_ptr<Feature> formulaFeature(Formula formula, const Scope& scope,
                                        const std::string& name = "");
/// The same of several.
Features formulaFeatures(const std::vector<Formula>& formulas, const Scope& scope);

}  // namespace zp
