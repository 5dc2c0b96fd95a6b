#include <fmt/format.h>

#include <cmath>

#include "base/error.h"
#include "study/planned.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

constexpr const char* kByHand = "by-hand";
// What may differ between a plan and the one that tops it up.
constexpr const char* kFreeToDiffer[] = {"name",   "count",  "split",   "given",  "left_out",
                                         "fields", "system", "tops_up", "too_few"};

double lengthOf(const Json& step, const char* field, const char* what) {
  const double length = step.contains(field) ? step[field].get<double>() : 0;
  if (!(length >= 0)) throw Error("{} is {}; give 0 or more.", what, length);
  return length;
}

PlanKind planKind(const std::string& id) {
  if (id == "stratified") return PlanKind::Stratified;
  if (id == "systematic") return PlanKind::Systematic;
  return id == "blocks" ? PlanKind::Blocks : PlanKind::Random;
}

int classCode(const std::string& text) {
  size_t end = 0;
  int code = 0;
  try {
    code = std::stoi(text, &end);
  } catch (const std::exception&) {
  }
  if (end != text.size() || code < 1) throw Error("“{}” is no class code.", text);
  return code;
}

void setClasses(SamplingPlan& plan, const Json& step) {
  const std::string split = step.value("split", "equal");
  plan.split = split == "given"          ? Split::Given
               : split == "proportional" ? Split::Proportional
                                         : Split::Equal;
  if (step.contains("given"))
    for (const auto& [code, n] : step["given"].items()) plan.given[classCode(code)] = n;
  if (plan.split == Split::Given && plan.given.empty())
    throw Error("Say how many points each class gets.");
  for (const int code : step.value("left_out", std::vector<int>())) plan.leftOut.insert(code);
  if (step.contains("class")) plan.only = step["class"].get<int>();
}

SamplingPlan planOf(const Json& step) {
  SamplingPlan plan;
  plan.kind = planKind(step.at("plan"));
  plan.count = step.value("count", size_t{0});
  plan.seed = step.value("seed", uint64_t{1});
  if (step.contains("apart")) plan.apart = lengthOf(step, "apart", "The smallest spacing");
  setClasses(plan, step);
  plan.spacing = lengthOf(step, "spacing", "The spacing");
  plan.across = step.value("across", size_t{0});
  plan.down = step.value("down", size_t{0});
  plan.staggered = step.value("form", "square") == "staggered";
  plan.blockSize = lengthOf(step, "block_size", "The size of the blocks");
  plan.blocks = step.value("blocks", size_t{0});
  plan.edge = lengthOf(step, "edge", "The distance from the edge");
  plan.takeFewer = step.value("too_few", "refuse") == "take";
  if (step.contains("within")) {
    const auto sides = step["within"].get<std::vector<double>>();
    if (sides.size() != 4 || !(sides[0] < sides[2]) || !(sides[1] < sides[3]))
      throw Error("The rectangle is none; give its left, bottom, right and top.");
    plan.within = Extent{sides[0], sides[1], sides[2], sides[3]};
  }
  return plan;
}

/// Error when a plan other than this one placed the points that it is to top up.
void requireSamePlan(const Product& points, Json now) {
  Json then = points.step;
  if (then.empty()) return;  // a file from elsewhere
  if (then.value("do", "") != "points" || then.value("plan", "") == kByHand)
    throw Error("“{}” was not placed by a plan, so it cannot be topped up by one.", points.name);
  for (const char* field : kFreeToDiffer)
    for (Json* step : {&now, &then}) step->erase(field);
  if (now["plan"] == "random" || now["plan"] == "stratified")
    for (Json* step : {&now, &then}) step->erase("seed");
  if (now != then)
    throw Error(
        "“{}” was placed by another plan; only the numbers of points may differ when it is topped "
        "up.",
        points.name);
}

/// Those that are topped up, in a system.
std::vector<Place> before(StepRun& r, const std::string& crs) {
  if (!r.step().contains("tops_up")) return {};
  const Product& points = r.source("tops_up");
  requireSamePlan(points, r.step());
  const Layer layer = readLayer(points.file.string());
  auto places = placesOf(layer);
  const CrsChange change(layer.crs, crs);
  for (auto& p : places) change.apply(p);
  return places;
}

/// As they are now: points that are drawn stay where they are when training changes.
std::vector<Shape> trainingShapes(const Study& study, const std::string& crs) {
  std::vector<Shape> shapes;
  if (study.training.empty()) return shapes;
  for (auto& area : trainingIn(study, crs)) shapes.push_back(std::move(area.shape));
  return shapes;
}

struct GroundUnder {
  const Scene* scene = nullptr;
  std::filesystem::path file;
  Grid grid;
};

GroundUnder groundUnder(StepRun& r) {
  const std::string over = r.step().at("over");
  if (r.study().scene(over) == nullptr) {
    const auto& file = r.sourceOf(over).file;
    return {nullptr, file, RasterFile(file).grid()};
  }
  const Scene& scene = r.sceneOf(over);
  return {&scene, {}, scene.grid};
}

PlannedPoints byHand(const Json& step, const Grid& grid) {
  PlannedPoints points;
  points.crs = grid.crs;
  if (grid.crs.empty()) throw Error("Without a reference system the points would lie nowhere.");
  for (const auto& at : step.value("places", Json::array()))
    points.points.push_back({{at[0].get<double>(), at[1].get<double>()}});
  if (points.points.empty()) throw Error("No point has been put down yet.");
  return points;
}

PlannedPoints placed(StepRun& r, const GroundUnder& ground) {
  if (r.step().at("plan") == kByHand) return byHand(r.step(), ground.grid);
  auto plan = planOf(r.step());
  if (r.step().contains("avoid")) plan.avoid = trainingShapes(r.study(), ground.grid.crs);
  const auto inside = r.inside(ground.grid.crs);
  const Layer* polygons = inside ? &*inside : nullptr;
  const auto already = before(r, ground.grid.crs);
  if (ground.scene != nullptr)
    return placePoints(*ground.scene, plan, polygons, r.progress(), already);
  const int band = r.step().contains("band") ? r.step()["band"].get<int>() + 1 : 0;
  return placePoints(ground.file, plan, polygons, r.progress(), band, already);
}

Json perClass(const PlannedPoints& points) {
  Json list = Json::array();
  for (const auto& [code, n] : points.perClass) {
    const auto* known = points.legend.find(code);
    list.push_back({{"code", code},
                    {"name", known != nullptr ? known->name : fmt::format("class {}", code)},
                    {"points", n}});
    if (points.tooFew.count(code) > 0) list.back()["asked"] = points.tooFew.at(code);
  }
  return list;
}

Json strataOf(const PlannedPoints& points) {
  Json list = Json::array();
  for (const auto& [code, area] : points.strata)
    list.push_back({{"code", code}, {"area_m2", area}});
  return list;
}

Json factsOf(const PlannedPoints& points, const Grid& grid) {
  Json facts = {{"points", points.points.size()}};
  if (!points.perClass.empty()) facts["per_class"] = perClass(points);
  if (!points.strata.empty()) facts["strata"] = strataOf(points);
  if (!points.blocks.empty()) facts["blocks"] = points.blocks.size();
  const Spread spread = spreadOf(points.points, grid);
  if (std::isfinite(spread.nearest)) facts["nearest"] = spread.nearest;
  if (spread.sharing > 0) facts["sharing_pixels"] = spread.sharing;
  return facts;
}

Product runPoints(StepRun& r) {
  const GroundUnder ground = groundUnder(r);
  auto points = placed(r, ground);
  r.begin(ProductKind::Points, ".gpkg");
  r.product.facts = factsOf(points, ground.grid);
  if (r.step().contains("system"))
    points = broughtTo(std::move(points), crsFrom(r.step()["system"]));
  const bool withClass = r.step().value("fields", "id") == "class";
  std::vector<FieldType> types{FieldType::Integer};
  if (!points.blocks.empty()) types.push_back(FieldType::Integer);
  if (withClass) types.insert(types.end(), {FieldType::Integer, FieldType::Text});
  writeLayer(r.temporary, r.product.file, toLayer(points, withClass), types);
  return r.finish();
}

}  // namespace

PointsPreview plannedPoints(const Study& study, const Json& step, const Progress& progress) {
  requireFields(stepKind("points"), step);
  StepRun r(study, step, progress, nullptr);
  const GroundUnder ground = groundUnder(r);
  PointsPreview preview{placed(r, ground), {}, 0};
  preview.spread = spreadOf(preview.points.points, ground.grid);
  preview.pixel = std::min(ground.grid.pixelWidth(), ground.grid.pixelHeight());
  return preview;
}

namespace steps {
extern const StepKind points{
    "points",
    "Points placed by a plan, or by hand",
    {{"over", Holds::Layer, true, "A scene or a class map to place them over"},
     {"band", Holds::Whole, false, "Of a file with several, from 0"},
     {"plan",
      Holds::Text,
      true,
      "How",
      {"random", "stratified", "systematic", "blocks", "by-hand"}},
     {"count", Holds::Whole, false,
      "Points in all; in each class where stratified; of blocks each time one is drawn"},
     {"seed", Holds::Whole, false, "The same seed gives the same points"},
     {"split",
      Holds::Text,
      false,
      "Stratified: as many in each class, as many as its share of the area, or as given",
      {"equal", "proportional", "given"}},
     {"given", Holds::Counts, false, "Points of each class, where given"},
     {"left_out", Holds::Indices, false, "Classes that get no points"},
     {"class", Holds::Whole, false, "Only in this class of the map; not stratified"},
     {"avoid", Holds::Text, false, "No point falls into these", {"training"}},
     {"spacing", Holds::Number, false, "Systematic: from point to point"},
     {"across", Holds::Whole, false, "Or as many from left to right"},
     {"down", Holds::Whole, false, "and from top to bottom"},
     {"form", Holds::Text, false, "Systematic: rows stand so", {"square", "staggered"}},
     {"block_size", Holds::Number, false, "Blocks: from side to side"},
     {"blocks", Holds::Whole, false, "Blocks: how many times one is drawn"},
     {"places", Holds::Places, false, "By hand: in the system of what they lie over"},
     {"apart", Holds::Number, false, "Smallest spacing, in the unit of the system"},
     {"edge", Holds::Number, false, "Least distance from the edge of the area"},
     {"inside", Holds::Outline, false, "To place them in"},
     {"within", Holds::Numbers, false, "A rectangle: left, bottom, right and top"},
     {"too_few", Holds::Text, false, "Where there is not enough room", {"refuse", "take"}},
     {"tops_up", Holds::Product, false, "Points of the same plan that stay, and count"},
     {"system", Holds::Text, false, "Of the points, such as EPSG:4326; else that of the layer"},
     {"fields", Holds::Text, false, "What is told of each beside its number", {"id", "class"}}},
    &runPoints};
}
}  // namespace zp
