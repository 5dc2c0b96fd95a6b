#include "desks/indices/indices_desk.h"

#include "base/text.h"
#include "grid/pixel_area.h"
#include "legend/class_map.h"
#include "outline/scanline.h"
#include "shell/find_widgets.h"
#include "shell/index_title.h"
#include "study/study_scope.h"
#include "view/ramp.h"

namespace zp {

namespace {
QIcon rampIcon(const std::string& id) {
  QImage strip(256, 1, QImage::Format_RGB32);
  const auto& colours = ramp(id);
  for (int x = 0; x < 256; ++x) strip.setPixel(x, 0, colours[static_cast<size_t>(x)]);
  return QPixmap::fromImage(strip.scaled(64, 12));
}

constexpr size_t kRampEnd = 24;

/// Of the pixels inside polygons that are in another system.
Histogram histogramOfPart(const std::filesystem::path& file, std::vector<Shape> area,
                          const std::string& crs, const Progress& progress) {
  const Grid grid = RasterFile(file).grid();
  const Window window = bringOnto(grid, crs, area);
  Layer layer;
  layer.shapes = std::move(area);
  return histogramOf(file, 1, 2000, &layer, window, progress);
}

}  // namespace

IndicesDesk::IndicesDesk(Workbench& bench, MapView& view, TileStore& tiles)
    : Desk(bench, view, txt("Indices")), tiles_(tiles), histogramJob_(this) {
  const QString titles[] = {txt("One index"), txt("By rules"), txt("Between dates")};
  const char* names[] = {"mode-index", "mode-rules", "mode-dates"};
  for (int i = 0; i < 3; ++i) {
    modes_[i] = chip(titles[i]);
    modes_[i]->setObjectName(names[i]);
    connect(modes_[i], &QPushButton::clicked, this, [this, i] {
      setMode(static_cast<Mode>(i));
      if (mode_ == Mode::Index) formulaChanged();
    });
  }
  body()->addWidget(wrapping({std::begin(modes_), std::end(modes_)}, 6));
  page_ = new QWidget;
  auto* page = new QVBoxLayout(page_);
  page->setContentsMargins(0, 0, 0, 0);
  page->setSpacing(8);
  body()->addWidget(page_, 1);
  rules_ = new RulesPanel(bench);
  dates_ = new DatesPanel(bench, [this] { return inHand(); });
  body()->addWidget(rules_, 1);
  body()->addWidget(dates_, 1);
  openedBy(page_, "mode-index");
  openedBy(rules_, "mode-rules");
  openedBy(dates_, "mode-dates");
  connect(rules_, &RulesPanel::changed, this, &IndicesDesk::updateAction);
  connect(dates_, &DatesPanel::changed, this, &IndicesDesk::updateAction);
  auto* box = new QWidget;
  chips_ = new FlowLayout(6);
  box->setLayout(chips_);
  page->addWidget(box);
  cannot_ = secondLabel("");
  cannot_->setObjectName("cannotHere");
  page->addWidget(cannot_);
  book_ = new QWidget;
  auto* bookBox = new QVBoxLayout(book_);
  bookBox->setContentsMargins(0, 0, 0, 0);
  bookBox->setSpacing(6);
  search_ = new QLineEdit;
  search_->setObjectName("bookSearch");
  search_->setAccessibleName(txt("Search the index book"));
  search_->setPlaceholderText(txt("Search: a name, a use, a band, an author"));
  search_->setClearButtonEnabled(true);
  found_ = new QListWidget;
  found_->setObjectName("bookList");
  found_->setAccessibleName(txt("Indices found"));
  found_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  bookBox->addWidget(search_);
  bookBox->addWidget(found_);
  book_->setVisible(false);
  page->addWidget(book_);
  about_ = new Paragraph("");
  about_->opener()->setObjectName("explainIndex");
  rampList_ = new LongChoice;
  rampList_->setObjectName("ramp");
  rampList_->setIconSize(QSize(64, 12));
  for (const auto& [id, title] : rampNames()) rampList_->addItem(rampIcon(id), txt(title), q(id));
  rampList_->setAccessibleName(txt("Ramp"));
  rampList_->setToolTip(txt("The ramp it is shown in"));
  auto* formulaHead = new QHBoxLayout;
  formulaHead->addWidget(sectionLabel(txt("Formula")));
  formulaHead->addWidget(about_->opener());
  formulaHead->addStretch();
  rampList_->setFixedWidth(210);
  formulaHead->addWidget(rampList_);
  page->addLayout(formulaHead);
  page->addWidget(about_);
  edit_ = new FormulaEdit;
  page->addWidget(edit_);
  error_ = secondLabel("");
  error_->setObjectName("formulaError");
  setTone(error_, "warning");
  page->addWidget(error_);
  range_ = secondLabel("");
  range_->setObjectName("formulaRange");
  page->addWidget(range_);
  warning_ = secondLabel("");
  warning_->setObjectName("formulaWarning");
  setTone(warning_, "warning");
  warning_->setVisible(false);
  page->addWidget(warning_);
  inside_ = new QCheckBox(txt("Inside the study area only"));
  inside_->setObjectName("insideStudyArea");
  body()->insertWidget(1, inside_, 0, Qt::AlignLeft);
  keep_ = linkButton(txt("Keep in the index book…"));
  keep_->setObjectName("keepIndex");
  drop_ = linkButton(txt("Take out of the index book"));
  drop_->setObjectName("dropIndex");
  page->addWidget(keep_, 0, Qt::AlignLeft);
  page->addWidget(drop_, 0, Qt::AlignLeft);
  thresholdTitle_ = sectionLabel(txt("Threshold"));
  from_ = new QComboBox;
  from_->setObjectName("histogramFrom");
  from_->addItems({txt("the whole"), txt("the study area"), txt("what is seen")});
  from_->setAccessibleName(txt("Histogram of"));
  from_->setToolTip(txt(
      "Histogram and areas of the whole picture or of a part. Dragging in the histogram beside the "
      "handles lights up the pixels of those values."));
  from_->setStyleSheet("QComboBox { padding: 1px 6px; min-height: 20px; }");
  suggest_ = linkButton(txt("Suggest"));
  suggest_->setObjectName("suggestCut");
  suggest_->setToolTip(txt("The threshold that parts the histogram best in two (Otsu 1979)"));
  addCut_ = linkButton("+");
  addCut_->setToolTip(txt("Another threshold"));
  addCut_->setAccessibleName(txt("Add a threshold"));
  addCut_->setObjectName("addCut");
  dropCut_ = linkButton("−");
  dropCut_->setObjectName("dropCut");
  dropCut_->setToolTip(txt("One threshold less"));
  dropCut_->setAccessibleName(txt("Remove the last threshold"));
  valley_ = linkButton(txt("Valley"));
  valley_->setObjectName("valleyCut");
  valley_->setToolTip(
      txt("At the deepest valley between the two peaks of the histogram (Prewitt and Mendelsohn "
          "1966)"));
  page->addWidget(wrapping({thresholdTitle_, from_, suggest_, valley_, addCut_, dropCut_}));
  chart_ = new ThresholdChart;
  chart_->setBrushable(true);
  page->addWidget(chart_);
  table_ = plainTable({txt("Class"), txt("share"), txt("pixels"), txt("ha"), txt("km²")});
  table_->setObjectName("thresholdTable");
  table_->setEditTriggers(QAbstractItemView::DoubleClicked | QAbstractItemView::EditKeyPressed);
  table_->setToolTip(txt("Double-click a name to change it"));
  page->addWidget(table_);
  page->addStretch();
  polygonsPanel_ = new PolygonsPanel(bench);
  polygonsPanel_->setVisible(false);
  page->insertWidget(page->count() - 1, polygonsPanel_);
  polygons_ = quietButton(txt("Polygons…"));
  polygons_->setCheckable(true);
  polygons_->setObjectName("polygons");
  polygons_->setToolTip(
      txt("Polygons of classes of the map made from this index, with their areas"));
  footer()->addWidget(polygons_);

  settle_.setSingleShot(true);
  settle_.setInterval(10);
  connect(&settle_, &QTimer::timeout, this, &IndicesDesk::showPreview);
  connect(search_, &QLineEdit::textChanged, this, &IndicesDesk::fillBook);
  connect(search_, &QLineEdit::returnPressed, this, [this] {
    for (int i = 0; i < found_->count(); ++i)
      if (found_->item(i)->flags() & Qt::ItemIsEnabled) return chooseFound(found_->item(i));
  });
  connect(found_, &QListWidget::itemClicked, this, &IndicesDesk::chooseFound);
  connect(found_, &QListWidget::itemActivated, this, &IndicesDesk::chooseFound);
  connect(edit_, &QPlainTextEdit::textChanged, this, &IndicesDesk::formulaChanged);
  connect(edit_, &FormulaEdit::accepted, this, &IndicesDesk::act);
  connect(primary_, &QPushButton::clicked, this, &IndicesDesk::act);
  connect(inside_, &QCheckBox::clicked, this, [this] {
    cuts_.clear();
    refresh();
  });
  connect(chart_, &ThresholdChart::dragged, this, [this](const std::vector<double>& cuts) {
    cuts_ = cuts;
    fillAreas();
  });
  connect(keep_, &QPushButton::clicked, this, &IndicesDesk::keepInBook);
  connect(drop_, &QPushButton::clicked, this, [this] {
    dropIndex(index_);
    index_.clear();
    refresh();
  });
  connect(rampList_, &QComboBox::activated, this, [this] {
    if (const auto* made = product())
      bench_.setRamp(q(made->id), rampList_->currentData().toString());
    else
      showPreview();
  });
  connect(suggest_, &QPushButton::clicked, this, [this] { setCuts({otsuThreshold(histogram_)}); });
  connect(addCut_, &QPushButton::clicked, this, [this] {
    if (cuts_.size() >= 5) return;
    auto cuts = cuts_;
    const double last = cuts.empty() ? histogram_.low : cuts.back();
    cuts.push_back((last + histogram_.high) / 2);
    setCuts(cuts);
  });
  connect(dropCut_, &QPushButton::clicked, this, [this] {
    auto cuts = cuts_;
    if (cuts.size() > 1) cuts.pop_back();
    setCuts(cuts);
  });
  connect(table_, &QTableWidget::itemChanged, this, [this](QTableWidgetItem* item) {
    if (filling_ || item->column() != 0) return;
    const auto row = static_cast<size_t>(item->row());
    if (!item->text().trimmed().isEmpty()) classes_[row].name = item->text().trimmed();
    fillAreas();
  });
  connect(polygons_, &QPushButton::toggled, this, [this](bool on) {
    const Product* map = classMap();
    polygonsPanel_->setVisible(on && map != nullptr && polygonsPanel_->offer(*map));
    if (polygonsPanel_->isVisible())
      QTimer::singleShot(0, this, [this] { showInScroll(polygonsPanel_); });
  });
  connect(polygonsPanel_, &PolygonsPanel::written, this, [this] { polygons_->setChecked(false); });
  connect(valley_, &QPushButton::clicked, this, [this] {
    if (const auto at = valleyThreshold(histogram_))
      setCuts({*at});
    else
      say(txt("The histogram has one peak only, so it has no valley; set the threshold by hand."));
  });
  connect(from_, &QComboBox::activated, this, [this] {
    histogramOf_.clear();
    showProduct();
  });
  connect(&view_, &MapView::moved, this, [this] {
    if (isVisible() && from_->currentIndex() == 2 && product() != nullptr) moved_.start();
  });
  moved_.setSingleShot(true);
  moved_.setInterval(300);
  connect(&moved_, &QTimer::timeout, this, [this] {
    histogramOf_.clear();
    showProduct();
  });
  connect(chart_, &ThresholdChart::brushed, this, &IndicesDesk::lightUp);
  connect(&tiles_, &TileStore::overviewArrived, this, [this](const QString& key) {
    if (key != previewKey_ || product() != nullptr) return;
    if (const auto* o = tiles_.overview(key)) showRange(o->histogram.statistics, false);
  });
}

void IndicesDesk::refresh() {
  const auto* s = bench_.currentScene();
  if (s == nullptr)
    return setMissing(txt("Indices are computed from the bands of a scene. Bring one in first."),
                      txt("Go to scenes"), 0);
  setReady();
  showSceneSelector();
  filling_ = true;
  while (auto* item = chips_->takeAt(0)) {
    delete item->widget();
    delete item;
  }
  std::vector<const IndexEntry*> can, cannot;
  size_t more = 0;
  for (const auto& e : indexBook()) {
    const bool possible = missingRoles(e, s->scene).empty();
    if (e.id == index_ || (e.featured && possible))
      can.push_back(&e);
    else if (e.featured)
      cannot.push_back(&e);
    else
      ++more;
  }
  // A radar scene, or one of few bands, is offered what it can do.
  if (can.size() < 3)
    for (const auto& e : indexBook())
      if (can.size() < 6 && missingRoles(e, s->scene).empty() &&
          std::find(can.begin(), can.end(), &e) == can.end())
        can.push_back(&e), --more;
  for (const auto* e : can) {
    auto* b = chip(txt(e->title));
    b->setObjectName("index-" + q(e->id));
    b->setChecked(e->id == index_);
    b->setToolTip(txt(e->name));
    connect(b, &QPushButton::clicked, this, [this, e] { chooseIndex(*e); });
    chips_->addWidget(b);
  }
  auto* own = chip(txt("By hand"));
  own->setObjectName("index-by-hand");
  own->setChecked(index_.empty());
  connect(own, &QPushButton::clicked, this, [this] {
    index_.clear();
    refresh();
    edit_->setFocus();
    edit_->selectAll();
  });
  chips_->addWidget(own);
  QStringList notHere;
  for (const auto* e : cannot)
    notHere << txt("%1 (no %2)").arg(txt(e->title), sentenceOf(listed(missingRoles(*e, s->scene))));
  cannot_->setVisible(!notHere.isEmpty());
  cannot_->setText(cannot.size() == 1 ? txt("Not with this scene: %1").arg(notHere[0])
                                      : txt("Not with this scene: %1 and %2 more")
                                            .arg(cannot.empty() ? QString() : txt(cannot[0]->title))
                                            .arg(cannot.size() - 1));
  cannot_->setToolTip(notHere.join("\n"));
  auto* others = chip(txt("%1 more…").arg(more));
  others->setObjectName("index-more");
  others->setChecked(book_->isVisibleTo(this));
  connect(others, &QPushButton::toggled, this, [this](bool on) {
    book_->setVisible(on);
    if (on) fillBook(), search_->setFocus();
  });
  chips_->addWidget(others);
  if (book_->isVisibleTo(this)) fillBook();
  edit_->setKnown(knownNames(bench_.study(), s->id));
  rules_->refresh();
  dates_->refresh();
  const bool first = edit_->toPlainText().isEmpty();
  filling_ = false;
  const bool cannotAnyMore = !index_.empty() && !missingRoles(indexEntry(index_), s->scene).empty();
  if ((first || cannotAnyMore) && !can.empty()) {
    const auto fits = std::find_if(can.begin(), can.end(), [&](const IndexEntry* e) {
      return missingRoles(*e, s->scene).empty();
    });
    if (fits != can.end()) return chooseIndex(rememberedOr(**fits));
  }
  formulaChanged();
  showProduct();
}

/// The index last chosen in this study, where the scene can do it.
const IndexEntry& IndicesDesk::rememberedOr(const IndexEntry& other) const {
  const Json kept = bench_.place("index");
  for (const auto& e : indexBook())
    if (kept == e.id && missingRoles(e, bench_.currentScene()->scene).empty()) return e;
  return other;
}

void IndicesDesk::forget() {
  settle_.stop();
  histogramJob_.stop();
  histogramOf_.clear();
  previewKey_.clear();
  cuts_.clear();
}

/// What the search finds: those the scene can do first, then those it cannot, with what they lack.
void IndicesDesk::fillBook() {
  const auto* s = bench_.currentScene();
  if (s == nullptr) return;
  found_->clear();
  const auto found = searchIndexBook(search_->text().toStdString());
  for (const bool possible : {true, false})
    for (const auto* e : found) {
      const auto missing = missingRoles(*e, s->scene);
      if (missing.empty() != possible) continue;
      QString title = titleInLists(*e);
      if (!possible) title += txt(": no %1").arg(sentenceOf(listed(missing)));
      auto* item = new QListWidgetItem(title);
      item->setData(Qt::UserRole, q(e->id));
      item->setToolTip(txt(e->name) + ", " + txt(e->source) + "\n" + q(e->formula));
      if (!possible) item->setFlags(item->flags() & ~Qt::ItemIsEnabled);
      found_->addItem(item);
    }
  if (found.empty()) {
    auto* none = new QListWidgetItem(txt("No index of the book has these words."));
    none->setFlags(Qt::NoItemFlags);
    found_->addItem(none);
  }
  fitHeight(found_);
}

/// Asks for a name; the range is that of the scene, seen now.
void IndicesDesk::keepInBook() {
  bool ok = false;
  const QString title = QInputDialog::getText(this, txt("Keep in the index book"),
                                              txt("Name of the index"), QLineEdit::Normal, {}, &ok);
  if (!ok) return;
  IndexEntry entry;
  entry.title = title.trimmed().toStdString();
  entry.name = entry.title;
  entry.formula = edit_->formula();
  entry.ramp = rampList_->currentData().toString().toStdString();
  entry.about = txt("An index of your own.").toStdString();
  entry.source = txt("your own").toStdString();
  const auto* o = tiles_.overview(previewKey_);
  entry.low = o != nullptr && o->histogram.statistics.valid > 0 ? o->histogram.statistics.min : -1;
  entry.high = o != nullptr && o->histogram.statistics.valid > 0 ? o->histogram.statistics.max : 1;
  try {
    index_ = keepIndex(entry).id;
    say("");
    refresh();
  } catch (const std::exception& e) {
    say(sentenceOf(e));
  }
}

void IndicesDesk::chooseFound(QListWidgetItem* item) {
  if (!(item->flags() & Qt::ItemIsEnabled)) return;
  const IndexEntry& entry = indexEntry(item->data(Qt::UserRole).toString().toStdString());
  book_->setVisible(false);
  chooseIndex(entry);
}

void IndicesDesk::choose(const std::string& id) {
  const auto* s = bench_.currentScene();
  if (s == nullptr) return;
  const IndexEntry& entry = indexEntry(id);
  setMode(Mode::Index);
  if (missingRoles(entry, s->scene).empty()) return chooseIndex(entry);
  findChild<QPushButton*>("index-more")->setChecked(true);
  search_->setText(q(entry.name));
}

void IndicesDesk::chooseIndex(const IndexEntry& entry) {
  if (index_ != entry.id) classes_.clear();
  index_ = entry.id;
  bench_.setPlace("index", entry.id);
  filling_ = true;
  const auto* s = bench_.currentScene();
  edit_->setPlainText(q(s == nullptr ? entry.formula : formulaFor(entry, s->scene)));
  rampList_->setCurrentIndex(rampList_->findData(q(entry.ramp)));
  filling_ = false;
  cuts_.clear();
  refresh();
}

void IndicesDesk::formulaChanged() {
  if (filling_) return;
  const auto* s = bench_.currentScene();
  if (s == nullptr) return;
  const IndexEntry* entry = nullptr;
  for (const auto& e : indexBook())
    if (formulaFor(e, bench_.currentScene()->scene) == edit_->formula() &&
        (entry == nullptr || e.id == index_))
      entry = &e;
  if (!index_.empty() && (entry == nullptr || entry->id != index_)) {
    index_.clear();
    for (auto* b : findChildren<QPushButton*>())
      if (b->property("part") == "chip") b->setChecked(b->objectName() == "index-by-hand");
  }
  if (entry != nullptr) {
    const QString of =
        entry->abbreviation.empty() ? QString() : " (" + q(entry->abbreviation) + ")";
    setHeading(txt(entry->title), txt(entry->name) + of + ".");
    about_->setText(txt(entry->about) + " <i>" + txt(entry->source) + "</i>");
  } else {
    setHeading(txt("Formula by hand"), "");
    about_->setText(
        txt("Roles here: %1. Also + − * / ^, comparisons, %2.")
            .arg(sentenceOf(listed(s->scene.roles())),
                 "and, or, not, when … then … else …, min max abs sqrt log10 exp ndiff"));
  }
  const auto e = edit_->error();
  error_->setVisible(e.has_value());
  range_->setVisible(!e.has_value());
  keep_->setVisible(!e && entry == nullptr);
  drop_->setVisible(entry != nullptr && entry->group == "own");
  if (e) error_->setText(sentenceOf(*e) + txt(" (character %1)").arg(e->at + 1));
  const bool made = product() != nullptr;
  chart_->setVisible(made);
  table_->setVisible(made);
  for (QWidget* w : {static_cast<QWidget*>(suggest_), static_cast<QWidget*>(addCut_),
                     static_cast<QWidget*>(dropCut_), static_cast<QWidget*>(valley_),
                     static_cast<QWidget*>(from_)})
    w->setVisible(made);
  thresholdTitle_->setText(made ? txt("Thresholds") : "");
  polygons_->setVisible(made);
  polygons_->setEnabled(classMap() != nullptr);
  if (!polygons_->isEnabled() || !made) polygons_->setChecked(false);
  warning_->setVisible(false);
  if (!e) {
    settle_.start();
    showWarnings();
  }
  setMode(mode_);
}

/// Said once, in place, before the numbers are trusted.
void IndicesDesk::showWarnings() {
  const auto* s = bench_.currentScene();
  const Formula f = parseFormula(edit_->formula(), knownNames(bench_.study(), s->id));
  QStringList all;
  try {
    for (const auto& w : warningsFor(studyScope(bench_.study(), s->id, used(f)), f))
      all << sentenceOf(w);
  } catch (const std::exception& e) {
    all << sentenceOf(e);  // a file it needs went away
  }
  warning_->setText(all.join("\n"));
  warning_->setVisible(!all.isEmpty());
}

void IndicesDesk::setMode(Mode mode) {
  mode_ = mode;
  for (int i = 0; i < 3; ++i) modes_[i]->setChecked(i == static_cast<int>(mode));
  const auto& outlines = bench_.study().outlines;
  inside_->setVisible(mode != Mode::Dates &&
                      std::any_of(outlines.begin(), outlines.end(),
                                  [](const StudyOutline& o) { return o.studyArea; }));
  page_->setVisible(mode == Mode::Index);
  rules_->setVisible(mode == Mode::Rules);
  dates_->setVisible(mode == Mode::Dates);
  updateAction();
}

void IndicesDesk::updateAction() {
  if (mode_ == Mode::Index) {
    polygons_->setVisible(product() != nullptr);
    return updateIndexAction();
  }
  polygons_->setVisible(false);
  if (mode_ == Mode::Rules) {
    setHeading(txt("Classes by rules"),
               txt("Conditions over several indices and bands, straight to classes."));
    primary_->setText(txt("Make the class map"));
    primary_->setEnabled(rules_->step().has_value());
    return;
  }
  setHeading(txt("Between dates"), txt("What changed, where, and how much."));
  primary_->setText(dates_->action());
  QString missing;
  primary_->setEnabled(bench_.hasStudy() && dates_->step(missing).has_value());
  primary_->setToolTip(missing);
}

void IndicesDesk::updateIndexAction() {
  primary_->setEnabled(!edit_->error());
  primary_->setToolTip("");
  const QString name = index_.empty() ? txt("index by hand") : txt(indexEntry(index_).title);
  primary_->setText(product() != nullptr ? txt("Make map of %n classes", "Make map of %n class",
                                               static_cast<qint64>(cuts_.size() + 1))
                                         : txt("Make %1").arg(name.toLower()));
}

/// The index in hand, as products and pictures are called.
QString IndicesDesk::title() const {
  return index_.empty() ? txt("Formula") : txt(indexEntry(index_).title);
}

IndexInHand IndicesDesk::inHand() const {
  IndexInHand h;
  h.formula = edit_->formula();
  h.title = title().toStdString();
  h.ramp = rampList_->currentData().toString().toStdString();
  if (product() == nullptr) return h;
  h.cuts = cuts_;
  for (const auto& c : classes_)
    h.classes.push_back({{"name", c.name.toStdString()}, {"colour", colourText(fromQt(c.colour))}});
  return h;
}

std::map<std::string, std::string> IndicesDesk::used(const Formula& f) const {
  return usedNames({f}, formulaNames(bench_.study()));
}

/// The study area's id where the result is to be cut to it.
std::string IndicesDesk::cutTo() const {
  if (!inside_->isChecked()) return "";
  for (const auto& o : bench_.study().outlines)
    if (o.studyArea) return o.id;
  return "";
}

void IndicesDesk::showPreview() {
  const auto* s = bench_.currentScene();
  if (s == nullptr || edit_->error() || !isVisible()) return;
  if (product() != nullptr || mode_ != Mode::Index) return;
  Picture p;
  p.kind = Picture::Kind::Formula;
  p.of = "preview";
  p.formula = parseFormula(edit_->formula(), knownNames(bench_.study(), s->id));
  try {
    p.scope = studyScope(bench_.study(), s->id, used(p.formula));
  } catch (const std::exception&) {
    return;  // the warnings say why
  }
  p.title = title();
  p.detail = txt("preview");
  p.ramp = rampList_->currentData().toString().toStdString();
  QString of;
  for (const auto& one : p.scope.scenes) of += sceneKey(one.scene) + ",";
  p.key = QString("f/%1/%2/%3").arg(of, q(p.ramp), q(p.formula.text));
  previewKey_ = p.key;
  Q_EMIT pictureAsked(p);
  if (const auto* o = tiles_.overview(p.key)) showRange(o->histogram.statistics, false);
}

void IndicesDesk::keepFront() {
  settle_.stop();
  // The range of what was looked at before is not that of this scene.
  if (bench_.hasStudy() && product() == nullptr)
    range_->setText(index_.empty() ? QString() : txt(indexEntry(index_).reading));
}

void IndicesDesk::showRange(const Statistics& st, bool exact) {
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

const Product* IndicesDesk::product() const {
  const auto* s = bench_.currentScene();
  if (s == nullptr) return nullptr;
  const auto& all = bench_.study().products;
  for (auto p = all.rbegin(); p != all.rend(); ++p)
    if (p->kind == ProductKind::Index && p->step.value("scene", "") == s->id &&
        p->step.value("formula", "") == edit_->formula() && p->step.value("inside", "") == cutTo())
      return &*p;
  return nullptr;
}

const Product* IndicesDesk::classMap() const {
  const auto* of = product();
  const auto& all = bench_.study().products;
  for (auto p = all.rbegin(); p != all.rend() && of != nullptr; ++p)
    if (p->kind == ProductKind::ClassMap && p->step.value("product", "") == of->id) return &*p;
  return nullptr;
}

void IndicesDesk::showProduct() {
  const Product* p = product();
  if (p == nullptr) return;
  rampList_->setCurrentIndex(rampList_->findData(q(p->ramp)));
  const QString tag = q(p->id) + "/" + QString::number(p->revision);
  if (tag == histogramOf_) {
    showRange(histogram_.statistics, true);
    return setCuts(cuts_.empty() ? std::vector<double>{otsuThreshold(histogram_)} : cuts_);
  }
  const auto file = p->file;
  const int part = from_->currentIndex();
  std::vector<Shape> area = part == 1 ? bench_.studyArea() : std::vector<Shape>();
  if (part == 1 && area.empty()) {
    from_->setCurrentIndex(0);
    say(txt("There is no study area yet; draw or choose one under Scenes."));
  }
  if (part == 2) {
    const Extent e = view_.visible();
    area = {{{{{e.left, e.bottom}, {e.right, e.bottom}, {e.right, e.top}, {e.left, e.top}}}, {}}};
  }
  const std::vector<double> kept = part == 2 ? cuts_ : std::vector<double>();
  histogramJob_.ask(
      [file, area, crs = view_.crs()](const Progress& progress) {
        if (area.empty()) return histogramOf(file, 1, 2000, progress);
        return histogramOfPart(file, area, crs, progress);
      },
      [this, tag, file, kept](const Histogram& h) {
        histogram_ = h;
        histogramOf_ = tag;
        chart_->setHistogram(h);
        const auto areas = pixelAreas(RasterFile(file).grid());
        pixelArea_ = areas.empty() ? 0 : areas[areas.size() / 2];
        showRange(h.statistics, true);
        setCuts(kept.empty() ? std::vector<double>{otsuThreshold(h)} : kept);
      },
      [this](const QString& sentence) { say(sentence); });
}

/// The pixels whose values were chosen in the histogram, over the view.
void IndicesDesk::lightUp(double low, double high) {
  const Product* p = product();
  if (p == nullptr || low >= high) return view_.setVeil({});
  Display lit;
  lit.lit = true;
  lit.range = Display::Range::ByHand;
  lit.low.fill(static_cast<float>(low)), lit.high.fill(static_cast<float>(high));
  view_.setVeil(displayed(bench_.pictureOf(q(p->id)), lit));
}

void IndicesDesk::leave() {
  chart_->clearBrush();
}

/// The parts of the index as its reading calls them.
QStringList IndicesDesk::suggestedNames(size_t parts) const {
  IndexEntry::Ends ends;
  if (!index_.empty()) ends = indexEntry(index_).ends;
  QStringList names{txt(ends.low)};
  for (size_t i = 1; i + 1 < parts; ++i)
    names << (parts == 3 ? txt("Between") : txt("Between %1").arg(i));
  return names << txt(ends.high);
}

void IndicesDesk::setCuts(const std::vector<double>& cuts) {
  cuts_ = cuts;
  const size_t n = cuts.size() + 1, had = classes_.size();
  const QStringList names = suggestedNames(n);
  // Names of one's own stay; those nobody changed follow the number of classes and the index.
  classes_.resize(n);
  for (size_t i = 0; i < n; ++i) {
    const auto at = static_cast<qsizetype>(i);
    if (i >= had || classes_[i].name == suggested_.value(at)) classes_[i].name = names[at];
    // From one end of the ramp to the other: a class looks like its pixels in the picture. The very
    // ends are left out, which are too dark or too light for a chart.
    const auto& colours = ramp(rampList_->currentData().toString().toStdString());
    classes_[i].colour =
        QColor(colours[kRampEnd + i * (255 - 2 * kRampEnd) / std::max<size_t>(1, n - 1)]);
  }
  suggested_ = names;
  std::vector<QColor> colours;
  for (const auto& c : classes_) colours.push_back(c.colour);
  chart_->setCuts(cuts_, colours);
  fillAreas();
  updateAction();
}

void IndicesDesk::fillAreas() {
  filling_ = true;
  table_->setRowCount(static_cast<int>(classes_.size()));
  std::vector<double> counts(classes_.size());
  for (size_t i = 0; i < histogram_.bins.size(); ++i) {
    const double v = histogram_.low + (static_cast<double>(i) + 0.5) * histogram_.binWidth();
    size_t c = 0;
    for (double cut : cuts_) c += v >= cut ? 1 : 0;
    counts[c] += static_cast<double>(histogram_.bins[i]);
  }
  counts.front() += static_cast<double>(histogram_.below);
  counts.back() += static_cast<double>(histogram_.above);
  double all = 0;
  for (double n : counts) all += n;
  for (int r = 0; r < table_->rowCount(); ++r) {
    const auto& c = classes_[static_cast<size_t>(r)];
    const double n = counts[static_cast<size_t>(r)];
    auto* name = new QTableWidgetItem(swatch(c.colour), c.name);
    table_->setItem(r, 0, name);
    const auto cell = [&](int column, const QString& text) {
      auto* item = figureItem(text);
      item->setFlags(item->flags() & ~Qt::ItemIsEditable);
      table_->setItem(r, column, item);
    };
    cell(1, decimal(all > 0 ? 100 * n / all : 0, 1) + " %");
    cell(2, grouped(static_cast<qulonglong>(n + 0.5)));
    cell(3, pixelArea_ > 0 ? areaText(n * pixelArea_) : "–");
    cell(4, pixelArea_ > 0 ? decimal(n * pixelArea_ / 1e6, 2) : "–");
  }
  fitHeight(table_);
  filling_ = false;
}

void IndicesDesk::act() {
  const auto* s = bench_.currentScene();
  if (s == nullptr) return;
  say("");
  const auto shown = [this](const QString& id) {
    Q_EMIT productAsked(id);
    if (const auto* p = bench_.study().product(id.toStdString())) dates_->showResult(*p);
  };
  QString missing;
  if (mode_ != Mode::Index) {
    auto step = mode_ == Mode::Rules ? rules_->step() : dates_->step(missing);
    if (!step) return say(missing);
    if (mode_ == Mode::Rules && !cutTo().empty()) (*step)["inside"] = cutTo();
    return bench_.run(*step, primary_->text(), shown);
  }
  if (edit_->error()) return;
  if (product() == nullptr) {
    const std::string name = title().toStdString();
    Json step = {{"do", "index"},
                 {"scene", s->id},
                 {"formula", edit_->formula()},
                 {"name", name},
                 {"ramp", rampList_->currentData().toString().toStdString()}};
    const auto names = knownNames(bench_.study(), s->id);
    if (const auto with = used(parseFormula(edit_->formula(), names)); !with.empty())
      step["with"] = with;
    if (!cutTo().empty()) step["inside"] = cutTo();
    cuts_.clear();
    bench_.run(step, txt("Make %1").arg(title().toLower()),
               [this](const QString& id) { Q_EMIT productAsked(id); });
    return;
  }
  Json classes = Json::array();
  for (const auto& c : classes_)
    classes.push_back({{"name", c.name.toStdString()}, {"colour", colourText(fromQt(c.colour))}});
  const Json step = {
      {"do", "threshold"},
      {"product", product()->id},
      {"at", cuts_},
      {"classes", classes},
      {"name", txt("%1, %n classes", "%1, %n class", static_cast<qint64>(classes_.size()))
                   .arg(q(product()->name))
                   .toStdString()}};
  bench_.run(step, primary_->text(), [this](const QString& id) { Q_EMIT productAsked(id); });
}

}  // namespace zp
