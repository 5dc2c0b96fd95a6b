#include "arguments.h"
#include "calls.h"
#include "feature/feature_kind.h"
#include "file_step.h"
#include "wrong_call.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

/// A scene of some of its bands, in the order given.
void keepBands(Scene& scene, const std::vector<size_t>& bands) {
  std::vector<SceneBand> kept;
  for (const size_t b : bands) kept.push_back(scene.bands[b]);
  // The grid stays where one of them has it, else it is that of the first.
  const auto lies = [&](const SceneBand& b) {
    return RasterFile(b.file).grid().moved(scene.shift);
  };
  scene.gridBand = 0;
  for (size_t i = 0; i < kept.size(); ++i)
    if (lies(kept[i]).sameAs(scene.grid)) {
      scene.gridBand = i;
      break;
    }
  scene.grid = lies(kept[scene.gridBand]);
  scene.bands = std::move(kept);
}

}  // namespace

namespace calls {

Call composite(CLI::App& app) {
  struct Arguments {
    std::vector<std::string> scenes;
    std::string how = "median", bands;
    SceneArguments reading;
    OutputArguments output;
  };
  auto* call = app.add_subcommand(
      "composite", "One scene out of several: median or greenest over dates, or joined");
  auto a = std::make_shared<Arguments>();
  call->add_option("SCENES", a->scenes, "Two or more scenes; the result lies on the first's grid")
      ->required();
  call->add_option("--how", a->how, "median, greenest (highest vegetation index) or join (mosaic)")
      ->check(oneOf("way to combine", {"median", "greenest", "join"}));
  a->reading.addReadingTo(*call);
  call->add_option("--bands", a->bands, "Band numbers to combine, such as 1,2,5; all by default");
  a->output.addTo(*call, "GeoTIFF to write");
  return {call, [a](const Progress& progress) {
            std::vector<Scene> scenes;
            std::vector<fs::path> inputs;
            for (const auto& path : a->scenes) {
              scenes.push_back(a->reading.open(path));
              keepBands(scenes.back(), bandsNamed(a->bands, scenes.back()));
              for (const auto& f : filesOf(scenes.back())) inputs.push_back(f);
            }
            const bool join = a->how == "join";
            FileStep step(join ? "join" : "composite");
            step.scenes("scenes", scenes);
            if (!join) step["how"] = a->how;
            Outputs outputs(a->output.replace);
            step.run({a->output.out, outputs.add(a->output.out, inputs)}, progress);
            outputs.commit();
            return factsOf(a->output.out, outputs);
          }};
}

}  // namespace calls
}  // namespace zp
