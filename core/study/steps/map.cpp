#include "legend/class_map.h"
#include "mapping/held_out.h"
#include "mapping/make_map.h"
#include "mapping/make_unlikeness.h"
#include "study/steps/trained_map.h"

namespace zp {
namespace {

/// What is asked for beside a map on how far it can be believed.
Json trustIn(StepRun& r, const TrainedMap& by) {
  Json told = Json::object();
  if (const auto file = r.beside("held-out"); !file.empty()) {
    told["held_out"] = toJson(heldOut(by.samples, by.model.plan, r.study().legend));
    writeJson(file, told["held_out"]);
  }
  if (const auto file = r.beside("unlikeness"); !file.empty()) {
    const Unlikeness unlikeness = unlikenessOf(by);
    told["guess"] = toJson(makeUnlikeness(*by.reader, unlikeness, r.temporary, file));
    told["guess"]["limit"] = unlikeness.limit();
  }
  return told;
}

Product runMap(StepRun& r) {
  const TrainedMap by = trainedMap(r, r.step(), r.progress().part(0, 0.2));
  const Model& model = by.model;
  r.begin(ProductKind::ClassMap, ".tif");
  Legend legend = model.legend;
  if (by.kept) legend.addMissing(legendOf(RasterFile(by.kept->file)));
  makeMap(*by.reader, *model.classifier, legend, r.temporary, r.progress().part(0.2, 0.6),
          by.kept ? &*by.kept : nullptr);
  if (const auto file = r.beside("confidence"); !file.empty())
    makeConfidence(*by.reader, *model.classifier, file, r.progress().part(0.6, 0.8));
  if (const auto file = r.beside("model"); !file.empty()) writeJson(file, toJson(model));
  Json trust = trustIn(r, by);
  r.product.date = by.date;
  r.product.facts = {{"training_pixels", model.trainingPixels},
                     {"conflicts", model.conflicts},
                     {"scene", by.scene}};
  if (const Json facts = model.classifier->facts(); !facts.empty())
    r.product.facts["training"] = facts;
  r.product.facts.update(trust);
  return r.finishClassMap(r.progress().part(0.85, 1), legend);
}

}  // namespace

namespace steps {
extern const StepKind map{
    "map",
    "A class map by a method trained on the study's training areas",
    {{"scene", Holds::Scene, true, "What is mapped, and whose features need no name"},
     {"features", Holds::Texts, false,
      "What it is mapped by, such as band(nir), index(ndvi); all bands when left out"},
     {"bands", Holds::Indices, false, "Instead of features: numbers of bands, from 0"},
     {"with", Holds::Named, false, "Other scenes and products that the features name"},
     {"method", Holds::Text, false, "One of those that zpatch methods tells"},
     {"model", Holds::File, false, "Instead of a method: a model that was trained before"},
     {"signatures", Holds::File, false,
      "Instead of training areas: signatures that the method learns from"},
     {"settings", Holds::Settings, false, "Its parameters; the usual ones when left out"},
     {"priors", Holds::Shares, false, "How common each class is, as in settings"},
     {"reject", Holds::Number, false, "Distance to stay without a class, as in settings"},
     {"subclasses",
      Holds::Text,
      false,
      "Subclasses are trained with their class, apart and mapped to it, or apart and kept",
      {"together", "apart", "kept"}},
     {"least", Holds::Number, false,
      "Pixels for whose class less speaks, 0 to 1, stay without a class"},
     {"kept", Holds::Product, false,
      "A class map whose classes stay as they are; the method is for the rest"},
     {"kept_classes", Holds::Indices, false, "Of its classes those that stay; all when left out"},
     {"inside", Holds::Outline, false, "To cut to"}},
    &runMap};
}
}  // namespace zp
