// Steps that make new scenes out of others.
#include <fmt/format.h>

#include "base/error.h"
#include "grid/raster_writer.h"
#include "radar/speckle.h"
#include "scene/combine.h"
#include "scene/dark_object.h"
#include "scene/normalise.h"
#include "study/making.h"

namespace zp {
namespace {

Making begin(const Study& study, const Json& step, const Product* into) {
  return Making(study, step, ProductKind::Scene, ".tif", into);
}

Product finish(Making& making, const Scene& like) {
  addOverviews(making.temporary, false);
  making.product.date = like.date;
  making.product.facts["pixels"] = {RasterFile(making.temporary).grid().width,
                                    RasterFile(making.temporary).grid().height};
  return making.finish();
}

Product stack(const Study& study, const Json& step, const Progress& progress, const Product* into) {
  Making making = begin(study, step, into);
  std::vector<Scene> scenes;
  scenes.reserve(step.at("bands").size());
  std::vector<BandSource> sources;
  SceneSpec spec;
  for (const auto& b : step.at("bands")) {
    const auto& s = needScene(study, b.at("scene"));
    making.uses(study, s.id);
    const auto number = b.at("band").get<size_t>();
    if (number >= s.scene.bands.size())
      throw Error("“{}” has no band {} any more; choose bands again.", s.scene.name, number + 1);
    scenes.push_back(s.scene);
    sources.push_back({&scenes.back(), number});
    spec.bands.push_back(s.scene.bands[number]);
    // In a stack of dates a band is known by its date, not by the role that all share.
    if (b.value("dated", false)) {
      spec.bands.back().name = spec.bands.back().role + " on " + s.scene.date.substr(0, 10);
      spec.bands.back().role.clear();
      spec.bands.back().wavelength = 0;
    }
  }
  if (scenes.empty()) throw Error("No band is chosen; choose one or more.");
  spec.state = scenes[0].state;
  spec.date = scenes[0].date;
  spec.type = numberTypeFrom(step.value("type", "float32"));
  spec.scale = step.value("scale", 1.0);
  spec.offset = step.value("offset", 0.0);
  making.product.facts["lost"] = stackBands(sources, spec, making.temporary, progress);
  return finish(making, scenes[0]);
}

template <class Combine>
Product fromScenes(const Study& study, const Json& step, const Product* into, Combine combine) {
  Making making = begin(study, step, into);
  const auto scenes = needScenes(study, step.at("scenes"));
  for (const auto& id : step["scenes"]) making.uses(study, id);
  combine(scenes, making.temporary);
  return finish(making, scenes.at(0));
}

Product join(const Study& study, const Json& step, const Progress& progress, const Product* into) {
  return fromScenes(study, step, into, [&](const auto& scenes, const auto& file) {
    joinScenes(scenes, file, progress);
  });
}

Product composite(const Study& study, const Json& step, const Progress& progress,
                  const Product* into) {
  const bool greenest = step.value("how", "median") == "greenest";
  return fromScenes(study, step, into, [&](const auto& scenes, const auto& file) {
    (greenest ? greenestOfDates : medianOfDates)(scenes, file, progress);
  });
}

Product sharpened(const Study& study, const Json& step, const Progress& progress,
                  const Product* into) {
  Making making = begin(study, step, into);
  const auto &s = needScene(study, step.at("scene")), &with = needScene(study, step.at("sharp"));
  making.uses(study, s.id);
  making.uses(study, with.id);
  const auto band = step.value("band", size_t{0});
  if (band >= with.scene.bands.size()) throw Error("The sharp band is gone; choose another.");
  std::vector<size_t> bands = step.value("bands", std::vector<size_t>());
  if (bands.empty())
    for (size_t b = 0; b < s.scene.bands.size(); ++b) bands.push_back(b);
  sharpen(
      s.scene, bands, with.scene, band,
      step.value("how", "gram-schmidt") == "brovey" ? Sharpening::Brovey : Sharpening::GramSchmidt,
      making.temporary, progress);
  making.product.facts["fit_for_classes"] = false;
  return finish(making, s.scene);
}

Product speckle(const Study& study, const Json& step, const Progress& progress,
                const Product* into) {
  Making making = begin(study, step, into);
  const auto& s = needScene(study, step.at("scene"));
  making.uses(study, s.id);
  SpeckleFilter f;
  f.kind =
      step.value("how", "lee") == "refined-lee" ? SpeckleFilter::RefinedLee : SpeckleFilter::Lee;
  f.window = step.value("window", 7);
  f.looks = step.value("looks", 4.0);
  filterSpeckle(s.scene, f, making.temporary, progress);
  return finish(making, s.scene);
}

Product haze(const Study& study, const Json& step, const Progress& progress, const Product* into) {
  Making making = begin(study, step, into);
  const auto& s = needScene(study, step.at("scene"));
  making.uses(study, s.id);
  DarkObject how;
  how.startBand = step.value("start", size_t{0});
  how.power = step.value("power", 2.0);
  how.darkValue = step.value("dark", 0.0);
  const auto subtracted = hazeOf(s.scene, how, progress.part(0, 0.4));
  making.product.facts["haze"] = numbers(subtracted);
  subtractHaze(s.scene, subtracted, making.temporary, progress.part(0.4, 1));
  return finish(making, s.scene);
}

Product normalised(const Study& study, const Json& step, const Progress& progress,
                   const Product* into) {
  Making making = begin(study, step, into);
  const auto &s = needScene(study, step.at("scene")), &to = needScene(study, step.at("reference"));
  making.uses(study, s.id);
  making.uses(study, to.id);
  const auto n = normalisationOf(s.scene, to.scene, progress.part(0, 0.5));
  making.product.facts["gain"] = numbers(n.gain);
  making.product.facts["offset"] = numbers(n.offset);
  making.product.facts["unchanged"] = n.unchanged;
  normalise(s.scene, n, making.temporary, progress.part(0.5, 1));
  return finish(making, s.scene);
}

}  // namespace

const std::map<std::string, Maker>& sceneMakers() {
  static const std::map<std::string, Maker> all{
      {"stack", &stack},     {"join", &join}, {"composite", &composite}, {"sharpen", &sharpened},
      {"speckle", &speckle}, {"haze", &haze}, {"normalise", &normalised}};
  return all;
}

}  // namespace zp
