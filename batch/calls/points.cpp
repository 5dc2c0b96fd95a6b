#include <fmt/format.h>

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
  std::string plan, over, inside, split = "equal", system, topUp;
  size_t count = 0, perClass = 0, across = 0, down = 0, blocks = 0;
  std::vector<std::string> given;
  std::vector<int> leftOut;
  std::vector<double> within;
  int only = 0;
  double spacing = 0, blockSize = 0, apart = 0, edge = 0;
  uint64_t seed = 1;
  bool staggered = false, fewer = false, withClass = false;
  OutputArguments output;
};

/// "CODE=N" each.
Json pointsByClass(const std::vector<std::string>& given) {
  Json counts = Json::object();
  for (const auto& one : given) {
    const auto equals = one.find('=');
    const auto whole = [](const std::string& text) {
      return !text.empty() && text.size() < 9 &&
             text.find_first_not_of("0123456789") == std::string::npos;
    };
    if (equals == std::string::npos || !whole(one.substr(0, equals)) ||
        !whole(one.substr(equals + 1)))
      throw CLI::ValidationError("--given", fmt::format("“{}” is not CODE=POINTS", one));
    counts[one.substr(0, equals)] = std::stoul(one.substr(equals + 1));
  }
  return counts;
}

void setSizes(FileStep& step, const PointsArguments& a) {
  if (a.plan == "stratified") {
    step["split"] = a.given.empty() ? a.split : "given";
    if (!a.given.empty()) step["given"] = pointsByClass(a.given);
    if (!a.leftOut.empty()) step["left_out"] = a.leftOut;
  }
  if (a.plan == "systematic") {
    if (a.spacing > 0) step["spacing"] = a.spacing;
    if (a.across > 0) step["across"] = a.across;
    if (a.down > 0) step["down"] = a.down;
    if (a.staggered) step["form"] = "staggered";
  } else {
    step["count"] = a.plan == "stratified" && a.split != "proportional" ? a.perClass : a.count;
  }
  if (a.plan == "blocks") {
    step["block_size"] = a.blockSize;
    step["blocks"] = a.blocks;
  }
}

void setArea(FileStep& step, const PointsArguments& a) {
  step.inside(a.inside);
  if (a.only > 0) step["class"] = a.only;
  if (!a.within.empty()) step["within"] = a.within;
  if (a.apart > 0) step["apart"] = a.apart;
  if (a.edge > 0) step["edge"] = a.edge;
}

Json runPoints(const PointsArguments& a, const Progress& progress) {
  const auto over = readingSource(a.over);
  std::vector<fs::path> inputs{over.file};
  if (!a.inside.empty()) inputs.push_back(fileOfLayer(a.inside));
  FileStep step("points");
  step.product("over", over.file);
  if (over.band > 0) step["band"] = over.band - 1;
  step["plan"] = a.plan;
  step["seed"] = a.seed;
  setSizes(step, a);
  setArea(step, a);
  if (a.fewer) step["too_few"] = "take";
  if (a.withClass) step["fields"] = "class";
  if (!a.system.empty()) step["system"] = a.system;
  if (!a.topUp.empty()) {
    step.product("tops_up", a.topUp);
    inputs.push_back(a.topUp);
  }
  Outputs outputs(a.output.replace);
  const auto made = step.run({a.output.out, outputs.add(a.output.out, inputs)}, progress);
  outputs.commit();
  Json json = made.facts;
  if (!json.contains("per_class")) json["per_class"] = Json::array();
  json["outputs"] = names(outputs);
  return json;
}

void addPlans(CLI::App& call, PointsArguments& a) {
  const auto points = wholeNumber(1, 10'000'000);
  call.add_option("--plan", a.plan,
                  "random, stratified (per class of a class map), systematic (a lattice with a "
                  "random start) or blocks (some squares drawn first)")
      ->required()
      ->check(oneOf("plan", {"random", "stratified", "systematic", "blocks"}));
  call.add_option("--count", a.count,
                  "Points in all (random, or stratified in proportion); of blocks each time that "
                  "one is drawn")
      ->check(points);
  auto* each = call.add_option("--per-class", a.perClass, "Points in each class (stratified)")
                   ->check(points);
  call.add_option("--split", a.split,
                  "Stratified: equal (--per-class) or proportional to the areas (--count)")
      ->check(oneOf("split", {"equal", "proportional"}))
      ->capture_default_str();
  call.add_option("--given", a.given, "Stratified: points of a class, as CODE=POINTS")
      ->allow_extra_args(false)
      ->excludes(each);
  call.add_option("--leave-out", a.leftOut, "Stratified: classes that get none")->delimiter(',');
  auto* spacing = call.add_option("--spacing", a.spacing, "Systematic: from point to point")
                      ->check(numberAbove(0));
  auto* across = call.add_option("--across", a.across, "Systematic: so many from left to right")
                     ->check(points)
                     ->excludes(spacing);
  auto* down =
      call.add_option("--down", a.down, "and from top to bottom")->check(points)->needs(across);
  across->needs(down);
  call.add_flag("--staggered", a.staggered,
                "Systematic: every other row is moved by half a spacing");
  call.add_option("--block-size", a.blockSize, "Blocks: from side to side")->check(numberAbove(0));
  call.add_option("--blocks", a.blocks, "Blocks: how many times one is drawn")->check(points);
}

void addArea(CLI::App& call, PointsArguments& a) {
  call.add_option("--over", a.over, "Raster to place points on: F.tif or F.tif:BAND")->required();
  call.add_option("--inside", a.inside, "Polygons: FILE or FILE:LAYER");
  call.add_option("--within", a.within, "A rectangle in the raster's system: LEFT BOTTOM RIGHT TOP")
      ->expected(4);
  call.add_option("--class", a.only, "Only in this class of the map (not stratified)")
      ->check(wholeNumber(1, 65535));
  call.add_option("--apart", a.apart, "Smallest spacing, in the unit of the raster's system")
      ->check(numberAbove(0));
  call.add_option("--edge", a.edge, "Least distance from the edge of the area, in the same unit")
      ->check(numberAbove(0));
}

void require(const PointsArguments& a) {
  const bool stratified = a.plan == "stratified", proportional = a.split == "proportional";
  if (stratified && !proportional && a.given.empty() && a.perClass == 0)
    throw CLI::RequiredError("--per-class");
  if (stratified && proportional && !a.given.empty())
    throw CLI::ValidationError("--given", "is instead of --split");
  const bool counted = a.plan == "random" || a.plan == "blocks" || (stratified && proportional);
  if (counted && a.count == 0) throw CLI::RequiredError("--count");
  if (a.plan == "systematic" && !(a.spacing > 0) && a.across == 0)
    throw CLI::RequiredError("--spacing, or --across and --down");
  if (a.plan == "blocks" && !(a.blockSize > 0)) throw CLI::RequiredError("--block-size");
  if (a.plan == "blocks" && a.blocks == 0) throw CLI::RequiredError("--blocks");
  pointsByClass(a.given);
  const auto only = [&](bool used, const char* option, const char* plan) {
    if (used && a.plan != plan)
      throw CLI::ValidationError(option, fmt::format("goes with --plan {}", plan));
  };
  only(a.perClass > 0, "--per-class", "stratified");
  only(a.withClass, "--with-class", "stratified");
  only(!a.given.empty(), "--given", "stratified");
  only(!a.leftOut.empty(), "--leave-out", "stratified");
  only(proportional, "--split", "stratified");
  only(a.spacing > 0, "--spacing", "systematic");
  only(a.across > 0, "--across", "systematic");
  only(a.staggered, "--staggered", "systematic");
  only(a.blockSize > 0, "--block-size", "blocks");
  only(a.blocks > 0, "--blocks", "blocks");
  if (stratified && a.only > 0) throw CLI::ValidationError("--class", "not with --plan stratified");
  if (a.plan == "systematic" && a.apart > 0)
    throw CLI::ValidationError("--apart", "the points of a lattice stand --spacing apart");
}

}  // namespace

namespace calls {

Call points(CLI::App& app) {
  auto* call = app.add_subcommand("points", "Place points over a raster");
  auto a = std::make_shared<PointsArguments>();
  addPlans(*call, *a);
  addArea(*call, *a);
  call->add_option("--seed", a->seed, "Seed of the random numbers")
      ->required()
      ->check(wholeNumber(0, std::numeric_limits<long long>::max()));
  call->add_flag("--fewer", a->fewer, "Where there is no room for all, take what there is");
  call->add_option("--top-up", a->topUp,
                   "Points that the same plan placed; they stay, and count among those asked for");
  call->add_option("--system", a->system,
                   "System of the points, such as EPSG:4326; without it that of the raster");
  call->add_flag("--with-class", a->withClass, "Write the class of the map too");
  a->output.addTo(*call, "Vector file to write (.gpkg, .geojson, .csv)");
  call->callback([a] { require(*a); });
  return {call, [a](const Progress& progress) { return runPoints(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
