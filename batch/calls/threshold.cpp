#include "index/threshold.h"

#include <fmt/format.h>

#include "arguments.h"
#include "base/text.h"
#include "calls.h"
#include "file_step.h"
#include "outline/class_polygons.h"
#include "sampling/readings.h"
#include "wrong_call.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

struct ThresholdArguments {
  std::string raster, at, names, polygons, keep;
  PolygonOptions shape;
  OutputArguments output;
};

std::vector<double> numbersFrom(const std::string& text) {
  std::vector<double> numbers;
  for (const auto& part : split(text, ',')) {
    const auto n = parseNumber(part);
    if (!n) throw CLI::ValidationError("--at", fmt::format("“{}” is not a number.", part));
    numbers.push_back(*n);
  }
  return numbers;
}

Legend legendFrom(const std::string& classes) {
  Legend legend;
  for (const auto& name : split(classes, ',')) {
    if (name.empty())
      throw CLI::ValidationError("--names", "A class has no name; give every class one.");
    for (const auto& c : legend.classes)
      if (c.name == name)
        throw CLI::ValidationError(
            "--names", fmt::format("Two classes are called “{}”; give each its own name.", name));
    legend.addMissing(legend.firstFreeCode(), name);
  }
  return legend;
}

/// The classes that become polygons, by their names; all when none is named.
std::map<int, std::string> keptOf(const Legend& legend, const std::string& named) {
  std::map<int, std::string> all, kept;
  std::vector<std::string> known;
  for (const auto& c : legend.classes) {
    all[c.code] = c.name;
    known.push_back(c.name);
  }
  if (named.empty()) return all;
  for (const auto& name : split(named, ',')) {
    const auto found = std::find(known.begin(), known.end(), name);
    if (found == known.end())
      throw CLI::ValidationError("--keep", fmt::format("There is no class “{}” to keep.{}", name,
                                                       didYouMean(name, known)));
    kept[legend.classes[static_cast<size_t>(found - known.begin())].code] = name;
  }
  return kept;
}

Json runThreshold(const ThresholdArguments& a, const Progress& progress) {
  const auto source = readingSource(a.raster);
  const int bands = RasterFile(source.file).bands();
  if (source.band == 0 && bands > 1)
    throw Error("“{}” has {} bands; name one as {}:BAND.", a.raster, bands, a.raster);
  const auto at = numbersFrom(a.at);
  const Legend legend = legendFrom(a.names);
  argument("--at", [&] { requireRising(at, legend); });
  const auto keep = keptOf(legend, a.keep);
  Outputs outputs(a.output.replace);
  const fs::path temporary = outputs.add(a.output.out, {source.file});
  fs::path vector;
  if (!a.polygons.empty()) vector = outputs.add(a.polygons, {source.file});
  FileStep step("threshold");
  step.product("product", source.file);
  step["band"] = std::max(1, source.band) - 1;
  step["at"] = at;
  step["classes"] = toJson(legend).at("classes");
  const auto made = step.run({a.output.out, temporary}, progress.part(0, 0.7));
  if (!vector.empty())
    writeLayer(vector, a.polygons, classPolygons(temporary, keep, progress.part(0.7, 1), a.shape),
               {FieldType::Integer, FieldType::Text, FieldType::Real});
  outputs.commit();
  return Json{{"classes", made.facts.at("classes")}, {"outputs", names(outputs)}};
}

}  // namespace

namespace calls {

Call threshold(CLI::App& app) {
  auto* call = app.add_subcommand("threshold", "Cut a raster into classes at rising thresholds");
  auto a = std::make_shared<ThresholdArguments>();
  call->add_option("RASTER", a->raster, "F.tif or F.tif:BAND")->required();
  call->add_option("--at", a->at, "Thresholds, rising, separated by commas")->required();
  call->add_option("--names", a->names, "Class names, one more than thresholds")->required();
  a->output.addTo(*call, "Class map to write");
  auto* polygons =
      call->add_option("--polygons", a->polygons, "Vector file for polygons of classes");
  call->add_option("--keep", a->keep, "Names of the classes that become polygons")->needs(polygons);
  call->add_option("--smallest", a->shape.smallest,
                   "Leave out polygons below so many square metres")
      ->needs(polygons)
      ->check(numberFrom(0));
  call->add_option("--smooth", a->shape.smoothing, "Cut the corners of polygons, so many rounds")
      ->needs(polygons)
      ->check(wholeNumber(0, 5));
  return {call, [a](const Progress& progress) { return runThreshold(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
