#include "study/steps/step_run.h"

#include "base/error.h"
#include "grid/raster_writer.h"
#include "legend/class_map.h"
#include "study/study_scope.h"
#include "study/unsaved_moves.h"

namespace fs = std::filesystem;

namespace zp {

StepRun::StepRun(const Study& study, const Json& step, const Progress& progress,
                 const Product* again, const StepFiles* files)
    : study_(study), progress_(progress), again_(again), files_(files) {
  if (again != nullptr) {
    product = *again;
    ++product.revision;
    product.inputs.clear();
  } else {
    product.name = step.at("name").get<std::string>();
  }
  product.step = step;
  // A number may be given as null: it is left out.
  for (auto at = product.step.begin(); at != product.step.end();)
    if (at->is_null())
      at = product.step.erase(at);
    else
      ++at;
  product.facts = Json::object();
}

void StepRun::uses(const std::string& id) {
  for (const auto& i : product.inputs)
    if (i.id == id) return;
  product.inputs.push_back({id, study_.revisionOf(id)});
}

const Scene& StepRun::sceneOf(const std::string& id) {
  const auto& s = needScene(study_, id);
  uses(id);
  return s.scene;
}

const Product& StepRun::sourceOf(const std::string& id) {
  const auto& p = needProduct(study_, id);
  uses(id);
  return p;
}

const Scene& StepRun::scene(const char* field) {
  return sceneOf(step().at(field));
}

const Product& StepRun::source(const char* field) {
  return sourceOf(step().at(field));
}

std::vector<Scene> StepRun::scenes(const char* field) {
  std::vector<Scene> all;
  for (const auto& id : step().at(field)) all.push_back(sceneOf(id));
  return all;
}

std::vector<const Product*> StepRun::sources(const char* field) {
  std::vector<const Product*> all;
  for (const auto& id : step().at(field)) all.push_back(&sourceOf(id));
  return all;
}

Scope StepRun::scopeIn(const Json& step) {
  const auto with = step.value("with", std::map<std::string, std::string>());
  Scope scope = studyScope(study_, step.at("scene"), with);
  uses(step["scene"]);
  for (const auto& [name, id] : with) uses(id);
  uses(kDeliveryInput);
  return scope;
}

Scope StepRun::scopeOf(const std::string& scene) {
  Scope scope = studyScope(study_, scene, {});
  uses(scene);
  uses(kDeliveryInput);
  return scope;
}

std::optional<Layer> StepRun::insideIn(const Json& step, const std::string& crs) {
  if (!step.contains("inside")) return {};
  const auto& o = needOutline(step["inside"]);
  if (crs.empty())
    throw Error(
        "There is no reference system, so nothing can be cut to an outline; give the "
        "scene one first.");
  return readLayer(o.layer, crs);
}

const StudyOutline& StepRun::needOutline(const std::string& id) {
  for (const auto& o : study_.outlines)
    if (o.id == id) {
      uses(id);
      return o;
    }
  throw Error("The outline of this step is gone; choose another.");
}

Layer StepRun::outline(const char* field) {
  return readLayer(needOutline(step().at(field)).layer);
}

StepRun::Rows StepRun::rowsOf(const std::string& id) {
  if (study_.product(id) == nullptr) {
    const auto& o = needOutline(id);
    return {o.name, readLayer(o.layer)};
  }
  const Product& p = sourceOf(id);
  if (p.kind != ProductKind::Points && p.kind != ProductKind::Cells)
    throw Error("“{}” has no places of its own; choose points, cells or an outline.", p.name);
  return {p.name, readLayer(p.file.string())};
}

std::optional<TrustedMap> StepRun::keptIn(const Json& step) {
  if (!step.contains("kept")) return {};
  TrustedMap kept{sourceOf(step["kept"]).file, {}};
  for (const int code : step.value("kept_classes", std::vector<int>())) kept.classes.insert(code);
  return kept;
}

std::vector<TrainingArea> StepRun::training(const std::string& crs) {
  uses(kTrainingInput);
  return trainingIn(study_, crs);
}

void StepRun::begin(ProductKind kind, const std::string& ending, bool freshFile) {
  product.kind = kind;
  product.made = now();
  if (files_ != nullptr) {
    product.file = files_->file;
    temporary = files_->temporary;
    return;
  }
  if (again_ == nullptr || freshFile) product.file = study_.freshFile(product.name, ending);
  temporary = outputs_.add(product.file);
}

fs::path StepRun::beside(const std::string& what) const {
  if (files_ == nullptr) return {};
  const auto at = files_->beside.find(what);
  return at == files_->beside.end() ? fs::path() : at->second;
}

Product StepRun::finish() {
  if (files_ == nullptr && (again_ == nullptr || again_->file != product.file))
    noteMove(study_.folder(), {}, product.file);
  outputs_.commit();
  return product;
}

Product StepRun::finishRaster(bool classes) {
  if (files_ == nullptr) addOverviews(temporary, classes);
  return finish();
}

// What the sheet of facts tells is kept with the product, so that its file need not be opened for
// it.
Product StepRun::finishScene(const Scene& like) {
  product.date = like.date;
  const RasterFile made(temporary);
  product.facts["pixels"] = {made.grid().width, made.grid().height};
  return finishRaster();
}

Product StepRun::finishClassMap(const Progress& progress, const Legend& legend) {
  product.facts["classes"] = toJson(classAreas(temporary, legend, progress));
  product.facts["legend"] = toJson(legendOf(RasterFile(temporary)));
  return finishRaster(true);
}

Product StepRun::finishPicture(const Statistics& statistics) {
  product.facts.update(toJson(statistics));
  return finishRaster();
}

LegendClass classFrom(const Json& j, int code) {
  LegendClass c;
  c.code = j.value("code", code);
  c.name = j.at("name");
  c.colour = colourFrom(j.at("colour"));
  return c;
}

Legend legendOfStep(const Json& classes) {
  Legend legend;
  for (const auto& c : classes)
    legend.add(classFrom(c, static_cast<int>(legend.classes.size()) + 1));
  return legend;
}

void requireBand(const Scene& scene, size_t band) {
  if (band >= scene.bands.size())
    throw Error("“{}” has no band {} any more; choose bands again.", scene.name, band + 1);
}

std::string dayOf(const Product& p) {
  return p.date.empty() ? p.name : p.date.substr(0, 10);
}

}  // namespace zp
