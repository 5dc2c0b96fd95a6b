#include <limits>

#include "arguments.h"
#include "calls.h"
#include "file_step.h"
#include "sampling/readings.h"
#include "wrong_call.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

struct PointsArguments {
  std::string plan, over, inside;
  size_t count = 0, perClass = 0;
  double apart = 0;
  uint64_t seed = 1;
  bool withClass = false;
  OutputArguments output;
};

Json runPoints(const PointsArguments& a, const Progress& progress) {
  const auto over = readingSource(a.over);
  std::vector<fs::path> inputs{over.file};
  if (!a.inside.empty()) inputs.push_back(fileOfLayer(a.inside));
  FileStep step("points");
  step.product("over", over.file);
  if (over.band > 0) step["band"] = over.band - 1;
  step["plan"] = a.plan;
  step["count"] = a.plan == "stratified" ? a.perClass : a.count;
  step["seed"] = a.seed;
  if (a.apart > 0) step["apart"] = a.apart;
  if (a.withClass) step["fields"] = "class";
  step.inside(a.inside);
  Outputs outputs(a.output.replace);
  const auto made = step.run({a.output.out, outputs.add(a.output.out, inputs)}, progress);
  outputs.commit();
  return Json{{"points", made.facts.at("points")},
              {"per_class", made.facts.value("per_class", Json(Json::value_t::array))},
              {"outputs", names(outputs)}};
}

}  // namespace

namespace calls {

Call points(CLI::App& app) {
  auto* call = app.add_subcommand("points", "Place points over a raster");
  auto a = std::make_shared<PointsArguments>();
  call->add_option("--plan", a->plan, "random or stratified (per class of a class map)")
      ->required()
      ->check(oneOf("plan", {"random", "stratified"}));
  call->add_option("--over", a->over, "Raster to place points on: F.tif or F.tif:BAND")->required();
  call->add_option("--inside", a->inside, "Polygons: FILE or FILE:LAYER");
  auto* count = call->add_option("--count", a->count, "Points in all (random)")
                    ->check(wholeNumber(1, 100'000'000));
  call->add_option("--per-class", a->perClass, "Points in each class (stratified)")
      ->check(wholeNumber(1, 100'000'000))
      ->excludes(count);
  call->add_option("--apart", a->apart, "Smallest spacing, in the unit of the raster's system")
      ->check(numberAbove(0));
  call->add_option("--seed", a->seed, "Seed of the random numbers")
      ->required()
      ->check(wholeNumber(0, std::numeric_limits<long long>::max()));
  call->add_flag("--with-class", a->withClass, "Write the class of the map too");
  a->output.addTo(*call, "Vector file to write (.gpkg, .geojson, .csv)");
  call->callback([a] {
    const bool stratified = a->plan == "stratified";
    if (stratified && a->perClass == 0) throw CLI::RequiredError("--per-class");
    if (!stratified && a->count == 0) throw CLI::RequiredError("--count");
    if (!stratified && a->withClass)
      throw CLI::ValidationError("--with-class", "goes with --plan stratified");
  });
  return {call, [a](const Progress& progress) { return runPoints(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
