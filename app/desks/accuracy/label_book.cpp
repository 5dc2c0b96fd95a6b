#include "desks/accuracy/label_book.h"

#include "look/look.h"
#include "study/change_behind.h"

namespace zp {

LabelBook::LabelBook(Workbench& bench) : bench_(bench) {
  bench_.alsoSave([this] { keep(); });
  connect(&bench_, &Workbench::studyChanged, this, [this] {
    id_.clear();
    file_ = {};
    startAfresh();
    if (bench_.hasStudy()) load();
  });
  connect(&bench_, &Workbench::changed, this, [this] { load(); });
  connect(&bench_, &Workbench::classRenumbered, this, [this](int from, int to) {
    if (!load()) return;
    renumber(file_, from, to);
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
    file_ = {};
    return false;
  }
  if (p->id == id_ && p->revision == revision_) return true;
  try {
    LabelsFile labels = readLabels(p->file);
    judged_.reset();
    ungrouped_.reset();
    if (p->id != id_) startAfresh();
    if (p->id == id_ && !none()) {
      // Made again for a changed map: the labels in hand may be newer than those it began with.
      file_ =
          onChangedMap(file_, std::move(labels));  // a copy: should it fail, they are here still
      writeLabels(p->file, file_);
    } else {
      file_ = std::move(labels);
    }
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
  task_ = Task::Label;
  either_ = false;
  chooseAll();
}

void LabelBook::changed() {
  judged_.reset();
  ungrouped_.reset();
  const Product* p = product();
  if (p == nullptr) return;
  unwritten_ = true;
  try {
    keep();
  } catch (const std::exception&) {
    bench_.save();  // which tells why, and goes on trying
  }
  Q_EMIT updated();
}

void LabelBook::keep() {
  const Product* p = bench_.hasStudy() ? bench_.study().product(id_) : nullptr;
  if (unwritten_ && p != nullptr) writeLabels(p->file, file_);
  unwritten_ = false;
}

const Judged* LabelBook::ungrouped() const {
  if (!ungrouped_ && labelling().labelled() > 0) try {
      ungrouped_ = judge(drawn());
    } catch (const std::exception&) {
      // No point with both sides.
    }
  return ungrouped_ ? &*ungrouped_ : nullptr;
}

const Judged* LabelBook::judged() const {
  if (groups_.none()) return ungrouped();
  if (!judged_ && ungrouped() != nullptr) judged_ = judge(drawn(), groups_);
  return judged_ ? &*judged_ : nullptr;
}

Judged LabelBook::judge(const std::vector<DrawnPoint>& drawn, const ClassGroups& groups) const {
  return zp::judge(bench_.study(), *product(), file_, drawn, groups);
}

Labelling& LabelBook::worked() {
  return task_ == Task::Second && file_.second ? file_.second->labelling : file_.labelling;
}

bool LabelBook::blind() const {
  return !labelling().closed() || (second() && !second()->labelling.closed());
}

void LabelBook::setLabeller(const std::string& name) {
  if (name == file_.labeller) return;
  file_.labeller = name;
  changed();
}

void LabelBook::addSecond(const std::string& labeller, double share) {
  file_.second = SecondLabels{labeller, pointsForSecond(labelling(), share, 2)};
  changed();
}

std::optional<Agreement> LabelBook::agreement() const {
  if (!second() || !second()->labelling.closed()) return {};
  try {
    return agreementOf(labelling(), *second(), legend());
  } catch (const std::exception&) {
    return {};  // no point that both labelled
  }
}

Legend LabelBook::keys() const {
  Legend keys = bench_.study().legend;
  if (file_.change) keys.addMissing(file_.change->classes());
  return keys;
}

Label LabelBook::labelOfChange(int earlier, int later) {
  return Label(file_.change->add({earlier, later}), 0, earlier, later);
}

QString LabelBook::className(int code) const {
  const auto* c = legend().find(code);
  return c != nullptr ? q(c->name) : code == 0 ? txt("no label") : txt("class %1").arg(code);
}

std::optional<std::map<int, int>> LabelBook::codesOf(const Product& map) {
  const auto theirs = changeClassesOf(bench_.study(), map);
  if (!ofChange() || !theirs || theirs->of() != file_.change->of()) return {};
  ChangeClasses ours = *file_.change;  // to be compared with, which adds nothing to the labels
  return theirs->codesIn(ours);
}

QString LabelBook::labellerName(int which) const {
  const std::string name = which == 1 ? labeller() : second() ? second()->labeller : "";
  if (!name.empty()) return q(name);
  return which == 1 ? txt("Labeller 1") : txt("Labeller 2");
}

void LabelBook::settle(int id, const Label& to, const std::string& now) {
  if (!file_.second) return;
  const QString both = txt("%1 and %2").arg(labellerName(1), labellerName(2));
  zp::settle(file_.labelling, *file_.second, id, to, now, both.toStdString(),
             txt("settled between two labellers").toStdString());
  changed();
}

std::vector<DrawnPoint> LabelBook::drawn() const {
  return either_ ? labelling().drawnEither() : labelling().drawn();
}

void LabelBook::setEither(bool on) {
  either_ = on;
  judged_.reset();
  ungrouped_.reset();
}

bool LabelBook::anyMixed() const {
  const auto& points = labelling().points();
  return std::any_of(points.begin(), points.end(), [](const auto& p) { return p.secondary != 0; });
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

double LabelBook::wholeArea() const {
  double whole = 0;
  for (const auto& [code, area] : strata()) whole += area;
  return whole;
}

bool LabelBook::drawnPerClass() const {
  const Product* labels = product();
  return labels != nullptr && zp::drawnPerClass(bench_.study(), *labels);
}

void LabelBook::merge(int a, int b) {
  groups_.merge(a, b);
  judged_.reset();
  chooseAll();
}

void LabelBook::mergeChanges() {
  groups_.clear();
  std::vector<int> changed, stayed;
  for (const auto& c : legend().classes)
    (file_.change->stays(c.code) ? stayed : changed).push_back(c.code);
  groups_.merge(changed, txt("Changed").toStdString());
  groups_.merge(stayed, txt("As before").toStdString());
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
  const Product* labels = product();
  return labels == nullptr ? "" : zp::withoutInterval(bench_.study(), *labels);
}

std::optional<Estimate> LabelBook::overall() const {
  const Judged* j = ungrouped();
  if (j == nullptr) return {};
  Estimate overall = j->first().overall;
  if (!withoutInterval().empty()) overall.low = overall.high = std::nan("");
  return overall;
}

}  // namespace zp
