#pragma once
#include "feature/feature.h"
#include "index/scope.h"

namespace zp {

/// A formula over the roles of one scene of a scope, whatever the others are called.
std::shared_ptr<Feature> sceneFormula(const Scope& scope, size_t scene, const std::string& formula,
                                      const std::string& name);

}  // namespace zp
