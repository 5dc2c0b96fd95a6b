#include "desks/training/training_over.h"

#include "look/look.h"

namespace zp {

const Signature* Training::signature(int code) const {
  for (const auto& c : set.classes)
    if (c.code == code) return &c;
  return nullptr;
}

Training trainingOver(const Study& study, const Json& step, const Progress& progress) {
  constexpr size_t kBars = 24;
  Training t;
  t.samples = std::make_shared<const Samples>(samplesOfStep(study, step, progress));
  const Samples& samples = *t.samples;
  t.set = signaturesOf(samples);
  t.health = healthOf(samples, t.set);
  for (const auto& c : t.set.classes) {
    auto& shapes = t.shapes.emplace_back();
    for (size_t f = 0; f < t.set.bands.size(); ++f) shapes.push_back(shapeOf(samples, c, f, kBars));
  }
  t.pairs = confusablePairs(t.set);
  t.areas = fitOfAreas(samples);
  return t;
}

QString sourceOfSamples(const Study& study, const Json& step) {
  Json of = {{"training", study.trainingRevision}, {"legend", toJson(study.legend)}};
  for (const char* field : {"scene", "features", "with", "bands"})
    if (step.contains(field)) of[field] = step[field];
  Json revisions = {study.revisionOf(step.at("scene"))};
  for (const auto& [name, id] : step.value("with", std::map<std::string, std::string>()))
    revisions.push_back(study.revisionOf(id));
  of["revisions"] = revisions;
  return q(of.dump());
}

}  // namespace zp
