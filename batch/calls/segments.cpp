#include "mapping/segments.h"

#include "calls.h"
#include "feature_arguments.h"
#include "file_step.h"

namespace zp {
namespace {

struct SegmentsArguments {
  SceneArguments scene;
  FeatureArguments features;
  OutputArguments output;
  std::string pixels, compactness, inside;

  Json settings() const {
    std::vector<std::string> pairs;
    if (!pixels.empty()) pairs.push_back("pixels=" + pixels);
    if (!compactness.empty()) pairs.push_back("compactness=" + compactness);
    return settingsFromPairs(pairs, segmentParameters(), "Segments");
  }
};

Json runSegments(const SegmentsArguments& a, const Progress& progress) {
  const Scope scope = a.scene.scope();
  Outputs outputs(a.output.replace);
  auto inputs = a.scene.files(scope);
  if (!a.inside.empty()) inputs.push_back(fileOfLayer(a.inside));
  const auto file = outputs.add(a.output.out, inputs);
  FileStep step("segments");
  step.scope(scope);
  step.inside(a.inside);
  step["features"] = a.features.lines(scope);
  step["settings"] = a.settings();
  const auto made = step.run({a.output.out, file}, progress);
  outputs.commit();
  Json result = factsOf(a.output.out, outputs);
  result["segments"] = made.facts.at("segments");
  result["segmented"] = made.facts.at("segmented");
  return result;
}

}  // namespace

namespace calls {

Call segments(CLI::App& app) {
  auto* call = app.add_subcommand(
      "segments", "Scene of segments of like pixels: their means, spreads, size and shape");
  auto a = std::make_shared<SegmentsArguments>();
  a->scene.addTo(*call, true);
  a->features.addTo(*call);
  a->output.addTo(*call, "GeoTIFF to write, a scene to map from");
  call->add_option("--pixels", a->pixels, "About how many pixels a segment has; 25 from the start");
  call->add_option("--compactness", a->compactness,
                   "Small to follow winding edges, large for even pieces; 0.4 from the start");
  call->add_option("--inside", a->inside, "Polygons to cut to: FILE or FILE:LAYER");
  call->callback([a] {
    a->scene.require("segments");
    argument("--pixels", [&] { settingsFrom(segmentParameters(), a->settings(), "Segments"); });
  });
  return {call, [a](const Progress& progress) { return runSegments(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
