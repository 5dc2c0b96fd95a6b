#include "mapping/segments.h"

#include "feature/feature_kind.h"
#include "study/steps/feature_lines.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runSegments(StepRun& r) {
  const Scope scope = r.scope();
  const Scene& scene = scope.scenes[0].scene;
  FeatureReader reader(scope, makeFeatures(featureLines(r.step(), scene), scope));
  if (const auto inside = r.inside(scope.grid.crs)) reader.keepInside(*inside);
  r.begin(ProductKind::Scene, ".tif");
  const Segments found = makeSegments(scope, reader, r.step().value("settings", Json::object()),
                                      r.temporary, r.progress());
  r.product.facts["segments"] = found.count;
  r.product.facts["segmented"] = found.pixels;
  return r.finishScene(scene);
}

}  // namespace

namespace steps {
extern const StepKind segments{
    "segments",
    "A scene cut into segments of like pixels, with their means, spreads, size and shape",
    {{"scene", Holds::Scene, true, "What is cut, and whose features need no name"},
     {"features", Holds::Texts, false,
      "What pixels are alike in, such as band(nir), index(ndvi); all bands when left out"},
     {"bands", Holds::Indices, false, "Instead of features: numbers of bands, from 0"},
     {"with", Holds::Named, false, "Other scenes and products that the features name"},
     {"settings", Holds::Settings, false, "pixels and compactness; the usual ones when left out"},
     {"inside", Holds::Outline, false, "To cut to"}},
    &runSegments};
}
}  // namespace zp
