#include "base/error.h"
#include "study/planned.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

CellPlan cellPlan(const Json& step) {
  CellPlan plan;
  if (step.at("form") == "hexagons") plan.form = CellPlan::Form::Hexagons;
  plan.size = step.value("size", 0.0);
  plan.count = step.value("count", size_t{0});
  if (!(plan.size >= 0)) throw Error("The size of the cells is {}; give more than 0.", plan.size);
  return plan;
}

PlannedCells laid(StepRun& r) {
  const std::string over = r.step().at("over");
  const Ground ground = r.study().scene(over) != nullptr
                            ? groundOf(r.sceneOf(over))
                            : groundOf(r.sourceOf(over).file, false, 1);
  const auto inside = r.inside(ground.grid.crs);
  const Layer* polygons = inside ? &*inside : nullptr;
  if (r.step().at("form") == "pixels") return pixelsAsCells(ground, polygons, r.progress());
  return planCells(ground.grid, cellPlan(r.step()), polygons, r.progress());
}

Product runCells(StepRun& r) {
  const auto cells = laid(r);
  const bool centres = r.step().value("what", "cells") == "centres";
  r.begin(centres ? ProductKind::Points : ProductKind::Cells, ".gpkg");
  writeLayer(r.temporary, r.product.file, toLayer(cells, centres), {FieldType::Integer});
  r.product.facts = {{centres ? "points" : "cells", cells.shapes.size()}, {"size", cells.size}};
  return r.finish();
}

}  // namespace

PlannedCells plannedCells(const Study& study, const Json& step, const Progress& progress) {
  requireFields(stepKind("cells"), step);
  StepRun r(study, step, progress, nullptr);
  return laid(r);
}

namespace steps {
extern const StepKind cells{
    "cells",
    "Squares or hexagons over an area, to be read or summarised in",
    {{"over", Holds::Layer, true, "A scene or a product to lay them over"},
     {"form",
      Holds::Text,
      true,
      "What they are; pixels: those that have a value",
      {"squares", "hexagons", "pixels"}},
     {"size", Holds::Number, false, "From side to side, in the unit of the system"},
     {"count", Holds::Whole, false, "Or about so many"},
     {"inside", Holds::Outline, false, "Only those that overlap it"},
     {"what", Holds::Text, false, "The cells, or points in their centres", {"cells", "centres"}}},
    &runCells};
}
}  // namespace zp
