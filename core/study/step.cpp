#include "study/step.h"

#include <fmt/format.h>

#include <algorithm>

#include "base/error.h"
#include "base/outputs.h"
#include "base/text.h"
#include "index/compute_index.h"
#include "index/histogram.h"
#include "index/threshold.h"
#include "legend/class_map.h"
#include "mapping/make_map.h"
#include "outline/class_polygons.h"
#include "sampling/plan.h"
#include "sampling/readings.h"
#include "study/making.h"
#include "study/study_scope.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

Product makeIndex(const Study& study, const Json& step, const Progress& progress,
                  const Product* into) {
  const auto& s = needScene(study, step.at("scene"));
  const auto with = step.value("with", std::map<std::string, std::string>());
  const Scope scope = studyScope(study, s.id, with);
  const Formula f = parseFormula(step.at("formula"), scope.names());
  Making making(study, step, ProductKind::Index, ".tif", into);
  making.uses(study, s.id);
  for (const auto& [name, id] : with) making.uses(study, id);
  usesDelivery(making, study);
  making.product.date = s.scene.date;
  making.product.ramp = step.value("ramp", "dusk");
  making.product.facts = {{"scene", s.scene.name}};
  const auto inside = insideOf(making, study, scope.grid.crs);
  if (inside) making.product.facts["inside"] = inside->name;
  finishPicture(making, computeIndex(scope, f, making.product.name, making.temporary,
                                     inside ? &*inside : nullptr, progress.part(0, 0.8)));
  return making.finish();
}

Product makeThreshold(const Study& study, const Json& step, const Progress& progress,
                      const Product* into) {
  const auto& source = needProduct(study, step.at("product"));
  Making making(study, step, ProductKind::ClassMap, ".tif", into);
  making.uses(study, source.id);
  making.product.date = source.date;
  Legend legend;
  for (const auto& c : step.at("classes")) {
    LegendClass one;
    one.code = static_cast<int>(legend.classes.size()) + 1;
    one.name = c.at("name");
    one.colour = colourFrom(c.at("colour"));
    legend.add(one);
  }
  thresholdToClasses(source.file, 1, step.at("at").get<std::vector<double>>(), legend,
                     making.temporary, progress.part(0, 0.6));
  finishClassMap(making, progress.part(0.7, 1));
  return making.finish();
}

MethodOptions optionsFrom(const Json& step) {
  MethodOptions options;
  if (step.contains("priors"))
    for (const auto& [code, share] : step["priors"].items())
      options.priors[classCode(code, "the priors")] = share.get<double>();
  if (step.contains("reject") && step["reject"].is_number())
    options.reject = step["reject"].get<double>();
  return options;
}

Product makeClassMap(const Study& study, const Json& step, const Progress& progress,
                     const Product* into) {
  const auto& s = needScene(study, step.at("scene"));
  const auto bands = step.at("bands").get<std::vector<size_t>>();
  for (size_t b : bands)
    if (b >= s.scene.bands.size())
      throw Error("“{}” has no band {} any more; choose bands again.", s.scene.name, b + 1);
  Making making(study, step, ProductKind::ClassMap, ".tif", into);
  making.uses(study, s.id);
  making.uses(study, kTrainingInput);
  making.product.date = s.scene.date;
  const auto signatures = studySignatures(study, s.scene, bands, progress.part(0, 0.2));
  const auto classifier = makeClassifier(step.at("method"), signatures, optionsFrom(step));
  const auto inside = insideOf(making, study, s.scene.grid.crs);
  makeMap(s.scene, bands, *classifier, study.legend, making.temporary, progress.part(0.2, 0.8), {},
          inside ? &*inside : nullptr);
  addOverviews(making.temporary, true);
  making.product.facts = {
      {"classes", toJson(classAreas(making.temporary, study.legend, progress.part(0.85, 1)))},
      {"training_pixels", signatures.pixels()},
      {"conflicts", signatures.conflicts},
      {"scene", s.scene.name}};
  noteLegend(making);
  return making.finish();
}

Product makePoints(const Study& study, const Json& step, const Progress& progress,
                   const Product* into) {
  const std::string over = step.at("over");
  Making making(study, step, ProductKind::Points, ".gpkg", into);
  making.uses(study, over);
  SamplingPlan plan;
  plan.kind = step.at("plan") == "stratified" ? PlanKind::Stratified : PlanKind::Random;
  plan.count = step.at("count");
  plan.seed = step.at("seed");
  if (step.contains("apart") && step["apart"].is_number()) plan.apart = step["apart"].get<double>();
  const auto* scene = study.scene(over);
  const auto place = [&](const auto& ground, const std::string& crs) {
    const auto inside = insideOf(making, study, crs);
    return placePoints(ground, plan, inside ? &*inside : nullptr, progress);
  };
  const auto points = scene != nullptr
                          ? place(scene->scene, scene->scene.grid.crs)
                          : place(needProduct(study, over).file,
                                  RasterFile(needProduct(study, over).file).grid().crs);
  const Layer layer = toLayer(points, false);
  writeLayer(making.temporary, making.product.file, layer, {FieldType::Integer});
  making.product.facts = {{"points", points.points.size()}};
  return making.finish();
}

/// Scenes give a column a band, with their own conversion; products one.
Product makeReadings(const Study& study, const Json& step, const Progress& progress,
                     const Product* into) {
  const auto& points = needProduct(study, step.at("points"));
  Making making(study, step, ProductKind::Table, ".csv", into);
  making.uses(study, points.id);
  const Layer layer = readLayer(points.file.string());
  const auto places = placesOf(layer);
  Table table = layer.table;
  Readings readings;
  const auto from = step.at("from").get<std::vector<std::string>>();
  for (size_t i = 0; i < from.size(); ++i) {
    making.uses(study, from[i]);
    if (const auto* s = study.scene(from[i])) {
      for (size_t b = 0; b < s->scene.bands.size(); ++b) {
        readings.columns.push_back(s->scene.name + " " + s->scene.bands[b].name);
        readings.values.push_back(readBandAt(places, layer.crs, s->scene, b));
      }
    } else {
      const auto& p = needProduct(study, from[i]);
      auto part = readAt(places, layer.crs, {{p.file, 1, p.name}});
      readings.columns.push_back(p.name);
      readings.values.push_back(std::move(part.values[0]));
    }
    progress.at(static_cast<double>(i + 1) / static_cast<double>(from.size()));
  }
  appendTo(table, readings);
  table.columns.insert(table.columns.begin() + 1, {"x", "y"});
  for (size_t r = 0; r < table.rows.size(); ++r)
    table.rows[r].insert(table.rows[r].begin() + 1, {shortest(places[r].x), shortest(places[r].y)});
  writeFileAtomically(making.temporary, toCsv(table));
  making.product.facts = {
      {"rows", table.rows.size()}, {"columns", table.columns}, {"system", crsName(layer.crs)}};
  return making.finish();
}

Product makeLabels(const Study& study, const Json& step, const Progress&, const Product* into) {
  const auto& points = needProduct(study, step.at("points"));
  const auto& map = needProduct(study, step.at("map"));
  // Into a file of its own: labels may be given to the old one until this one takes its place.
  Making making(study, step, ProductKind::Labels, ".json", into, true);
  making.uses(study, points.id);
  making.uses(study, map.id);
  const Layer layer = readLayer(points.file.string());
  const auto places = placesOf(layer);
  const auto codes = readAt(places, layer.crs, {{map.file, 1, "map"}}).values[0];
  std::vector<ValidationPoint> all;
  for (size_t i = 0; i < places.size(); ++i) {
    ValidationPoint p;
    p.id = static_cast<int>(i) + 1;
    p.place = places[i];
    p.mapped = std::isnan(codes[i]) ? 0 : static_cast<int>(codes[i]);
    all.push_back(p);
  }
  const Labelling labelling = into == nullptr ? Labelling(std::move(all), step.at("seed"))
                                              : readLabels(into->file).labelling.onChangedMap(all);
  writeLabels(making.temporary, {labelling, layer.crs});
  making.product.facts = {{"points", places.size()}};
  return making.finish();
}

}  // namespace

SignatureSet studySignatures(const Study& study, const Scene& scene,
                             const std::vector<size_t>& bands, const Progress& progress) {
  if (study.training.empty())
    throw Error("There are no training areas yet; draw or import some under Training.");
  std::vector<TrainingArea> areas = study.training;
  const CrsChange change(study.trainingCrs, scene.grid.crs);
  if (!change.identity())
    for (auto& a : areas) {
      for (auto& ring : a.shape.rings)
        for (auto& p : ring) change.apply(p);
      for (auto& p : a.shape.points) change.apply(p);
    }
  return computeSignatures(scene, bands, labelPixels(areas, scene.grid), study.legend, progress);
}

Product runStep(const Study& study, const Json& step, const Progress& progress,
                const Product* into) {
  const std::string what = step.value("do", "");
  if (what == "index") return makeIndex(study, step, progress, into);
  if (what == "threshold") return makeThreshold(study, step, progress, into);
  if (what == "map") return makeClassMap(study, step, progress, into);
  if (what == "points") return makePoints(study, step, progress, into);
  if (what == "readings") return makeReadings(study, step, progress, into);
  if (what == "labels") return makeLabels(study, step, progress, into);
  for (const auto* makers : {&sceneMakers(), &changeMakers(), &importMakers()})
    if (const auto at = makers->find(what); at != makers->end())
      return at->second(study, step, progress, into);
  throw Error("“{}” is no step this version knows.", what);
}

void exportClassPolygons(const Product& map, const std::vector<int>& codes, const fs::path& target,
                         const Progress& progress, const PolygonOptions& options) {
  Outputs outputs(true);
  const fs::path temporary = outputs.add(target, {map.file});
  std::map<int, std::string> keep;
  for (const auto& c : legendOf(RasterFile(map.file)).classes)
    if (std::find(codes.begin(), codes.end(), c.code) != codes.end()) keep[c.code] = c.name;
  const Layer layer = classPolygons(map.file, keep, progress, options);
  writeLayer(temporary, target, layer, {FieldType::Integer, FieldType::Text, FieldType::Real});
  outputs.commit();
}

}  // namespace zp
