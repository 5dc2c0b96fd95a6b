#include "desks/indices/index_panel.h"

#include "base/error.h"
#include "base/text.h"
#include "shell/index_title.h"
#include "study/study_scope.h"
#include "view/ramp.h"

namespace zp {
namespace {

constexpr size_t kFewChips = 3, kMostChips = 6;

QIcon rampIcon(const std::string& id) {
  QImage strip(256, 1, QImage::Format_RGB32);
  const auto& colours = ramp(id);
  for (int x = 0; x < 256; ++x) strip.setPixel(x, 0, colours[static_cast<size_t>(x)]);
  return QPixmap::fromImage(strip.scaled(64, 12));
}

QLabel* line(const char* name, bool warning = false) {
  auto* label = secondLabel("");
  label->setObjectName(name);
  if (warning) setTone(label, "warning");
  return label;
}

}  // namespace

IndexPanel::IndexPanel(Workbench& bench, MapView& view, TileStore& tiles,
                       std::function<std::string()> inside)
    : Panel(bench), tiles_(tiles), inside_(std::move(inside)) {
  buildBook();
  buildFormula();
  thresholds_ = new ThresholdPanel(bench, view);
  box()->addWidget(thresholds_);
  buildPolygons();
  box()->addStretch();
  settle_.setSingleShot(true);
  settle_.setInterval(10);
  connectAll();
}

void IndexPanel::buildBook() {
  auto* flow = new QWidget;
  chips_ = new FlowLayout(6);
  flow->setLayout(chips_);
  box()->addWidget(flow);
  cannot_ = line("cannotHere");
  box()->addWidget(cannot_);
  book_ = new BookSearch;
  book_->setVisible(false);
  box()->addWidget(book_);
}

void IndexPanel::buildFormula() {
  about_ = new Paragraph("");
  about_->opener()->setObjectName("explainIndex");
  rampList_ = new LongChoice;
  rampList_->setObjectName("ramp");
  rampList_->setIconSize(QSize(64, 12));
  for (const auto& [id, title] : rampNames()) rampList_->addItem(rampIcon(id), txt(title), q(id));
  rampList_->setAccessibleName(txt("Ramp"));
  rampList_->setToolTip(txt("The ramp it is shown in"));
  rampList_->setFixedWidth(210);
  auto* head = new QHBoxLayout;
  head->addWidget(sectionLabel(txt("Formula")));
  head->addWidget(about_->opener());
  head->addStretch();
  head->addWidget(rampList_);
  box()->addLayout(head);
  box()->addWidget(about_);
  edit_ = new FormulaEdit;
  box()->addWidget(edit_);
  error_ = line("formulaError", true);
  range_ = line("formulaRange");
  warning_ = line("formulaWarning", true);
  warning_->setVisible(false);
  for (auto* label : {error_, range_, warning_}) box()->addWidget(label);
  keep_ = linkButton(txt("Keep in the index book…"));
  keep_->setObjectName("keepIndex");
  drop_ = linkButton(txt("Take out of the index book"));
  drop_->setObjectName("dropIndex");
  box()->addWidget(keep_, 0, Qt::AlignLeft);
  box()->addWidget(drop_, 0, Qt::AlignLeft);
}

void IndexPanel::buildPolygons() {
  polygonsPanel_ = new PolygonsPanel(bench_);
  polygonsPanel_->setVisible(false);
  box()->addWidget(polygonsPanel_);
  polygons_ = quietButton(txt("Polygons…"));
  polygons_->setCheckable(true);
  polygons_->setObjectName("polygons");
  polygons_->setToolTip(
      txt("Polygons of classes of the map made from this index, with their areas"));
  connect(polygons_, &QPushButton::toggled, this, [this](bool on) {
    const Product* map = classMap();
    polygonsPanel_->setVisible(on && map != nullptr && polygonsPanel_->offer(*map));
    if (polygonsPanel_->isVisible()) Q_EMIT revealAsked(polygonsPanel_);
  });
  connect(polygonsPanel_, &PolygonsPanel::written, this, [this] { polygons_->setChecked(false); });
}

void IndexPanel::connectAll() {
  connect(&settle_, &QTimer::timeout, this, &IndexPanel::showPreview);
  connect(book_, &BookSearch::asked, this, [this] {
    if (bench_.hasStudy() && scene() != nullptr) book_->show(scene()->scene);
  });
  connect(book_, &BookSearch::chosen, this, [this](const std::string& id) {
    book_->setVisible(false);
    chooseIndex(indexEntry(id));
  });
  connect(edit_, &QPlainTextEdit::textChanged, this, &IndexPanel::formulaChanged);
  connect(edit_, &FormulaEdit::accepted, this, [this] {
    if (missing().isEmpty()) act();
  });
  connect(keep_, &QPushButton::clicked, this, &IndexPanel::keepInBook);
  connect(drop_, &QPushButton::clicked, this, [this] {
    dropIndex(index_);
    index_.clear();
    refresh();
  });
  connect(rampList_, &QComboBox::activated, this, [this] {
    if (const auto* product = made())
      bench_.setRamp(q(product->id), rampList_->currentData().toString());
    else
      showPreview();
  });
  connect(thresholds_, &Panel::changed, this, &Panel::changed);
  connect(thresholds_, &Panel::trouble, this, &Panel::trouble);
  connect(thresholds_, &ThresholdPanel::ranged, this,
          [this](const Statistics& s) { showRange(s, true); });
  connect(&tiles_, &TileStore::overviewArrived, this, [this](const QString& key) {
    if (key != previewKey_ || made() != nullptr) return;
    if (const auto* o = tiles_.overview(key)) showRange(o->histogram.statistics, false);
  });
}

void IndexPanel::forget() {
  settle_.stop();
  thresholds_->forget();
  previewKey_.clear();
}

void IndexPanel::refresh() {
  const auto& scene = this->scene()->scene;
  filling_ = true;
  fillChips();
  if (book_->isVisibleTo(this)) book_->show(scene);
  edit_->setKnown(knownNames(bench_.study(), this->scene()->id));
  const bool first = edit_->toPlainText().isEmpty();
  filling_ = false;
  const bool cannotAnyMore = !index_.empty() && !missingRoles(indexEntry(index_), scene).empty();
  if (first || cannotAnyMore)
    for (const bool featured : {true, false})
      for (const auto& e : indexBook())
        if (e.featured == featured && missingRoles(e, scene).empty())
          return chooseIndex(rememberedOr(e));
  formulaChanged();
}

/// The featured indices that the scene can do, and what it cannot in a line.
void IndexPanel::fillChips() {
  while (auto* item = chips_->takeAt(0)) {
    delete item->widget();
    delete item;
  }
  const Scene& scene = this->scene()->scene;
  std::vector<const IndexEntry*> can, cannot;
  size_t more = 0;
  for (const auto& e : indexBook()) {
    const bool possible = missingRoles(e, scene).empty();
    if (e.id == index_ || (e.featured && possible))
      can.push_back(&e);
    else if (e.featured)
      cannot.push_back(&e);
    else
      ++more;
  }
  // A radar scene, or one of few bands, is offered what it can do.
  if (can.size() < kFewChips)
    for (const auto& e : indexBook())
      if (can.size() < kMostChips && missingRoles(e, scene).empty() &&
          std::find(can.begin(), can.end(), &e) == can.end())
        can.push_back(&e), --more;
  for (const auto* e : can) addChip(*e);
  auto* own = chip(txt("By hand"));
  own->setObjectName("index-by-hand");
  own->setChecked(index_.empty());
  connect(own, &QPushButton::clicked, this, &IndexPanel::chooseByHand);
  chips_->addWidget(own);
  auto* others = chip(txt("%1 more…").arg(more));
  others->setObjectName("index-more");
  others->setChecked(book_->isVisibleTo(this));
  connect(others, &QPushButton::toggled, this, &IndexPanel::openBook);
  chips_->addWidget(others);
  tellWhatCannot(cannot);
}

void IndexPanel::addChip(const IndexEntry& entry) {
  auto* b = chip(txt(entry.title));
  b->setObjectName("index-" + q(entry.id));
  b->setChecked(entry.id == index_);
  b->setToolTip(txt(entry.name));
  connect(b, &QPushButton::clicked, this, [this, &entry] { chooseIndex(entry); });
  chips_->addWidget(b);
}

void IndexPanel::tellWhatCannot(const std::vector<const IndexEntry*>& cannot) {
  QStringList all;
  for (const auto* e : cannot)
    all << txt("%1 (no %2)")
               .arg(txt(e->title), sentenceOf(listed(missingRoles(*e, scene()->scene))));
  cannot_->setVisible(!all.isEmpty());
  if (all.isEmpty()) return;
  cannot_->setText(all.size() == 1 ? txt("Not with this scene: %1").arg(all[0])
                                   : txt("Not with this scene: %1 and %2 more")
                                         .arg(txt(cannot[0]->title))
                                         .arg(all.size() - 1));
  cannot_->setToolTip(all.join("\n"));
}

void IndexPanel::openBook(bool open) {
  book_->setVisible(open);
  if (!open) return;
  book_->show(scene()->scene);
  book_->takeFocus();
}

void IndexPanel::chooseByHand() {
  index_.clear();
  refresh();
  edit_->setFocus();
  edit_->selectAll();
}

/// The index last chosen in this study, where the scene can do it.
const IndexEntry& IndexPanel::rememberedOr(const IndexEntry& other) const {
  const Json kept = bench_.place("index");
  for (const auto& e : indexBook())
    if (kept == e.id && missingRoles(e, scene()->scene).empty()) return e;
  return other;
}

/// Asks for a name; the range is that of the scene, seen now.
void IndexPanel::keepInBook() {
  bool ok = false;
  const QString title = QInputDialog::getText(this, txt("Keep in the index book"),
                                              txt("Name of the index"), QLineEdit::Normal, {}, &ok);
  if (!ok) return;
  IndexEntry entry;
  entry.title = title.trimmed().toStdString();
  entry.name = entry.title;
  entry.formula = edit_->formula();
  entry.ramp = ramp();
  entry.about = txt("An index of your own.").toStdString();
  entry.source = txt("your own").toStdString();
  const auto* o = tiles_.overview(previewKey_);
  const bool seen = o != nullptr && o->histogram.statistics.valid > 0;
  entry.low = seen ? o->histogram.statistics.min : -1;
  entry.high = seen ? o->histogram.statistics.max : 1;
  try {
    index_ = keepIndex(entry).id;
    Q_EMIT trouble("");
    refresh();
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

void IndexPanel::choose(const std::string& id) {
  if (scene() == nullptr) return;
  const IndexEntry& entry = indexEntry(id);
  if (missingRoles(entry, scene()->scene).empty()) return chooseIndex(entry);
  findChild<QPushButton*>("index-more")->setChecked(true);
  book_->search(q(entry.name));
}

void IndexPanel::chooseIndex(const IndexEntry& entry) {
  if (index_ != entry.id) thresholds_->forgetNames();
  index_ = entry.id;
  bench_.setPlace("index", entry.id);
  filling_ = true;
  edit_->setPlainText(q(formulaFor(entry, scene()->scene)));
  rampList_->setCurrentIndex(rampList_->findData(q(entry.ramp)));
  filling_ = false;
  thresholds_->startOver();
  refresh();
}

/// What the formula is in the book; of two the same, the one that was chosen.
void IndexPanel::findEntry() {
  entry_ = nullptr;
  for (const auto& e : indexBook())
    if (formulaFor(e, scene()->scene) == edit_->formula() && (entry_ == nullptr || e.id == index_))
      entry_ = &e;
  if (index_.empty() || (entry_ != nullptr && entry_->id == index_)) return;
  index_.clear();
  for (auto* b : findChildren<QPushButton*>())
    if (b->property("part") == "chip") b->setChecked(b->objectName() == "index-by-hand");
}

void IndexPanel::formulaChanged() {
  if (filling_ || !bench_.hasStudy() || scene() == nullptr) return;
  findEntry();
  tellAbout();
  const auto e = edit_->error();
  error_->setVisible(e.has_value());
  range_->setVisible(!e.has_value());
  keep_->setVisible(!e && entry_ == nullptr);
  drop_->setVisible(entry_ != nullptr && entry_->group == "own");
  if (e) error_->setText(sentenceOf(*e) + txt(" (character %1)").arg(e->at + 1));
  warning_->setVisible(false);
  showMade();
  if (!e) {
    settle_.start();
    showWarnings();
  }
  Q_EMIT changed();
}

void IndexPanel::showMade() {
  const Product* product = made();
  IndexEntry::Ends ends;
  if (!index_.empty()) ends = indexEntry(index_).ends;
  if (product != nullptr) rampList_->setCurrentIndex(rampList_->findData(q(product->ramp)));
  thresholds_->show(product, ramp(), ends);
  thresholds_->refresh();
  polygons_->setEnabled(classMap() != nullptr);
  if (classMap() == nullptr) polygons_->setChecked(false);
}

void IndexPanel::tellAbout() {
  if (entry_ != nullptr)
    return about_->setText(txt(entry_->about) + " <i>" + txt(entry_->source) + "</i>");
  about_->setText(txt("Roles here: %1. Also + − * / ^, comparisons, %2.")
                      .arg(sentenceOf(listed(scene()->scene.roles())),
                           "and, or, not, when … then … else …, min max abs sqrt log10 exp ndiff"));
}

Panel::Heading IndexPanel::heading() const {
  if (entry_ == nullptr) return {txt("Formula by hand"), {}};
  const QString of =
      entry_->abbreviation.empty() ? QString() : " (" + q(entry_->abbreviation) + ")";
  return {txt(entry_->title), txt(entry_->name) + of + "."};
}

/// Said once, in place, before the numbers are trusted.
void IndexPanel::showWarnings() {
  const Formula f = parseFormula(edit_->formula(), knownNames(bench_.study(), scene()->id));
  QStringList all;
  try {
    for (const auto& w : warningsFor(studyScope(bench_.study(), scene()->id, used(f)), f))
      all << sentenceOf(w);
  } catch (const std::exception& e) {
    all << sentenceOf(e);  // a file it needs went away
  }
  warning_->setText(all.join("\n"));
  warning_->setVisible(!all.isEmpty());
}

/// The index in hand, as products and pictures are called.
QString IndexPanel::title() const {
  return index_.empty() ? txt("Formula") : txt(indexEntry(index_).title);
}

IndexInHand IndexPanel::inHand() const {
  IndexInHand h;
  h.formula = edit_->formula();
  h.title = title().toStdString();
  h.ramp = ramp();
  if (made() == nullptr) return h;
  h.cuts = thresholds_->cuts();
  h.classes = thresholds_->classes();
  return h;
}

std::map<std::string, std::string> IndexPanel::used(const Formula& f) const {
  return usedNames({f}, formulaNames(bench_.study()));
}

void IndexPanel::showPreview() {
  if (!bench_.hasStudy() || scene() == nullptr || edit_->error() || !isVisible()) return;
  if (made() != nullptr) return;
  Picture p;
  p.kind = Picture::Kind::Formula;
  p.of = "preview";
  p.formula = parseFormula(edit_->formula(), knownNames(bench_.study(), scene()->id));
  try {
    p.scope = studyScope(bench_.study(), scene()->id, used(p.formula));
  } catch (const std::exception&) {
    return;  // the warnings say why
  }
  p.title = title();
  p.detail = txt("preview");
  p.ramp = ramp();
  QString of;
  for (const auto& one : p.scope.scenes) of += sceneKey(one.scene) + ",";
  p.key = QString("f/%1/%2/%3").arg(of, q(p.ramp), q(p.formula.text));
  previewKey_ = p.key;
  Q_EMIT pictureAsked(p);
  if (const auto* o = tiles_.overview(p.key)) showRange(o->histogram.statistics, false);
}

void IndexPanel::keepFront() {
  settle_.stop();
  // The range of what was looked at before is not that of this scene.
  if (bench_.hasStudy() && made() == nullptr)
    range_->setText(index_.empty() ? QString() : txt(indexEntry(index_).reading));
}

void IndexPanel::showRange(const Statistics& st, bool exact) {
  if (st.valid == 0)
    return range_->setText(txt("There is no pixel with a value; check the formula."));
  QString text = (exact ? txt("From %1 to %2") : txt("From %1 to %2 in a quick look"))
                     .arg(compact(st.min), compact(st.max));
  if (!index_.empty()) {
    const auto& e = indexEntry(index_);
    const bool inside = st.min >= e.low - 1e-6 && st.max <= e.high + 1e-6;
    text += (inside ? txt(", inside %1 to %2. ") : txt(", outside the expected %1 to %2. "))
                .arg(compact(e.low), compact(e.high)) +
            txt(e.reading);
  } else {
    text += ".";
  }
  range_->setText(text);
}

const Product* IndexPanel::made() const {
  const auto* s = bench_.hasStudy() ? scene() : nullptr;
  if (s == nullptr) return nullptr;
  const auto& all = bench_.study().products;
  for (auto p = all.rbegin(); p != all.rend(); ++p)
    if (p->kind == ProductKind::Index && p->step.value("scene", "") == s->id &&
        p->step.value("formula", "") == edit_->formula() &&
        p->step.value("inside", "") == inside_())
      return &*p;
  return nullptr;
}

const Product* IndexPanel::classMap() const {
  const auto* of = made();
  if (of == nullptr) return nullptr;
  const auto& all = bench_.study().products;
  for (auto p = all.rbegin(); p != all.rend(); ++p)
    if (p->kind == ProductKind::ClassMap && p->step.value("product", "") == of->id) return &*p;
  return nullptr;
}

QString IndexPanel::action() const {
  if (made() != nullptr) return thresholds_->action();
  const QString name = index_.empty() ? txt("index by hand") : txt(indexEntry(index_).title);
  return txt("Make %1").arg(withinSentence(name));
}

QString IndexPanel::missing() const {
  return edit_->error() ? txt("Mend the formula first.") : QString();
}

Json IndexPanel::step() const {
  if (made() != nullptr) return thresholds_->step();
  Json step = {{"do", "index"},
               {"scene", scene()->id},
               {"formula", edit_->formula()},
               {"name", title().toStdString()},
               {"ramp", ramp()}};
  const auto names = knownNames(bench_.study(), scene()->id);
  if (const auto with = used(parseFormula(edit_->formula(), names)); !with.empty())
    step["with"] = with;
  if (!inside_().empty()) step["inside"] = inside_();
  return step;
}

void IndexPanel::act() {
  if (made() == nullptr) thresholds_->startOver();
  Panel::act();
}

}  // namespace zp
