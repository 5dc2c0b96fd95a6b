#include "base/words.h"
#include "feature/feature_kind.h"
#include "feature/formula_feature.h"
#include "feature/kinds/scene_formula.h"

namespace zp {

std::shared_ptr<Feature> sceneFormula(const Scope& scope, size_t scene, const std::string& formula,
                                      const std::string& name) {
  // The first scene's names stand alone, so this one is put in its place.
  Scope led = scope;
  std::swap(led.scenes[0], led.scenes[scene]);
  Formula parsed = parseFormula(formula, led.names());
  auto planes = planesOf(parsed, led);
  for (auto& p : planes) p.scene = p.scene == 0 ? scene : p.scene == scene ? 0 : p.scene;
  return formulaFeature(std::move(parsed), std::move(planes), name);
}

namespace {

std::shared_ptr<Feature> makeFormula(const Scope& scope, size_t scene, const Json& settings) {
  return sceneFormula(scope, scene, settings.at("formula"), "");
}

}  // namespace

namespace features {
extern const FeatureKind formula{"formula",
                                 words("Formula"),
                                 words("A formula of band roles, and of what else is named here."),
                                 "",
                                 {{.id = "formula",
                                   .title = words("Formula"),
                                   .about = words("Such as nir / red."),
                                   .type = Parameter::Type::Text}},
                                 &makeFormula};
}
}  // namespace zp
