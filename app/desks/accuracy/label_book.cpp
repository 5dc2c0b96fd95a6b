#include "desks/accuracy/label_book.h"

#include "look/words.h"

namespace zp {

namespace {
// Fields of a plan that leaves some of the map out, which weights by area know nothing of.
constexpr const char* kPartsOfMap[] = {"inside", "within", "edge", "left_out"};
}  // namespace

LabelBook::LabelBook(Workbench& bench) : bench_(bench) {
  connect(&bench_, &Workbench::studyChanged, this, [this] {
    id_.clear();
    labelling_ = {};
    cell.reset();
    if (bench_.hasStudy()) load();
  });
  connect(&bench_, &Workbench::changed, this, [this] { load(); });
  connect(&bench_, &Workbench::classRenumbered, this, [this](int from, int to) {
    if (!load()) return;
    labelling_.renumber(from, to);
    changed();
  });
}

const Product* LabelBook::product() const {
  return bench_.hasStudy() ? bench_.study().newest(ProductKind::Labels) : nullptr;
}

const Product* LabelBook::map() const {
  const Product* p = product();
  return p == nullptr ? nullptr : bench_.study().product(p->step.value("map", ""));
}

bool LabelBook::load() {
  const Product* p = product();
  if (p == nullptr) {
    id_.clear();
    labelling_ = {};
    return false;
  }
  if (p->id == id_ && p->revision == revision_) return true;
  try {
    const LabelsFile labels = readLabels(p->file);
    if (p->id == id_ && !labelling_.empty()) {
      // Made again for a changed map: the labels in hand may be newer than those it began with.
      labelling_ = labelling_.onChangedMap(labels.labelling.points());
      writeLabels(p->file, {labelling_, labels.crs});
    } else {
      labelling_ = labels.labelling;
    }
    crs_ = labels.crs;
    id_ = p->id;
    revision_ = p->revision;
    Q_EMIT updated();
    return true;
  } catch (const std::exception& e) {
    Q_EMIT bench_.trouble(sentenceOf(e));
    return false;
  }
}

void LabelBook::changed() {
  const Product* p = product();
  if (p == nullptr) return;
  try {
    writeLabels(p->file, {labelling_, crs_});
  } catch (const std::exception& e) {
    Q_EMIT bench_.trouble(sentenceOf(e));
  }
  Q_EMIT updated();
}

std::optional<ConfusionMatrix> LabelBook::matrix() const {
  if (labelling_.labelled() == 0) return {};
  try {
    return confusionMatrix(labelling_.pairs(), bench_.study().legend);
  } catch (const std::exception&) {
    return {};
  }
}

std::map<int, double> LabelBook::mappedAreas() const {
  std::map<int, double> areas;
  const Product* m = map();
  if (m == nullptr || !m->facts.contains("classes")) return areas;
  for (const auto& c : m->facts["classes"])
    if (c["area_m2"].is_number()) areas[c["code"].get<int>()] = c["area_m2"].get<double>();
  return areas;
}

const Product* LabelBook::points() const {
  const Product* labels = product();
  return labels == nullptr ? nullptr : bench_.study().product(labels->step.value("points", ""));
}

bool LabelBook::drawnPerClass() const {
  const Product* points = this->points();
  if (points == nullptr || points->step.value("plan", "") != "stratified" ||
      points->step.value("over", "") != product()->step.value("map", ""))
    return false;
  const auto& step = points->step;
  return std::none_of(std::begin(kPartsOfMap), std::end(kPartsOfMap),
                      [&](const char* field) { return step.contains(field); });
}

std::string LabelBook::withoutInterval() const {
  const Product* points = this->points();
  if (points == nullptr) return "";
  if (points->step.value("do", "") == "cells") return "cells";
  const std::string plan = points->step.value("plan", "");
  return plan == "by-hand" || plan == "blocks" ? plan : "";
}

std::optional<StratifiedEstimate> LabelBook::weighted(const ConfusionMatrix& m) const {
  if (!drawnPerClass()) return {};
  // The classes the points were drawn in must still be those of the map.
  const Product* drawn = points();
  for (const auto& i : drawn->inputs)
    if (i.revision != bench_.study().revisionOf(i.id)) return {};
  try {
    return stratifiedEstimate(m, mappedAreas());
  } catch (const std::exception&) {
    return {};  // a class without points yet: counts alone are told
  }
}

std::optional<Estimate> LabelBook::overall() const {
  const auto m = matrix();
  if (!m) return {};
  const auto w = weighted(*m);
  Estimate overall = w ? w->overall : m->overall();
  if (!withoutInterval().empty()) overall.low = overall.high = std::nan("");
  return overall;
}

}  // namespace zp
