#include <fmt/format.h>

#include "arguments.h"
#include "base/text.h"
#include "calls.h"
#include "feature/feature_kind.h"
#include "file_step.h"
#include "index/import_classes.h"
#include "scene/make_scene.h"
#include "wrong_call.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

struct ImportArguments {
  SceneArguments scene;
  OutputArguments output;
  std::string bands, type = "float32", legend, match, field, like;
  std::optional<double> scale, offset;  // as it is written
};

CodeMatch matchFrom(const ImportArguments& a,
                    const std::vector<std::pair<std::string, std::string>>& theirs,
                    const Legend& legend) {
  if (a.match.empty()) return suggestMatch(theirs, legend);
  CodeMatch match;
  for (const auto& [code, ours] : pairsFrom("--match", a.match))
    argument("--match",
             [&, code = code, ours = ours] { match[code] = classCode(ours, "--match"); });
  return match;
}

/// A class map made elsewhere, its codes matched with a legend of ours.
Json importClassMap(const ImportArguments& a, const Progress& progress) {
  const Legend legend = readLegend(a.legend);
  if (a.field.empty() && (!a.like.empty() || fileOfLayer(a.scene.scene) != a.scene.scene))
    throw CLI::ValidationError(
        "import", "polygons need --like RASTER for the grid and --class-field FIELD for the class");
  Outputs outputs(a.output.replace);
  const auto file = outputs.add(a.output.out, {fileOfLayer(a.scene.scene), a.legend});
  const auto theirs = a.field.empty() ? classesIn(a.scene.scene, progress.part(0, 0.3))
                                      : classesIn(readLayer(a.scene.scene), a.field);
  const auto match = matchFrom(a, theirs, legend);
  FileStep step("import-classes");
  step.legend(legend);
  step["file"] = a.scene.scene;
  step["match"] = match;
  if (!a.field.empty()) {
    step["field"] = a.field;
    step.scene("scene", layerScene(a.like, "", ValueState::Unknown));
  }
  const auto made = step.run({a.output.out, file}, progress.part(0.3, 1));
  outputs.commit();
  Json matched = Json::object();
  for (const auto& [code, ours] : match) matched[code] = ours;
  std::vector<std::string> left;
  for (const auto& [code, name] : theirs)
    if (match.count(code) == 0) left.push_back(code);
  Json warnings = Json::array();
  if (!left.empty())
    warnings.push_back(fmt::format(
        "No class of the legend has {}; there is no data there now. Match with --match.",
        listed(left)));
  return {{"match", matched},
          {"left", left},
          {"warnings", warnings},
          {"classes", made.facts.at("classes")},
          {"outputs", names(outputs)}};
}

/// Bands of a scene as one file, with their roles and the state of their values.
Json importBands(const ImportArguments& a, const Progress& progress) {
  const Scene scene = a.scene.open();
  const auto bands = bandsNamed(a.bands, scene);
  // Whole numbers are written as they were read, where nothing else is said.
  const auto& as = scene.bands.at(bands.at(0)).conversion;
  argument("--type", [&] { numberTypeFrom(a.type); });
  FileStep step("stack");
  step.scene("scene", scene);
  for (const size_t b : bands) step["bands"].push_back({{"scene", step["scene"]}, {"band", b}});
  step["type"] = a.type;
  step["scale"] = a.scale.value_or(as.scale);
  step["offset"] = a.offset.value_or(as.offset);
  Outputs outputs(a.output.replace);
  const auto file = outputs.add(a.output.out, filesOf(scene));
  const auto lost = step.run({a.output.out, file}, progress).facts.at("lost").get<size_t>();
  outputs.commit();
  Json facts = factsOf(a.output.out, outputs);
  facts["lost"] = lost;
  facts["warnings"] = Json::array();
  if (lost > 0)
    facts["warnings"].push_back(
        fmt::format("{} values do not fit {} with this scale and offset and became no data; "
                    "choose others with --type, --store-scale and --store-offset.",
                    lost, a.type));
  return facts;
}

}  // namespace

namespace calls {

Call import(CLI::App& app) {
  auto* call = app.add_subcommand(
      "import", "Bring bands together as one file, or a class map made elsewhere");
  auto a = std::make_shared<ImportArguments>();
  a->scene.addTo(*call);
  a->output.addTo(*call, "GeoTIFF to write");
  call->add_option("--bands", a->bands, "Band numbers, such as 1,2,5; all by default");
  call->add_option("--type", a->type, "Number type: byte, uint16, int16 or float32");
  call->add_option("--store-scale", a->scale,
                   "Of the whole numbers written: stored x scale + offset is the value; as read by "
                   "default");
  call->add_option("--store-offset", a->offset, "See --store-scale");
  auto* legend =
      call->add_option("--legend", a->legend, "A legend: what is brought in is a class map");
  call->add_option("--match", a->match, "Codes as theirs=ours; by name, then by code, by default")
      ->needs(legend);
  auto* like = call->add_option("--like", a->like, "Raster whose grid polygons are brought onto");
  call->add_option("--class-field", a->field, "Field of a vector layer that holds the class")
      ->needs(legend)
      ->needs(like);
  return {call, [a](const Progress& progress) {
            return a->legend.empty() ? importBands(*a, progress) : importClassMap(*a, progress);
          }};
}

}  // namespace calls
}  // namespace zp
