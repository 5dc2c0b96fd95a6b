#include "feature/feature_kind.h"
#include "mapping/cluster_map.h"
#include "study/steps/feature_lines.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runCluster(StepRun& r) {
  const Scope scope = r.scope();
  const Scene& scene = scope.scenes[0].scene;
  FeatureReader reader(scope, makeFeatures(featureLines(r.step(), scene), scope));
  if (const auto inside = r.inside(scope.grid.crs)) reader.keepInside(*inside);
  if (const auto kept = r.keptIn(r.step())) reader.keepRest(*kept);
  r.begin(ProductKind::Clusters, ".tif");
  ClusterModel model =
      findClusters(reader, clusterMethod(r.step().at("method")),
                   r.step().value("settings", Json::object()), r.progress().part(0, 0.5));
  makeClusterMap(reader, model, r.temporary, r.progress().part(0.5, 0.9));
  r.product.date = scene.date;
  r.product.facts = toJson(model);
  r.product.facts["scene"] = scene.name;
  return r.finishClassMap(r.progress().part(0.9, 1));
}

}  // namespace

namespace steps {
extern const StepKind cluster{
    "cluster",
    "Groups of pixels that are alike, found without training",
    {{"scene", Holds::Scene, true, "What is grouped, and whose features need no name"},
     {"features", Holds::Texts, false,
      "What pixels are alike in, such as band(nir), index(ndvi); all bands when left out"},
     {"bands", Holds::Indices, false, "Instead of features: numbers of bands, from 0"},
     {"with", Holds::Named, false, "Other scenes and products that the features name"},
     {"method", Holds::Text, true, "k-means or isodata"},
     {"settings", Holds::Settings, false, "Its parameters; the usual ones when left out"},
     {"kept", Holds::Product, false,
      "A class map: only what it leaves is grouped, and it is kept when the clusters are named"},
     {"kept_classes", Holds::Indices, false, "Of its classes those that stay; all when left out"},
     {"inside", Holds::Outline, false, "To cut to"}},
    &runCluster};
}
}  // namespace zp
