#include <fmt/format.h>

#include "base/text.h"
#include "calls.h"
#include "feature_arguments.h"
#include "file_step.h"
#include "kept_arguments.h"
#include "mapping/cluster_method.h"
#include "wrong_call.h"

namespace zp {
namespace {

struct ClusterArguments {
  SceneArguments scene;
  FeatureArguments features;
  OutputArguments output;
  KeptArguments kept;
  std::string method, clusters, seed, inside;
  std::vector<std::string> settings;

  /// --clusters and --seed are parameters as the others.
  Json settingsOf(const ClusterMethod& how) const {
    auto pairs = settings;
    if (!clusters.empty()) pairs.push_back("clusters=" + clusters);
    if (!seed.empty()) pairs.push_back("seed=" + seed);
    return settingsFromPairs(pairs, how.parameters, how.title);
  }
};

Json runCluster(const ClusterArguments& a, const Progress& progress) {
  const Scope scope = a.scene.scope();
  Outputs outputs(a.output.replace);
  auto inputs = a.scene.files(scope);
  if (!a.inside.empty()) inputs.push_back(fileOfLayer(a.inside));
  FileStep step("cluster");
  a.kept.addTo(step, inputs);
  const auto file = outputs.add(a.output.out, inputs);
  step.scope(scope);
  step.inside(a.inside);
  step["features"] = a.features.lines(scope);
  step["method"] = a.method;
  step["settings"] = a.settingsOf(clusterMethod(a.method));
  const auto made = step.run({a.output.out, file}, progress);
  outputs.commit();
  Json result = {{"method", a.method}, {"outputs", names(outputs)}};
  for (const char* key :
       {"clusters", "within_sum_of_squares", "iterations", "features", "asked", "found_from"})
    result[key] = made.facts.at(key);
  const size_t found = result["clusters"].size();
  result["warnings"] = Json::array();
  if (a.method == "k-means" && found < result["asked"])
    result["warnings"].push_back(
        fmt::format("{} clusters instead of {}: there are no more groups of different pixels.",
                    found, result["asked"].get<size_t>()));
  return result;
}

}  // namespace

namespace calls {

Call cluster(CLI::App& app) {
  auto* call = app.add_subcommand("cluster", "Clustered map of a scene, without training");
  auto a = std::make_shared<ClusterArguments>();
  a->scene.addTo(*call, true);
  a->features.addTo(*call);
  a->output.addTo(*call, "Clusters to write, coded by falling size");
  std::vector<std::string> ids;
  std::vector<const std::vector<Parameter>*> parameters;
  for (const auto* m : clusterMethods()) {
    ids.push_back(m->id);
    parameters.push_back(&m->parameters);
  }
  call->add_option("--method", a->method, fmt::format("One of {}", listed(ids)))
      ->required()
      ->check(offering(ids));
  call->add_option("--clusters", a->clusters, "How many; 12 from the start");
  call->add_option("--seed", a->seed, "The same seed gives the same clusters");
  call->add_option("--set", a->settings, settingsHelp(parameters, "methods"));
  a->kept.addTo(*call);
  call->add_option("--inside", a->inside, "Polygons to cut to: FILE or FILE:LAYER");
  call->callback([a] {
    a->scene.require("cluster");
    argument("--method", [&] { clusterMethod(a->method); });
    const ClusterMethod& how = clusterMethod(a->method);
    argument("--set", [&] { settingsFrom(how.parameters, a->settingsOf(how), how.title); });
  });
  return {call, [a](const Progress& progress) { return runCluster(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
