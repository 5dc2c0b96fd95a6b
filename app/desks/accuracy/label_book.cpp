#include "desks/accuracy/label_book.h"

#include "look/words.h"

namespace zp {

LabelBook::LabelBook(Workbench& bench) : bench_(bench) {
  connect(&bench_, &Workbench::studyChanged, this, [this] {
    id_.clear();
    labelling_ = {};
    startAfresh();
    if (bench_.hasStudy()) load();
  });
  connect(&bench_, &Workbench::changed, this, [this] { load(); });
  connect(&bench_, &Workbench::classRenumbered, this, [this](int from, int to) {
    if (!load()) return;
    labelling_.renumber(from, to);
    if (auto stratum = strata_.extract(from)) {
      stratum.key() = to;
      strata_.insert(std::move(stratum));
    }
    startAfresh();
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
    judged_.reset();
    ungrouped_.reset();
    if (p->id != id_) startAfresh();
    if (p->id == id_ && !labelling_.empty()) {
      // Made again for a changed map: the labels in hand may be newer than those it began with.
      labelling_ = labelling_.onChangedMap(labels.labelling.points());
      writeLabels(p->file, {labelling_, labels.crs, labels.strata});
    } else {
      labelling_ = labels.labelling;
    }
    crs_ = labels.crs;
    strata_ = labels.strata;
    id_ = p->id;
    revision_ = p->revision;
    Q_EMIT updated();
    return true;
  } catch (const std::exception& e) {
    Q_EMIT bench_.trouble(sentenceOf(e));
    return false;
  }
}

/// Nothing of what was looked at before.
void LabelBook::startAfresh() {
  judged_.reset();
  ungrouped_.reset();
  groups_.clear();
  chooseAll();
}

void LabelBook::changed() {
  judged_.reset();
  ungrouped_.reset();
  const Product* p = product();
  if (p == nullptr) return;
  try {
    writeLabels(p->file, {labelling_, crs_, strata_});
  } catch (const std::exception& e) {
    Q_EMIT bench_.trouble(sentenceOf(e));
  }
  Q_EMIT updated();
}

const Judged* LabelBook::ungrouped() const {
  if (!ungrouped_ && labelling_.labelled() > 0) try {
      ungrouped_ = judge(labelling_.drawn());
    } catch (const std::exception&) {
      // No point with both sides.
    }
  return ungrouped_ ? &*ungrouped_ : nullptr;
}

const Judged* LabelBook::judged() const {
  if (groups_.none()) return ungrouped();
  if (!judged_ && ungrouped() != nullptr) judged_ = judge(labelling_.drawn(), groups_);
  return judged_ ? &*judged_ : nullptr;
}

Judged LabelBook::judge(const std::vector<DrawnPoint>& drawn, const ClassGroups& groups) const {
  const auto points = groups.grouped(drawn);
  std::vector<MapAndReference> pairs;
  for (const auto& p : points) pairs.push_back({p.mapped, p.reference});
  Judged j;
  j.matrix = confusionMatrix(pairs, groups.legend(bench_.study().legend));
  j.counts = assessCounts(j.matrix);
  if (!drawnPerClass()) return j;
  if (strata_.empty()) {
    j.whyNotWeighted = txt("The points were drawn per class of an earlier state of the map.");
    return j;
  }
  try {
    j.weighted = assessByStrata(j.matrix, points, strata_);
  } catch (const std::exception& e) {
    j.whyNotWeighted = sentenceOf(e);
  }
  return j;
}

std::optional<ConfusionMatrix> LabelBook::matrix() const {
  const Judged* j = judged();
  return j == nullptr ? std::nullopt : std::optional(j->matrix);
}

std::map<int, double> LabelBook::mappedAreas() const {
  std::map<int, double> areas;
  const Product* m = map();
  if (m == nullptr || !m->facts.contains("classes")) return areas;
  for (const auto& c : m->facts["classes"])
    if (c["area_m2"].is_number())
      areas[groups_.of(c["code"].get<int>())] += c["area_m2"].get<double>();
  return areas;
}

const Product* LabelBook::points() const {
  const Product* labels = product();
  return labels == nullptr ? nullptr : bench_.study().product(labels->step.value("points", ""));
}

double LabelBook::wholeArea() const {
  double whole = 0;
  for (const auto& [code, area] : strata_) whole += area;
  return whole;
}

bool LabelBook::drawnPerClass() const {
  const Product* points = this->points();
  return points != nullptr && points->step.value("plan", "") == "stratified";
}

void LabelBook::merge(int a, int b) {
  groups_.merge(a, b);
  judged_.reset();
  chooseAll();
}

void LabelBook::takeApart() {
  groups_.clear();
  judged_.reset();
  chooseAll();
}

void LabelBook::chooseAll() {
  cell.reset();
  chosen.reset();
}

bool LabelBook::inCell(const ValidationPoint& p) const {
  if (chosen) return chosen->count(p.id) > 0;
  if (!cell) return true;
  if (p.mapped == 0 || p.reference == 0) return false;
  return (cell->first == 0 || groups_.of(p.mapped) == cell->first) &&
         (cell->second == 0 || groups_.of(p.reference) == cell->second);
}

std::string LabelBook::withoutInterval() const {
  const Product* points = this->points();
  if (points == nullptr) return "";
  if (points->step.value("do", "") == "cells") return "cells";
  const std::string plan = points->step.value("plan", "");
  return plan == "by-hand" || plan == "blocks" ? plan : "";
}

std::optional<Estimate> LabelBook::overall() const {
  const Judged* j = ungrouped();
  if (j == nullptr) return {};
  Estimate overall = j->first().overall;
  if (!withoutInterval().empty()) overall.low = overall.high = std::nan("");
  return overall;
}

}  // namespace zp
