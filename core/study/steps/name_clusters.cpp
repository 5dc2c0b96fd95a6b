#include "base/error.h"
#include "base/outputs.h"
#include "index/import_classes.h"
#include "mapping/combine_maps.h"
#include "study/steps/step_run.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

/// Named before the clusters were found anew, a name would go to another group of pixels.
void requireSame(const Json& step, const Product& clusters) {
  if (!step.contains("sizes")) return;
  Json now = Json::array();
  for (const auto& c : clusters.facts.value("clusters", Json::array()))
    now.push_back(c.at("pixels"));
  if (now != step["sizes"])
    throw Error("“{}” has other clusters than those that were named; name them again.",
                clusters.name);
}

/// Those that get a class; the rest is left out.
CodeMatch namedIn(const Json& step) {
  CodeMatch match;
  for (const auto& [cluster, code] : step.at("names").items())
    if (code != 0) match[cluster] = code;
  if (match.empty()) throw Error("No cluster has a class yet; give one or more a class first.");
  return match;
}

/// The classes of the legend that some cluster has.
Legend legendOfNamed(const CodeMatch& match, const Legend& legend) {
  Legend named;
  for (const auto& c : legend.classes)
    for (const auto& [cluster, code] : match)
      if (code == c.code && named.find(code) == nullptr) named.add(c);
  for (const auto& [cluster, code] : match)
    if (named.find(code) == nullptr)
      throw Error("The legend has no class {}, which cluster {} has; choose another.", code,
                  cluster);
  return named;
}

Product runNameClusters(StepRun& r) {
  const Product& clusters = r.source("clusters");
  requireSame(r.step(), clusters);
  const CodeMatch match = namedIn(r.step());
  const Legend legend = legendOfNamed(match, r.study().legend);
  r.begin(ProductKind::ClassMap, ".tif");
  const auto kept = r.keptIn(clusters.step);
  Outputs aside(true);
  const auto named = kept ? aside.add(fs::path(r.temporary).concat(".named.tif")) : r.temporary;
  importClasses(clusters.file, match, legend, named, r.progress().part(0, 0.6));
  if (kept)
    combineMaps({*kept, {named}}, r.temporary, r.progress().part(0.6, 0.8),
                RasterFile(named).grid());
  r.product.date = clusters.date;
  r.product.facts["named"] = match.size();
  r.product.facts["scene"] = clusters.facts.value("scene", "");
  return r.finishClassMap(r.progress().part(0.8, 1), legend);
}

}  // namespace

namespace steps {
extern const StepKind nameClusters{
    "name-clusters",
    "A class map from clusters, several of which may have the same class",
    {{"clusters", Holds::Product, true, "Whose clusters are named"},
     {"names", Holds::Codes, true, "Cluster → class of the legend; 0 or not named: left out"},
     {"sizes", Holds::Indices, false, "Pixels of each cluster when it was named, as a safeguard"}},
    &runNameClusters};
}
}  // namespace zp
