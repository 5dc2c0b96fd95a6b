#include "study/making.h"

#include "base/error.h"
#include "grid/raster_writer.h"
#include "index/statistics.h"
#include "legend/class_map.h"

namespace zp {

Making::Making(const Study& study, const Json& step, ProductKind kind, const std::string& ending,
               const Product* into, bool freshFile)
    : outputs_(true) {
  if (into != nullptr) {
    product = *into;
    ++product.revision;
    product.inputs.clear();
  } else {
    product.name = step.at("name").get<std::string>();
  }
  if (into == nullptr || freshFile) product.file = study.freshFile(product.name, ending);
  product.kind = kind;
  product.step = step;
  product.made = now();
  temporary = outputs_.add(product.file);
}

void Making::uses(const Study& study, const std::string& id) {
  for (const auto& i : product.inputs)
    if (i.id == id) return;
  product.inputs.push_back({id, study.revisionOf(id)});
}

const StudyScene& needScene(const Study& study, const std::string& id) {
  const auto* s = study.scene(id);
  if (s == nullptr) throw Error("The scene of this step is gone; choose another.");
  return *s;
}

const Product& needProduct(const Study& study, const std::string& id) {
  const auto* p = study.product(id);
  if (p == nullptr) throw Error("A product this step needs is gone; make it again first.");
  return *p;
}

std::vector<Scene> needScenes(const Study& study, const Json& ids) {
  std::vector<Scene> scenes;
  for (const auto& id : ids) scenes.push_back(needScene(study, id).scene);
  return scenes;
}

std::optional<Layer> insideOf(Making& making, const Study& study, const std::string& crs) {
  const Json& step = making.product.step;
  if (!step.contains("inside")) return {};
  for (const auto& o : study.outlines)
    if (step["inside"] == o.id) {
      if (crs.empty())
        throw Error(
            "There is no reference system, so nothing can be cut to an outline; give the "
            "scene one first.");
      making.uses(study, o.id);
      return readLayer(o.layer, crs);
    }
  throw Error("The outline of this step is gone; choose another.");
}

void noteLegend(Making& making) {
  making.product.facts["legend"] = toJson(legendOf(RasterFile(making.temporary)));
}

void finishClassMap(Making& making, const Progress& progress) {
  addOverviews(making.temporary, true);
  making.product.facts["classes"] = toJson(classAreas(making.temporary, {}, progress));
  noteLegend(making);
}

void finishPicture(Making& making, const Statistics& statistics) {
  addOverviews(making.temporary, false);
  making.product.facts.update(toJson(statistics));
}

}  // namespace zp
