#include "shell/main_window.h"

#include "base/own_entries.h"
#include "base/text.h"
#include "desks/mapping/mapping_desk.h"
#include "desks/sampling/sampling_desk.h"
#include "look/ask.h"
#include "scene/sensor.h"
#include "shell/application.h"
#include "shell/facts.h"
#include "shell/guide.h"
#include "shell/product_face.h"
#include "shell/second_click.h"
#include "walk/walk.h"

namespace zp {

namespace {
constexpr int kDeskWidth = 408;
template <class Layout>
Layout* tight(QWidget* of) {
  auto* layout = new Layout(of);
  layout->setContentsMargins(0, 0, 0, 0);
  layout->setSpacing(0);
  return layout;
}
}  // namespace

QString MainWindow::stageName(size_t stage) {
  static const char* const names[] = {words("Scenes"),  words("Indices"),  words("Training"),
                                      words("Mapping"), words("Sampling"), words("Accuracy")};
  return txt(names[stage]);
}

MainWindow::MainWindow() : book_(bench_) {
  const DressedLater all;
  setWindowTitle("Zany Patch");
  setWindowIcon(QIcon(":/icons/zany-patch.svg"));
  setAcceptDrops(true);
  setMinimumSize(1100, 700);
  constexpr int kFrame = 40;  // that the desktop puts around it
  const QSize room = screen()->availableSize() - QSize(0, kFrame), usual(1280, 800);
  const bool small = room.width() < minimumWidth() || room.height() < minimumHeight();
  resize(small ? usual : usual.boundedTo(room));
  trail_ = new Trail;
  view_ = new MapView(tiles_);
  pictures_ = std::make_unique<PicturesShown>(bench_, *view_);
  outlines_ = std::make_unique<OutlineOverlay>(bench_, *view_);
  probe_ = new Probe(bench_);
  shelf_ = new Shelf(bench_);
  buildDesks();
  buildMiddle();
  buildStudyMenu();
  buildOverView();
  buildShortcuts();
  buildFind();
  placeTimer_.setSingleShot(true);
  placeTimer_.setInterval(400);
  connect(&placeTimer_, &QTimer::timeout, this, &MainWindow::rememberPlace);
  connectBench();
  connectShelf();
  connectView();
  connectSheets();
  walk_ = new Walk(*this);
  studyChanged();
  tellOwnTroubles();
}

MainWindow::~MainWindow() {
  bench_.jobs().cancel();
}

void MainWindow::buildDesks() {
  desk_[0] = scenesDesk_ = new ScenesDesk(bench_, *view_);
  desk_[1] = indicesDesk_ = new IndicesDesk(bench_, *view_, tiles_);
  desk_[2] = trainingDesk_ = new TrainingDesk(bench_, *view_);
  desk_[3] = mappingDesk_ = new MappingDesk(bench_, *view_);
  desk_[4] = new SamplingDesk(bench_, *view_);
  desk_[5] = accuracyDesk_ = new AccuracyDesk(bench_, *view_, book_);
  labelling_ = new LabellingSheet(bench_, book_);
  matrix_ = new MatrixSheet(bench_, book_);
  plan_ = new PlanSheet(bench_);
  comparison_ = new ComparisonSheet(bench_, book_);
  typed_ = new TypedSheet(bench_);
  naming_ = new NamingSheet(bench_);
  signatures_ = new SignatureSheet(bench_, [this] { return mappingDesk_->features(); });
  table_ = new TableSheet(bench_);
  desks_ = new QStackedWidget;
  desks_->setFixedWidth(kDeskWidth);
  for (auto* d : desk_) {
    desks_->addWidget(d);
    connect(d, &Desk::stageAsked, this, &MainWindow::goTo);
    connect(d, &Desk::pictureAsked, pictures_.get(), &PicturesShown::setFront);
    connect(d, &Desk::productAsked, this, &MainWindow::showFront);
    connect(d, &Desk::behindAsked, this,
            [this](const QString& id) { showBehind(bench_.pictureOf(id)); });
    connect(d, &Desk::overlayChanged, this, &MainWindow::updateOverlays);
  }
  connect(scenesDesk_, &ScenesDesk::factsAsked, this, &MainWindow::showSheetOf);
  connect(scenesDesk_, &ScenesDesk::lookAsked, pictures_.get(), &PicturesShown::lookAt);
  connect(scenesDesk_, &ScenesDesk::lookEnded, pictures_.get(), &PicturesShown::endLook);
}

/// The view with what is told, what is running and the probe below it, and the desk.
QWidget* MainWindow::buildWork() {
  noticeBar_ = new NoticeBar;
  connect(noticeBar_, &NoticeBar::linkActivated, this, [this](const QString& id) {
    showFront(id);
    view_->fit();
  });
  auto* left = new QWidget;
  auto* below = tight<QVBoxLayout>(left);
  below->addWidget(view_, 1);
  below->addWidget(new JobBar(bench_.jobs()));
  below->addWidget(noticeBar_);
  below->addWidget(probe_);
  auto* line = new QFrame;
  line->setFixedWidth(1);
  line->setStyleSheet(QString("background: %1;").arg(tokens().hairline.name()));
  auto* work = new QWidget;
  auto* across = tight<QHBoxLayout>(work);
  across->addWidget(left, 1);
  across->addWidget(line);
  across->addWidget(desks_);
  return work;
}

void MainWindow::buildMiddle() {
  pages_ = new QStackedWidget;
  pages_->addWidget(buildWork());
  pages_->addWidget(labelling_);
  pages_->addWidget(matrix_);
  pages_->addWidget(naming_);
  pages_->addWidget(signatures_);
  pages_->addWidget(table_);
  pages_->addWidget(plan_);
  pages_->addWidget(comparison_);
  pages_->addWidget(typed_);
  connect(pages_, &QStackedWidget::currentChanged, new SecondClick(this), &SecondClick::opened);
  auto* whole = new QWidget;
  auto* layout = tight<QVBoxLayout>(whole);
  layout->addWidget(trail_);
  layout->addWidget(pages_, 1);
  layout->addWidget(shelf_);
  setCentralWidget(whole);
}

/// What floats over the view.
void MainWindow::buildOverView() {
  viewTools_ = new ViewTools(bench_, *view_, tiles_, [this] { return outlines_->shapes(); });
  connect(viewTools_, &ViewTools::modeChosen, this, &MainWindow::rememberPlace);
  auto& profiles = viewTools_->profiles();
  connect(view_, &MapView::pinAsked, this, [this, &profiles](Place p) {
    if (stage_ != 2) profiles.pin(p);
  });
  connect(view_, &MapView::unpinAsked, this,
          [&profiles](int i) { profiles.unpin(static_cast<size_t>(i)); });
  connect(&profiles, &ProfileCard::changed, this,
          [this, &profiles] { view_->setPins(profiles.pins()); });
  facts_ = new TextPanel(view_);
  keys_ = new TextPanel(pages_);
  connect(keys_, &TextPanel::linkActivated, this, &openGuide);
  polygonsPanel_ = new FloatingPanel("", view_);
  polygons_ = new PolygonsPanel(bench_);
  polygonsPanel_->body()->addWidget(polygons_);
  connect(polygons_, &PolygonsPanel::written, polygonsPanel_, &QWidget::hide);
  start_ = new StartPage(bench_, *studyMenu_, view_);
  connect(start_, &StartPage::filesAsked, scenesDesk_, &ScenesDesk::chooseFiles);
  connect(start_, &StartPage::walkAsked, this, [this] { walk_->begin(); });
}

void MainWindow::buildStudyMenu() {
  studyMenu_ = new StudyMenu(bench_, this);
  trail_->studyButton()->setMenu(studyMenu_);
  connect(studyMenu_, &StudyMenu::sheetAsked, this, [this] {
    leaveSheets();
    viewTools_->openSheet();
  });
  connect(studyMenu_, &StudyMenu::exportAsked, this, &MainWindow::exportPicture);
  connect(studyMenu_, &StudyMenu::walkAsked, this, [this] { walk_->begin(); });
  connect(studyMenu_, &StudyMenu::keysAsked, this, &MainWindow::showKeys);
  connect(studyMenu_, &StudyMenu::dressAsked, this, &MainWindow::takeDress);
}

void MainWindow::connectBench() {
  connect(trail_, &Trail::chosen, this, &MainWindow::goTo);
  connect(&bench_, &Workbench::studyChanged, this, &MainWindow::studyChanged);
  connect(&bench_, &Workbench::changed, this, &MainWindow::refresh);
  connect(&bench_, &Workbench::savedChanged, this, [this] {
    updateTrail();
    if (bench_.unsaved()) return;
    for (auto* desk : desk_) desk->say({});
  });
  connect(&bench_, &Workbench::currentSceneChanged, this, &MainWindow::refresh);
  connect(&bench_, &Workbench::sceneAdded, this, [this](const QString& id) {
    view_->setCrs(bench_.viewCrs());
    showFront(id);
  });
  connect(&bench_, &Workbench::trouble, this, &MainWindow::trouble);
  connect(&bench_, &Workbench::notice, this, [this](const QString& s) {
    if (pages_->currentIndex() == kTable) return table_->say(s, false);
    noticeBar_->tell(s, false);
  });
  connect(&bench_.jobs(), &JobRunner::changed, this, &MainWindow::updateTrail);
  if (auto* application = qobject_cast<Application*>(qApp))
    connect(application, &Application::trouble, &bench_, &Workbench::trouble);
}

void MainWindow::connectShelf() {
  connect(shelf_, &Shelf::frontAsked, this, [this](const QString& id) {
    // A click on a scene's card makes it the desk's scene too.
    if (bench_.study().scene(id.toStdString()) != nullptr) bench_.setCurrentScene(id);
    showFront(id);
    indicesDesk_->keepFront();
  });
  connect(shelf_, &Shelf::backAsked, pictures_.get(), &PicturesShown::showBack);
  connect(shelf_, &Shelf::sheetAsked, this, &MainWindow::showSheetOf);
  connect(shelf_, &Shelf::polygonsAsked, this, &MainWindow::choosePolygons);
}

void MainWindow::connectView() {
  const auto warn = [this](const QString& sentence) { noticeBar_->tell(sentence, true); };
  connect(&tiles_, &TileStore::failed, this,
          [warn](const QString&, const QString& sentence) { warn(sentence); });
  connect(outlines_.get(), &OutlineOverlay::trouble, this, warn);
  connect(pictures_.get(), &PicturesShown::changed, this, &MainWindow::picturesChanged);
  connect(pictures_.get(), &PicturesShown::toldOf, this,
          [this](const QString& sentence) { noticeBar_->tell(sentence, false); });
  connect(pictures_.get(), &PicturesShown::modeRestored, viewTools_, &ViewTools::setMode);
  connect(view_, &MapView::hovered, probe_, &Probe::look);
  connect(view_, &MapView::left, probe_, &Probe::rest);
  connect(view_, &MapView::moved, this, [this] { placeTimer_.start(); });
}

/// What is wrong in the user's own files of presets and indices.
void MainWindow::tellOwnTroubles() {
  (void)sensors();  // reads them, and finds what is wrong
  (void)indexBook();
  if (ownTroubles().empty()) return;
  QStringList troubles;
  for (const auto& sentence : ownTroubles()) troubles << sentenceOf(sentence);
  // Once the study that is opened at the start is there, which clears the line.
  QTimer::singleShot(0, this, [this, troubles] { noticeBar_->tell(troubles.join("\n"), true); });
}

void MainWindow::openOrBringIn(const QStringList& paths) {
  for (const auto& path : paths)
    if (!QFileInfo::exists(path))
      return noticeBar_->tell(txt("“%1” does not exist.").arg(path), true);
  const QFileInfo one(paths.value(0));
  // A file manager opens a study by the file that marks it.
  if (paths.size() == 1 && one.fileName() == "study.json")
    bench_.open(one.absolutePath());
  else if (paths.size() == 1 && QFileInfo::exists(paths[0] + "/study.json"))
    bench_.open(paths[0]);
  else if (!paths.isEmpty())
    scenesDesk_->offer(paths);
}

void MainWindow::exportPicture(const QString& file) {
  viewTools_->setShown(false);  // the picture alone, without its buttons
  const QPixmap picture = view_->grab();
  viewTools_->setShown(true);
  viewTools_->profiles().refresh();
  if (picture.save(file))
    noticeBar_->tell(txt("The picture is in “%1”.").arg(file), false);
  else
    noticeBar_->tell(txt("The picture could not be written; choose another folder."), true);
}

/// What exists nowhere but in this window is not given up without a word.
bool MainWindow::mayLeave() {
  if (!bench_.unsaved() || bench_.save()) return true;
  return surely(this, txt("The study is not saved"),
                txt("What was changed last could not be written to “%1”. Bring the disk back, free "
                    "some space on it, or save a copy in another place; left now, it is lost.")
                    .arg(q(bench_.study().folder().string())),
                txt("Leave and lose it"), txt("Stay"));
}

void MainWindow::takeDress(const QString& setting, const QVariant& value) {
  QSettings().setValue(setting, value);
  if (bench_.jobs().busy())
    noticeBar_->tell(txt("This is so from the next start; a job runs now."), false);
  else if (mayLeave())
    QApplication::exit(kAnotherLook);
}

void MainWindow::studyChanged() {
  outlines_->forget();
  signatures_->forget();
  plan_->forget();
  comparison_->forget();
  table_->forget();
  for (auto* d : desk_) {
    d->leave();
    d->forget();
  }
  probe_->rest();
  noticeBar_->hide();
  facts_->hide();
  keys_->hide();
  polygonsPanel_->hide();
  pictures_->clear();
  pages_->setCurrentIndex(kWork);
  const bool any = bench_.hasStudy();
  showStudy(any);
  if (!any) {
    view_->setShapes({});
    view_->setPoints({});
    trail_->setStudy(txt("No study"), txt("Ctrl N makes one"));
    trail_->setCurrent(-1);
    setWindowTitle("Zany Patch");
    return updateTrail();
  }
  view_->setCrs(bench_.viewCrs());
  restorePlace();
  viewTools_->profiles().refresh();
}

void MainWindow::showStudy(bool any) {
  for (QWidget* part : std::initializer_list<QWidget*>{desks_, shelf_, probe_})
    part->setVisible(any);
  viewTools_->setShown(any);
  start_->refresh();
  start_->setVisible(!any);
  view_->setEmptyText(txt("Bring in a scene"),
                      txt("Drop one or several rasters here, or use the buttons at the right."));
}

void MainWindow::restorePlace() {
  restoring_ = true;
  pictures_->restore();
  const Json stage = bench_.place("stage");
  goTo(stage.is_number_integer() ? std::clamp(stage.get<int>(), 0, 5) : 0);
  restoring_ = false;
}

void MainWindow::rememberPlace() {
  if (restoring_ || !bench_.hasStudy()) return;
  bench_.setPlaceSoon("stage", stage_);
  pictures_->remember();
}

void MainWindow::goTo(int stage) {
  if (!bench_.hasStudy()) return;
  if (stage != stage_) {
    desk().leave();
    if (pictures_->preview()) pictures_->dropPreview();
  }
  stage_ = stage;
  trail_->setCurrent(stage);
  pages_->setCurrentIndex(kWork);
  shelf_->setVisible(true);
  desks_->setCurrentIndex(stage);
  desk().refresh();
  updateTrail();
  updateOverlays();
  placeTimer_.start();
}

void MainWindow::refresh() {
  if (!bench_.hasStudy()) return;
  if (pages_->currentIndex() == kNaming) naming_->refresh();
  view_->setCrs(bench_.viewCrs());
  if (pages_->currentIndex() == kSignatures) signatures_->refresh();
  if (pages_->currentIndex() == kTable) table_->refresh();
  if (pages_->currentIndex() == kWork || pages_->currentIndex() == kSignatures) desk().refresh();
  pictures_->refresh();
  viewTools_->profiles().refresh();
  updateTrail();
  updateOverlays();
}

void MainWindow::picturesChanged() {
  viewTools_->refresh();
  probe_->setPictures(view_->front(), view_->back());
  if (bench_.hasStudy()) shelf_->setShown(q(view_->front().of), q(view_->back().of));
  if (pages_->currentIndex() == kTable) table_->places().view().setFront(view_->front());
  // Points that are still labelled blind are not seen on a class map.
  if (stage_ == 5 && !book_.none() && book_.blind()) {
    desk().refresh();
    updateOverlays();
  }
  placeTimer_.start();
}

/// What has no picture is gone to at its stage.
void MainWindow::showFront(const QString& id) {
  if (pictures_->showFront(id)) return;
  const auto* product = bench_.study().product(id.toStdString());
  if (product == nullptr) return;
  if (product->kind == ProductKind::Table) return openTable(id);
  goTo(faceOf(product->kind).stage);
  desk().showProduct(id);
}

void MainWindow::updateOverlays() {
  if (!bench_.hasStudy()) return;
  std::vector<ViewShape> shapes = outlines_->shapes();
  const auto ofDesk = desk().shapes();
  shapes.insert(shapes.end(), ofDesk.begin(), ofDesk.end());
  view_->setShapes(std::move(shapes));
  view_->setPoints(desk().points());
}

void MainWindow::updateTrail() {
  std::vector<Trail::Station> stations;
  for (size_t i = 0; i < desk_.size(); ++i) {
    stations.push_back(bench_.hasStudy() ? desk_[i]->station() : Trail::Station());
    auto& one = stations.back();
    one.name = stageName(i);
    if (one.state == Trail::State::Half)
      one.tip =
          txt("An input changed since this was made; bring it up to date from its card's menu.");
  }
  if (bench_.hasStudy()) {
    if (bench_.jobs().busy()) {
      auto& here = stations[static_cast<size_t>(stage_)];
      here.state = Trail::State::Busy;
      here.share = bench_.jobs().share();
      here.figure = QString("%1 %").arg(static_cast<int>(here.share * 100));
    }
    const QString name = q(bench_.study().name);
    const QTime at = bench_.savedAt();
    trail_->setStudy(name,
                     bench_.unsaved() ? txt("not saved")
                     : at.isValid()   ? txt("saved %1").arg(at.toString("HH:mm"))
                                      : txt("saved"),
                     bench_.unsaved());
    setWindowTitle(name + " – Zany Patch");
  }
  trail_->setStations(stations);
}

void MainWindow::trouble(const QString& sentence) {
  if (pages_->currentIndex() == kWork && bench_.hasStudy())
    desk().say(sentence);
  else if (pages_->currentIndex() == kTable)
    table_->say(sentence, true);
  else
    noticeBar_->tell(sentence, true);
}

void MainWindow::showSheetOf(const QString& id) {
  leaveSheets();
  if (const QString facts = factsOf(bench_.study(), id); !facts.isEmpty())
    facts_->show(txt("Facts"), facts);
}

void MainWindow::explain(const QString& title, const QString& text) {
  leaveSheets();
  facts_->show(title, text);
}

void MainWindow::choosePolygons(const QString& id) {
  const Product* map = bench_.study().product(id.toStdString());
  if (map == nullptr || !polygons_->offer(*map)) return;
  leaveSheets();
  polygonsPanel_->setTitle(txt("Polygons of %1").arg(q(map->name)));
  polygonsPanel_->setVisible(true);
  polygonsPanel_->layout()->activate();
  polygonsPanel_->place();
  polygonsPanel_->setFocus();
}

bool MainWindow::settled() const {
  auto* self = const_cast<MainWindow*>(this);
  if (self->bench_.jobs().busy()) return false;
  if (pages_->currentIndex() == kLabelling) return labelling_->ready();
  if (pages_->currentIndex() == kNaming) return naming_->ready();
  if (pages_->currentIndex() == kSignatures) return signatures_->ready();
  if (pages_->currentIndex() == kTable) return table_->ready();
  if (pages_->currentIndex() == kPlan) return plan_->ready();
  if (pages_->currentIndex() == kComparison) return comparison_->ready();
  if (pages_->currentIndex() == kMatrix) return matrix_->errors().ready();
  return view_->complete();
}

void MainWindow::closeEvent(QCloseEvent* e) {
  rememberPlace();
  if (!mayLeave()) return e->ignore();
  QMainWindow::closeEvent(e);
}

}  // namespace zp
