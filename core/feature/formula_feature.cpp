#include "feature/formula_feature.h"

namespace zp {
namespace {

class FormulaFeature : public Feature {
 public:
  FormulaFeature(Formula formula, std::vector<FeaturePlane> planes, const std::string& name)
      : Feature(name.empty() ? formula.text : name, std::move(planes)),
        formula_(std::move(formula)) {}

  int halo() const override { return formula_.halo(); }

  void compute(const std::vector<const float*>& planes, int width, int height, float* out,
               double scale) const override {
    if (formula_.windows.empty())
      evaluateFormula(formula_, planes, static_cast<size_t>(width) * static_cast<size_t>(height),
                      out);
    else
      evaluateFormula(formula_, planes, width, height, out, scale);
  }

 private:
  Formula formula_;
};

FeaturePlane planeOf(const Scope& scope, const std::string& variable) {
  const BandSource source = scope.source(variable);
  size_t scene = 0;
  while (&scope.scenes[scene].scene != source.scene) ++scene;
  return {scene, source.band};
}

}  // namespace

std::vector<FeaturePlane> planesOf(const Formula& formula, const Scope& scope) {
  std::vector<FeaturePlane> planes;
  for (const auto& v : formula.variables) planes.push_back(planeOf(scope, v));
  return planes;
}

std::shared_ptr<Feature> formulaFeature(Formula formula, std::vector<FeaturePlane> planes,
                                        const std::string& name) {
  return std::make_shared<FormulaFeature>(std::move(formula), std::move(planes), name);
}

std::shared_ptr<Feature> formulaFeature(Formula formula, const Scope& scope,
                                        const std::string& name) {
  auto planes = planesOf(formula, scope);
  return formulaFeature(std::move(formula), std::move(planes), name);
}

Features formulaFeatures(const std::vector<Formula>& formulas, const Scope& scope) {
  Features all;
  for (const auto& f : formulas) all.push_back(formulaFeature(f, scope));
  return all;
}

}  // namespace zp
