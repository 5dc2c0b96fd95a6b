#include "shell/main_window.h"

#include "base/own_entries.h"
#include "base/text.h"
#include "feature/feature_kind.h"
#include "grid/place_text.h"
#include "scene/sensor.h"
#include "shell/application.h"
#include "shell/facts.h"
#include "shell/find_widgets.h"
#include "shell/index_title.h"
#include "shell/keys.h"

namespace zp {

namespace {
const char* const kStages[] = {words("Scenes"),  words("Indices"),  words("Training"),
                               words("Mapping"), words("Sampling"), words("Accuracy")};

/// A class picture that shows one class alone; all of them for 0.
Picture alone(Picture p, int code) {
  p.onlyClass = code;
  if (code != 0) p.key += "#" + QString::number(code);
  return p;
}
}  // namespace

MainWindow::MainWindow() : book_(bench_) {
  const DressedLater all;
  setWindowTitle("Zany Patch");
  setWindowIcon(QIcon(":/icons/zany-patch.svg"));
  setAcceptDrops(true);
  setMinimumSize(1100, 700);
  resize(1280, 800);
  trail_ = new Trail;
  view_ = new MapView(tiles_);
  probe_ = new Probe(bench_);
  shelf_ = new Shelf(bench_);
  desk_[0] = scenesDesk_ = new ScenesDesk(bench_, *view_);
  desk_[1] = indicesDesk_ = new IndicesDesk(bench_, *view_, tiles_);
  desk_[2] = trainingDesk_ = new TrainingDesk(bench_, *view_);
  desk_[3] = new MappingDesk(bench_, *view_);
  desk_[4] = samplingDesk_ = new SamplingDesk(bench_, *view_);
  desk_[5] = accuracyDesk_ = new AccuracyDesk(bench_, *view_, book_);
  labelling_ = new LabellingSheet(bench_, book_);
  matrix_ = new MatrixSheet(bench_, book_);

  // What is told, and what is running, stand on the view's lower edge.
  notice_ = new QLabel;
  notice_->setObjectName("notice");
  notice_->setWordWrap(true);
  notice_->setTextInteractionFlags(Qt::LinksAccessibleByMouse | Qt::LinksAccessibleByKeyboard);
  connect(notice_, &QLabel::linkActivated, this, [this](const QString& id) {
    showFront(id);
    view_->fit();
    noticeBar_->hide();
  });
  auto* close = new QToolButton;
  close->setIcon(icon("close"));
  close->setAccessibleName(txt("Close this line"));
  noticeBar_ = new QWidget;
  auto* nl = new QHBoxLayout(noticeBar_);
  nl->setContentsMargins(14, 4, 8, 4);
  nl->addWidget(notice_, 1);
  nl->addWidget(close);
  noticeBar_->setVisible(false);
  connect(close, &QToolButton::clicked, noticeBar_, &QWidget::hide);
  noticeTimer_.setSingleShot(true);
  connect(&noticeTimer_, &QTimer::timeout, noticeBar_, &QWidget::hide);
  jobText_ = new QLabel;
  jobText_->setObjectName("jobText");
  jobProgress_ = new QProgressBar;
  jobProgress_->setTextVisible(false);
  auto* cancel = quietButton(txt("Cancel"));
  cancel->setObjectName("cancelJob");
  connect(cancel, &QPushButton::clicked, this, [this] { bench_.jobs().cancel(); });
  jobBar_ = new QWidget;
  auto* jl = new QHBoxLayout(jobBar_);
  jl->setContentsMargins(14, 4, 14, 4);
  jl->addWidget(jobText_);
  jl->addWidget(jobProgress_, 1);
  jl->addWidget(cancel);
  jobBar_->setVisible(false);

  auto* left = new QWidget;
  auto* lv = new QVBoxLayout(left);
  lv->setContentsMargins(0, 0, 0, 0);
  lv->setSpacing(0);
  lv->addWidget(view_, 1);
  lv->addWidget(jobBar_);
  lv->addWidget(noticeBar_);
  lv->addWidget(probe_);
  desks_ = new QStackedWidget;
  desks_->setFixedWidth(408);
  for (auto* d : desk_) {
    desks_->addWidget(d);
    connect(d, &Desk::stageAsked, this, &MainWindow::goTo);
    connect(d, &Desk::pictureAsked, this, &MainWindow::setFront);
    connect(d, &Desk::productAsked, this, &MainWindow::showFront);
  }
  auto* line = new QFrame;
  line->setFixedWidth(1);
  line->setStyleSheet(QString("background: %1;").arg(tokens().hairline.name()));
  auto* work = new QWidget;
  auto* wl = new QHBoxLayout(work);
  wl->setContentsMargins(0, 0, 0, 0);
  wl->setSpacing(0);
  wl->addWidget(left, 1);
  wl->addWidget(line);
  wl->addWidget(desks_);
  pages_ = new QStackedWidget;
  pages_->addWidget(work);
  pages_->addWidget(labelling_);
  pages_->addWidget(matrix_);
  auto* whole = new QWidget;
  auto* layout = new QVBoxLayout(whole);
  layout->setContentsMargins(0, 0, 0, 0);
  layout->setSpacing(0);
  layout->addWidget(trail_);
  layout->addWidget(pages_, 1);
  layout->addWidget(shelf_);
  setCentralWidget(whole);

  buildStudyMenu();
  viewTools_ = new ViewTools(bench_, *view_, tiles_, [this] { return outlineShapes(); });
  connect(viewTools_, &ViewTools::modeChosen, this, &MainWindow::rememberPlace);
  connect(view_, &MapView::pinAsked, this, [this](Place p) {
    if (stage_ != 2) viewTools_->profiles().pin(p);
  });
  connect(view_, &MapView::unpinAsked, this,
          [this](int i) { viewTools_->profiles().unpin(static_cast<size_t>(i)); });
  connect(&viewTools_->profiles(), &ProfileCard::changed, this,
          [this] { view_->setPins(viewTools_->profiles().pins()); });
  facts_ = new TextPanel(view_);
  keys_ = new TextPanel(pages_);
  polygonsPanel_ = new FloatingPanel("", view_);
  polygons_ = new PolygonsPanel(bench_);
  polygonsPanel_->body()->addWidget(polygons_);
  connect(polygons_, &PolygonsPanel::written, polygonsPanel_, &QWidget::hide);
  buildShortcuts();
  buildFind();
  buildStart();

  connect(trail_, &Trail::chosen, this, &MainWindow::goTo);
  connect(&bench_, &Workbench::studyChanged, this, &MainWindow::studyChanged);
  connect(&bench_, &Workbench::changed, this, &MainWindow::refresh);
  connect(&bench_, &Workbench::currentSceneChanged, this, &MainWindow::refresh);
  connect(&bench_, &Workbench::sceneAdded, this, [this](const QString& id) {
    view_->setCrs(bench_.viewCrs());
    showFront(id);
  });
  connect(&bench_, &Workbench::productMade, this, [this](const QString& id) {
    offerToGo(id);
    if (view_->front().of == id.toStdString()) showFront(id);
    if (view_->back().of == id.toStdString()) setBack(bench_.pictureOf(id));
  });
  connect(&bench_, &Workbench::trouble, this, [this](const QString& s) {
    if (pages_->currentIndex() == 0 && bench_.hasStudy())
      desk_[static_cast<size_t>(stage_)]->say(s);
    else
      tell(s, true);
  });
  connect(&bench_, &Workbench::notice, this, [this](const QString& s) { tell(s, false); });
  connect(&bench_.jobs(), &JobRunner::changed, this, &MainWindow::updateJob);
  connect(&tiles_, &TileStore::failed, this,
          [this](const QString&, const QString& s) { tell(s, true); });
  connect(shelf_, &Shelf::frontAsked, this, [this](const QString& id) {
    // A click on a scene's card makes it the desk's scene too.
    if (bench_.study().scene(id.toStdString()) != nullptr) bench_.setCurrentScene(id);
    showFront(id);
    indicesDesk_->keepFront();
  });
  connect(scenesDesk_, &ScenesDesk::factsAsked, this, &MainWindow::showSheetOf);
  connect(scenesDesk_, &ScenesDesk::lookAsked, this, &MainWindow::lookAt);
  connect(scenesDesk_, &ScenesDesk::lookEnded, this, [this] {
    if (view_->front().of == "preview") dropPreview();
    if (beforeLook_) view_->setCentre(beforeLook_->first, beforeLook_->second);
    beforeLook_.reset();
  });
  connect(shelf_, &Shelf::backAsked, this,
          [this](const QString& id) { setBack(bench_.pictureOf(id)); });
  connect(shelf_, &Shelf::sheetAsked, this, &MainWindow::showSheetOf);
  connect(shelf_, &Shelf::polygonsAsked, this, &MainWindow::choosePolygons);
  if (auto* application = qobject_cast<Application*>(qApp))
    connect(application, &Application::trouble, &bench_, &Workbench::trouble);
  connect(view_, &MapView::hovered, probe_, &Probe::look);
  connect(view_, &MapView::left, probe_, &Probe::rest);
  connect(view_, &MapView::swapAsked, this, [this] {
    const Picture front = view_->front(), back = view_->back();
    if (back.none()) return;
    setFront(back);
    setBack(front);
  });
  connect(view_, &MapView::onlyClassAsked, this, [this](int code) {
    const Picture& p = view_->front();
    if (p.kind != Picture::Kind::Classes) return;
    setFront(alone(bench_.pictureOf(q(p.of)), p.onlyClass == code ? 0 : code));
  });
  connect(view_, &MapView::hideClassAsked, this, [this](int code) {
    const Picture& p = view_->front();
    if (p.kind != Picture::Kind::Classes || p.of == "preview") return;
    Display d = p.display;
    if (d.hidden.erase(code) == 0) d.hidden.insert(code);
    bench_.setDisplay(p, d);
  });
  connect(&bench_, &Workbench::displayChanged, this, &MainWindow::showAgain);
  placeTimer_.setSingleShot(true);
  placeTimer_.setInterval(400);
  connect(&placeTimer_, &QTimer::timeout, this, &MainWindow::rememberPlace);
  connect(view_, &MapView::moved, this, [this] { placeTimer_.start(); });
  connect(trainingDesk_, &TrainingDesk::shapesChanged, this, &MainWindow::updateOverlays);
  connect(scenesDesk_, &ScenesDesk::shapesChanged, this, &MainWindow::updateOverlays);
  connect(samplingDesk_, &SamplingDesk::pointsChanged, this, &MainWindow::updateOverlays);
  connect(&book_, &LabelBook::updated, this, [this] {
    updateTrail();
    updateOverlays();
  });
  connect(accuracyDesk_, &AccuracyDesk::labellingAsked, this, &MainWindow::openLabelling);
  connect(accuracyDesk_, &AccuracyDesk::matrixAsked, this, &MainWindow::openMatrix);
  connect(labelling_, &LabellingSheet::leaveAsked, this, [this] { goTo(5); });
  connect(labelling_, &LabellingSheet::closed, this, &MainWindow::openMatrix);
  connect(matrix_, &MatrixSheet::leaveAsked, this, [this] { goTo(5); });
  connect(matrix_, &MatrixSheet::pointsAsked, this, [this] {
    goTo(5);
    if (const auto* m = book_.map()) showFront(q(m->id));
  });
  studyChanged();
  (void)sensors();  // reads the user's own files, and finds what is wrong with them
  (void)indexBook();
  if (ownTroubles().empty()) return;
  QStringList troubles;
  for (const auto& sentence : ownTroubles()) troubles << sentenceOf(sentence);
  // Once the study that is opened at the start is there, which clears the line.
  QTimer::singleShot(0, this, [this, troubles] { tell(troubles.join("\n"), true); });
}

MainWindow::~MainWindow() {
  bench_.jobs().cancel();
}

void MainWindow::buildStudyMenu() {
  studyMenu_ = new QMenu(this);
  studyMenu_->setObjectName("studyMenuList");
  trail_->studyButton()->setMenu(studyMenu_);
  connect(studyMenu_, &QMenu::aboutToShow, this, &MainWindow::fillStudyMenu);
}

void MainWindow::fillStudyMenu() {
  studyMenu_->clear();
  studyMenu_->setLayoutDirection(Qt::LeftToRight);  // not the button's, which has its sign last
  studyMenu_->addAction(txt("New study…"), QKeySequence::New, this, &MainWindow::newStudy);
  studyMenu_->addAction(txt("Open study…"), QKeySequence::Open, this, &MainWindow::openStudy);
  auto* recent = studyMenu_->addMenu(txt("Recent"));
  for (const auto& r : Workbench::recent())
    recent->addAction(QFileInfo(r).fileName() + "   " + r, this, [=, this] { bench_.open(r); });
  recent->setEnabled(!recent->isEmpty());
  studyMenu_->addSeparator();
  auto* copy = studyMenu_->addAction(txt("Save a copy…"), this, [this] {
    const QString target =
        QFileDialog::getSaveFileName(this, txt("Save a copy of the study"),
                                     txt("%1 copy").arg(q(bench_.study().folder().string())));
    if (!target.isEmpty()) bench_.saveCopy(target);
  });
  auto* sheet = studyMenu_->addAction(txt("Map to hand over…"), this, [this] {
    if (pages_->currentIndex() != 0) goTo(stage_);
    viewTools_->openSheet();
  });
  sheet->setEnabled(bench_.hasStudy());
  auto* out = studyMenu_->addAction(txt("Export the picture in view…"), this, [this] {
    const QString target = QFileDialog::getSaveFileName(this, txt("Export the picture in view"),
                                                        txt("view") + ".png", txt("PNG (*.png)"));
    if (target.isEmpty()) return;
    viewTools_->setShown(false);  // the picture alone, without its buttons
    const QPixmap picture = view_->grab();
    viewTools_->setShown(true);
    viewTools_->profiles().refresh();
    if (picture.save(target))
      tell(txt("The picture is in “%1”.").arg(target), false);
    else
      tell(txt("The picture could not be written; choose another folder."), true);
  });
  auto* list = studyMenu_->addAction(txt("Write a STAC catalogue of the scenes…"), this, [this] {
    const QString folder = QFileDialog::getExistingDirectory(this, txt("Folder for the catalogue"));
    if (!folder.isEmpty()) bench_.writeCatalogueOf(folder);
  });
  list->setEnabled(bench_.hasStudy() && !bench_.study().scenes.empty());
  fillBinMenu(studyMenu_->addMenu(icon("bin"), txt("Bin")));
  copy->setEnabled(bench_.hasStudy());
  out->setEnabled(bench_.hasStudy());
  auto* shut = studyMenu_->addAction(txt("Close the study"), this, [this] { bench_.close(); });
  shut->setEnabled(bench_.hasStudy());
  studyMenu_->addSeparator();
  const QString other = currentLook() == "dusk" ? "daylight" : "dusk";
  studyMenu_->addAction(txt("Keys"), QKeySequence("?"), this, &MainWindow::showKeys);
  studyMenu_->addAction(
      icon("light"), other == "dusk" ? txt("Look: dusk") : txt("Look: daylight"), this,
      [this, other] {
        QSettings().setValue("look", other);
        if (bench_.jobs().busy())
          tell(txt("The look is %1 from the next start; a job runs now.").arg(other), false);
        else
          QApplication::exit(kAnotherLook);
      });
  studyMenu_->addAction(txt("Quit"), QKeySequence::Quit, this, &QWidget::close);
}

void MainWindow::fillBinMenu(QMenu* menu) {
  menu->setEnabled(bench_.hasStudy() && !bench_.study().bin.empty());
  if (!menu->isEnabled()) return;
  menu->addSection(txt("Bring back"));
  for (const auto& p : bench_.study().bin)
    menu->addAction(q(p.name) + "   " + txt(titleOf(p.kind)), this,
                    [this, id = q(p.id)] { bench_.fromBin(id); });
  menu->addSeparator();
  menu->addAction(txt("Empty the bin…"), this, [this] {
    const auto n = bench_.study().bin.size();
    const auto answer = QMessageBox::question(
        this, txt("Empty the bin"),
        txt("The %n products in the bin will be deleted for good.",
            "The product in the bin will be deleted for good.", static_cast<qint64>(n)),
        QMessageBox::Discard | QMessageBox::Cancel, QMessageBox::Cancel);
    if (answer == QMessageBox::Discard) bench_.emptyBin();
  });
}

void MainWindow::buildShortcuts() {
  for (int i = 0; i < 6; ++i)
    connect(new QShortcut(QKeySequence(Qt::Key_F1 + i), this), &QShortcut::activated, this,
            [this, i] { goTo(i); });
  connect(new QShortcut(QKeySequence("Ctrl+K"), this), &QShortcut::activated, this,
          [this] { trail_->find()->setFocus(); });
  connect(new QShortcut(QKeySequence::Undo, this), &QShortcut::activated, this, [this] {
    if (!bench_.undo().canUndo()) return tell(txt("There is nothing to take back."), false);
    const QString what = bench_.undo().undoText();
    bench_.undo().undo();
    tell(txt("Taken back: %1.").arg(what), false);
  });
  connect(new QShortcut(QKeySequence::Redo, this), &QShortcut::activated, this,
          [this] { bench_.undo().redo(); });
  connect(new QShortcut(QKeySequence::New, this), &QShortcut::activated, this,
          &MainWindow::newStudy);
  connect(new QShortcut(QKeySequence::Open, this), &QShortcut::activated, this,
          &MainWindow::openStudy);
  connect(new QShortcut(QKeySequence::Quit, this), &QShortcut::activated, this, &QWidget::close);
}

void MainWindow::openOrBringIn(const QStringList& paths) {
  for (const auto& path : paths)
    if (!QFileInfo::exists(path)) return tell(txt("“%1” does not exist.").arg(path), true);
  if (paths.size() == 1 && QFileInfo::exists(paths[0] + "/study.json"))
    bench_.open(paths[0]);
  else if (!paths.isEmpty())
    scenesDesk_->offer(paths);
}

void MainWindow::keyPressEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_C && e->modifiers() == Qt::NoModifier && pages_->currentIndex() == 0)
    return viewTools_->toggleMode(MapView::Mode::Curtain);
  if (e->key() == Qt::Key_V && e->modifiers() == Qt::NoModifier && pages_->currentIndex() == 0)
    return viewTools_->toggleMode(MapView::Mode::SideBySide);
  if (e->key() == Qt::Key_L && e->modifiers() == Qt::NoModifier && pages_->currentIndex() == 0)
    return viewTools_->toggleMode(MapView::Mode::Loupe);
  if (e->key() == Qt::Key_D && e->modifiers() == Qt::NoModifier && pages_->currentIndex() == 0)
    return viewTools_->openDisplay();
  if (e->key() == Qt::Key_X && e->modifiers() == Qt::NoModifier && pages_->currentIndex() == 0)
    return Q_EMIT view_->swapAsked();
  if (e->key() == Qt::Key_Question) return showKeys();
  if (e->key() == Qt::Key_Escape && keys_->isVisible()) return keys_->hide();
  if (e->key() == Qt::Key_Escape && (facts_->isVisible() || polygonsPanel_->isVisible())) {
    facts_->hide();
    return polygonsPanel_->hide();
  }
  if (e->key() == Qt::Key_Escape && pages_->currentIndex() == 2) return goTo(5);
  QMainWindow::keyPressEvent(e);
}

void MainWindow::showKeys() {
  if (keys_->isVisible()) return keys_->hide();
  const Whereabouts where = pages_->currentIndex() == 1   ? Whereabouts::Labelling
                            : pages_->currentIndex() == 2 ? Whereabouts::Matrix
                                                          : static_cast<Whereabouts>(stage_);
  keys_->show(txt("Keys"), keysOf(where));
}

void MainWindow::newStudy() {
  const QString base =
      QStandardPaths::writableLocation(QStandardPaths::DocumentsLocation) + "/Zany Patch";
  QDir().mkpath(base);
  const QString folder = QFileDialog::getSaveFileName(this, txt("New study: a new folder"),
                                                      base + "/" + txt("New study"));
  if (!folder.isEmpty()) bench_.create(folder, QFileInfo(folder).fileName());
}

void MainWindow::openStudy() {
  const QString folder = QFileDialog::getExistingDirectory(this, txt("Open a study"));
  if (!folder.isEmpty()) bench_.open(folder);
}

void MainWindow::studyChanged() {
  outlineShapes_.clear();
  for (auto* d : desk_) {
    d->leave();
    d->forget();
  }
  probe_->rest();
  const bool any = bench_.hasStudy();
  desks_->setVisible(any);
  viewTools_->setShown(any);
  shelf_->setVisible(any);
  start_->setVisible(!any);
  probe_->setVisible(any);
  noticeBar_->hide();
  facts_->hide();
  keys_->hide();
  polygonsPanel_->hide();
  view_->setFront({});
  view_->setBack({});
  pages_->setCurrentIndex(0);
  if (!any) {
    view_->setShapes({});
    view_->setPoints({});
    view_->setEmptyText(
        txt("Start with a study"),
        txt("A study is a folder that keeps one piece of work. Make one with Ctrl N, "
            "open one with Ctrl O, or drop rasters here."));
    trail_->setStudy(txt("No study"), txt("Ctrl N makes one"));
    updateTrail();
    return;
  }
  view_->setEmptyText(txt("Bring in a scene"),
                      txt("Drop one or several rasters here, or use the buttons at the right."));
  view_->setCrs(bench_.viewCrs());
  restorePlace();
  viewTools_->profiles().refresh();
}

void MainWindow::restorePlace() {
  restoring_ = true;
  const Json front = bench_.place("front"), back = bench_.place("back"),
             where = bench_.place("view");
  Picture p = front.is_string() ? bench_.pictureOf(q(front.get<std::string>())) : Picture();
  if (p.none() && bench_.currentScene() != nullptr)
    p = bench_.pictureOf(q(bench_.currentScene()->id));
  setFront(p);
  if (back.is_string()) setBack(bench_.pictureOf(q(back.get<std::string>())));
  const auto figure = [&](const char* key) {
    return where.is_object() && where.contains(key) && where[key].is_number()
               ? where[key].get<double>()
               : std::nan("");
  };
  if (figure("scale") > 0 && std::isfinite(figure("x")) && std::isfinite(figure("y")))
    view_->setCentre({figure("x"), figure("y")}, figure("scale"));
  const Json mode = bench_.place("mode");
  viewTools_->setMode(
      static_cast<MapView::Mode>(mode.is_number_integer() ? std::clamp(mode.get<int>(), 0, 3) : 0));
  const Json stage = bench_.place("stage");
  goTo(stage.is_number_integer() ? std::clamp(stage.get<int>(), 0, 5) : 0);
  restoring_ = false;
}

void MainWindow::rememberPlace() {
  if (restoring_ || !bench_.hasStudy()) return;
  bench_.setPlace("stage", stage_);
  if (view_->front().of != "preview") bench_.setPlace("front", view_->front().of);
  bench_.setPlace("back", view_->back().of);
  bench_.setPlace("mode", static_cast<int>(view_->mode()));
  if (view_->fitted())
    bench_.setPlace("view", nullptr);
  else if (!view_->front().none())
    bench_.setPlace(
        "view",
        {{"x", view_->centre().x}, {"y", view_->centre().y}, {"scale", view_->unitsPerPixel()}});
}

void MainWindow::goTo(int stage) {
  if (!bench_.hasStudy()) return;
  if (stage != stage_) {
    desk_[static_cast<size_t>(stage_)]->leave();
    if (view_->front().of == "preview") dropPreview();
  }
  stage_ = stage;
  trail_->setCurrent(stage);
  pages_->setCurrentIndex(0);
  shelf_->setVisible(true);
  desks_->setCurrentIndex(stage);
  desk_[static_cast<size_t>(stage)]->refresh();
  updateTrail();
  updateOverlays();
  placeTimer_.start();
}

/// Of a picture that is not in the study, all of it where it lies elsewhere.
void MainWindow::lookAt(const Picture& p) {
  const bool first = view_->front().of != "preview";
  setFront(p);
  try {
    const Grid g = gridOf(p);
    const bool known = !view_->crs().empty() && !g.crs.empty();
    const auto where = known ? broughtTo(g.extent(), g.crs, view_->crs()) : g.extent();
    if (!first || (where && where->overlaps(view_->visible()))) return;
    if (!bench_.study().scenes.empty()) beforeLook_ = {view_->centre(), view_->unitsPerPixel()};
    view_->fit();
  } catch (const std::exception&) {
    // It cannot be read; the view says so.
  }
}

/// A preview belongs to its desk: elsewhere what was there before it is shown again.
void MainWindow::dropPreview() {
  const Picture before = view_->back();
  if (!before.none() && before.of != "preview")
    setFront(before);
  else if (bench_.currentScene() != nullptr)
    setFront(bench_.pictureOf(q(bench_.currentScene()->id)));
}

void MainWindow::openLabelling() {
  if (!book_.load() || book_.none()) return;
  stage_ = 5;
  trail_->setCurrent(5);
  shelf_->setVisible(false);
  pages_->setCurrentIndex(1);
  pages_->currentWidget()->layout()->activate();
  labelling_->open();
  QTimer::singleShot(0, labelling_,
                     [this] { labelling_->open(); });  // once the panes have their size
}

void MainWindow::openMatrix() {
  stage_ = 5;
  trail_->setCurrent(5);
  shelf_->setVisible(true);
  pages_->setCurrentIndex(2);
  matrix_->open();
  updateTrail();
}

void MainWindow::refresh() {
  if (!bench_.hasStudy()) return;
  view_->setCrs(bench_.viewCrs());
  if (pages_->currentIndex() == 0) desk_[static_cast<size_t>(stage_)]->refresh();
  // What is shown may have changed, or gone to the bin.
  for (const bool front : {true, false}) {
    const Picture shown = front ? view_->front() : view_->back();
    Picture now = asItIsNow(shown);
    if (now.none() && front && bench_.currentScene() != nullptr)
      now = bench_.pictureOf(q(bench_.currentScene()->id));
    now = bench_.asDisplayed(now);
    if (now.key != shown.key) front ? setFront(now) : setBack(now);
  }
  viewTools_->profiles().refresh();
  updateTrail();
  updateOverlays();
}

Picture MainWindow::asItIsNow(const Picture& shown) const {
  if (shown.of == "preview") return shown;
  if (const auto* s = bench_.study().scene(shown.of)) {
    const bool bands =
        *std::max_element(shown.bands.begin(), shown.bands.end()) < s->scene.bands.size();
    return bands ? compositePicture(s->id, s->scene, shown.bands, shown.detail)
                 : bench_.pictureOf(q(s->id));
  }
  Picture p = bench_.pictureOf(q(shown.of));
  return p.none() ? p : alone(p, shown.onlyClass);
}

/// What is shown is displayed in another way from now on.
void MainWindow::showAgain() {
  setFront(view_->front());
  setBack(view_->back());
}

void MainWindow::setFront(const Picture& p) {
  // A preview is compared with what was there before it.
  const Picture before = view_->front();
  if (p.of == "preview" && before.of != "preview" && !before.none()) view_->setBack(before);
  view_->setFront(bench_.asDisplayed(p));
  viewTools_->refresh();
  probe_->setPictures(view_->front(), view_->back());
  if (bench_.hasStudy()) shelf_->setShown(q(view_->front().of), q(view_->back().of));
  placeTimer_.start();
}

void MainWindow::setBack(const Picture& p) {
  view_->setBack(bench_.asDisplayed(p));
  probe_->setPictures(view_->front(), view_->back());
  if (bench_.hasStudy()) shelf_->setShown(q(view_->front().of), q(view_->back().of));
  placeTimer_.start();
}

void MainWindow::showFront(const QString& id) {
  const Picture p = bench_.pictureOf(id);
  if (p.none()) {
    const auto* product = bench_.study().product(id.toStdString());
    if (product != nullptr)
      goTo(product->kind == ProductKind::Labels ? 5 : product->kind == ProductKind::Areas ? 1 : 4);
    return;
  }
  // What was in front goes behind, so that the new can be compared with it.
  const Picture before = view_->front();
  if (!before.none() && before.of != "preview" && before.of != p.of &&
      bench_.study().product(p.of) != nullptr)
    setBack(before);
  setFront(p);
}

/// The outlines that are shown, as they are styled.
std::vector<ViewShape> MainWindow::outlineShapes() {
  std::vector<ViewShape> shapes;
  for (const auto& o : bench_.study().outlines) {
    if (!o.shown) continue;
    const std::string key = o.layer + "|" + o.label;
    if (outlineShapes_.count(key) == 0) {
      auto& kept = outlineShapes_[key];
      try {
        const Layer layer = readLayer(o.layer, view_->crs());
        const auto& columns = layer.table.columns;
        const auto field = std::find(columns.begin(), columns.end(), o.label) - columns.begin();
        for (size_t i = 0; i < layer.shapes.size(); ++i) {
          ViewShape v;
          v.shape = layer.shapes[i];
          if (static_cast<size_t>(field) < columns.size())
            v.label = q(layer.table.rows[i][static_cast<size_t>(field)]);
          kept.push_back(std::move(v));
        }
      } catch (const std::exception& e) {
        tell(sentenceOf(e), true);
      }
    }
    for (ViewShape v : outlineShapes_[key]) {
      v.colour = toQt(o.colour);
      v.width = o.width;
      v.filled = o.filled;
      v.dashed = o.studyArea;
      shapes.push_back(std::move(v));
    }
  }
  return shapes;
}

/// A new product that lies outside of what is seen.
void MainWindow::offerToGo(const QString& id) {
  try {
    const Picture p = bench_.pictureOf(id);
    if (p.none() || view_->crs().empty()) return;
    const Grid g = gridOf(p);
    const auto where = g.crs.empty() ? std::nullopt : broughtTo(g.extent(), g.crs, view_->crs());
    if (where && !where->overlaps(view_->visible()))
      tell(txt("%1 lies outside of what is seen. <a href=\"%2\">Go there</a>")
               .arg(p.title.toHtmlEscaped(), id),
           false);
  } catch (const std::exception&) {
    // It cannot be read; the view says so.
  }
}

void MainWindow::updateOverlays() {
  if (!bench_.hasStudy()) return;
  std::vector<ViewShape> shapes = outlineShapes();
  const auto ofDesk = stage_ == 0   ? scenesDesk_->shapes()
                      : stage_ == 2 ? trainingDesk_->shapes()
                                    : std::vector<ViewShape>();
  shapes.insert(shapes.end(), ofDesk.begin(), ofDesk.end());
  view_->setShapes(std::move(shapes));
  view_->setPoints(stage_ == 4   ? samplingDesk_->points()
                   : stage_ == 5 ? accuracyDesk_->points()
                                 : std::vector<ViewPoint>());
}

void MainWindow::updateTrail() {
  std::vector<Trail::Station> st(6);
  for (size_t i = 0; i < 6; ++i) st[i].name = txt(kStages[i]);
  if (bench_.hasStudy()) {
    using S = Trail::State;
    const Study& s = bench_.study();

    st[0].figure = s.scenes.empty()
                       ? txt("none yet")
                       : txt("%n scenes", "%n scene", static_cast<qint64>(s.scenes.size()));
    st[0].state = s.scenes.empty() ? S::Hollow : S::Filled;
    std::map<ProductKind, size_t> count;
    std::map<ProductKind, bool> old;
    const Product *index = nullptr, *map = nullptr;
    for (const auto& p : s.products) {
      ++count[p.kind];
      if (p.kind == ProductKind::Index) index = &p;
      if (p.kind == ProductKind::ClassMap && p.step.value("do", "") == "map") map = &p;
    }
    const auto stateOf = [&](const Product* p) {
      return p == nullptr ? S::Hollow : s.outOfDate(*p) ? S::Half : S::Filled;
    };
    if (index != nullptr)
      st[1].figure =
          q(index->name) +
          (count[ProductKind::Index] > 1 ? QString(" +%1").arg(count[ProductKind::Index] - 1) : "");
    st[1].state = stateOf(index);
    std::set<int> classes;
    for (const auto& a : s.training) classes.insert(a.code);
    if (!classes.empty())
      st[2].figure = txt("%n classes", "%n class", static_cast<qint64>(classes.size()));
    st[2].state = s.training.empty() ? S::Hollow : classes.size() < 2 ? S::Notch : S::Filled;
    if (classes.size() == 1) st[2].tip = txt("Only one class has training areas; a map needs two.");
    if (map != nullptr)
      st[3].figure =
          q(map->name).section(", ", 1) + QString(" · %1").arg(map->facts["classes"].size());
    st[3].state = stateOf(map);
    const Product* points = s.newest(ProductKind::Points);
    if (points != nullptr)
      st[4].figure = txt("%n points", "%n point", points->facts.value("points", qint64{0}));
    st[4].state = stateOf(points);
    const Product* labels = s.newest(ProductKind::Labels);
    if (labels != nullptr && !book_.none()) {
      const auto o = book_.labelling().closed() ? book_.overall() : std::nullopt;
      if (o)
        st[5].figure =
            decimal(100 * o->value, 1) + " ± " + decimal(50 * (o->high - o->low), 1) + " %";
      else
        st[5].figure = txt("%1 of %2 labelled")
                           .arg(book_.labelling().labelled())
                           .arg(book_.labelling().points().size());
    }
    st[5].state = stateOf(labels);
    for (auto& one : st)
      if (one.state == S::Half)
        one.tip =
            txt("An input changed since this was made; bring it up to date from its card's menu.");
    if (bench_.jobs().busy()) {
      auto& here = st[static_cast<size_t>(stage_)];
      here.state = S::Busy;
      here.share = bench_.jobs().share();
      here.figure = QString("%1 %").arg(static_cast<int>(here.share * 100));
    }
    trail_->setStudy(q(s.name), txt("saved %1").arg(QTime::currentTime().toString("HH:mm")));
    setWindowTitle(q(s.name) + " – Zany Patch");
  }
  trail_->setStations(st);
}

void MainWindow::updateJob() {
  const auto& jobs = bench_.jobs();
  jobBar_->setVisible(jobs.busy());
  if (jobs.busy()) {
    const double left = jobs.secondsLeft();
    QString time;
    if (left >= 60)
      time = txt(", about %1 min left").arg(static_cast<int>(left / 60) + 1);
    else if (left >= 0)
      time = txt(", about %1 s left").arg(static_cast<int>(left) + 1);
    jobText_->setText(jobs.title() + time);
    jobProgress_->setRange(0, 1000);
    jobProgress_->setValue(static_cast<int>(jobs.share() * 1000));
  }
  updateTrail();
}

void MainWindow::tell(const QString& sentence, bool warning) {
  notice_->setText(sentence);
  setTone(notice_, warning ? "warning" : "second");
  noticeBar_->setVisible(true);
  if (warning)
    noticeTimer_.stop();
  else
    noticeTimer_.start(9000);
}

void MainWindow::showSheetOf(const QString& id) {
  if (pages_->currentIndex() != 0) goTo(stage_);
  if (const QString facts = factsOf(bench_.study(), id); !facts.isEmpty())
    facts_->show(txt("Facts"), facts);
}

void MainWindow::explain(const QString& title, const QString& text) {
  if (pages_->currentIndex() != 0) goTo(stage_);
  facts_->show(title, text);
}

void MainWindow::choosePolygons(const QString& id) {
  const Product* map = bench_.study().product(id.toStdString());
  if (map == nullptr || !polygons_->offer(*map)) return;
  if (pages_->currentIndex() != 0) goTo(stage_);
  polygonsPanel_->setTitle(txt("Polygons of %1").arg(q(map->name)));
  polygonsPanel_->setVisible(true);
  polygonsPanel_->layout()->activate();
  polygonsPanel_->place();
  polygonsPanel_->setFocus();
}

void MainWindow::buildFind() {
  find_ = new FindBox(
      trail_->find(), this, [this] { return offers(); },
      [this](const QString& text) { return places(text); });
  connect(find_, &FindBox::chosen, view_, qOverload<>(&QWidget::setFocus));
}

/// The way in when no study is open.
void MainWindow::buildStart() {
  start_ = new QWidget(view_);
  auto* make = primaryButton(txt("New study…"));
  make->setObjectName("newStudy");
  auto* open = quietButton(txt("Open study…"));
  open->setObjectName("openStudy");
  connect(make, &QPushButton::clicked, this, &MainWindow::newStudy);
  connect(open, &QPushButton::clicked, this, &MainWindow::openStudy);
  auto* buttons = new QHBoxLayout;
  buttons->addStretch();
  buttons->addWidget(make);
  buttons->addWidget(open);
  buttons->addStretch();
  auto* recent = new QVBoxLayout;
  recent->setAlignment(Qt::AlignHCenter);
  for (const auto& r : Workbench::recent().mid(0, 4)) {
    auto* link = linkButton(QFileInfo(r).fileName() + "   " + r);
    connect(link, &QPushButton::clicked, this, [this, r] { bench_.open(r); });
    recent->addWidget(link, 0, Qt::AlignHCenter);
  }
  auto* layout = new QVBoxLayout(start_);
  layout->addLayout(buttons);
  layout->addSpacing(8);
  layout->addLayout(recent);
  auto* over = new QVBoxLayout(view_);
  over->addStretch(1);
  over->addWidget(start_, 0, Qt::AlignHCenter);
  over->addStretch(1);
}

std::vector<FindOffer> MainWindow::places(const QString& text) {
  std::vector<FindOffer> found;
  if (!bench_.hasStudy()) return found;
  for (const auto& written : placesIn(text.toStdString())) {
    Place p = written.place;
    const QString said = written.degrees ? QString("%1° %2  %3° %4")
                                               .arg(compact(std::abs(p.x)), p.x < 0 ? "W" : "E",
                                                    compact(std::abs(p.y)), p.y < 0 ? "S" : "N")
                                         : compact(p.x) + "  " + compact(p.y);
    if (written.degrees && !view_->crs().empty() && !crsIsGeographic(view_->crs())) {
      try {
        if (!CrsChange(crsFrom("EPSG:4326"), view_->crs()).apply(p)) continue;
      } catch (const std::exception&) {
        continue;
      }
    }
    found.push_back({txt("Go to %1").arg(said),
                     txt("place"),
                     [this, p] { view_->setCentre(p, view_->unitsPerPixel()); },
                     {}});
  }
  return found;
}

std::vector<FindOffer> MainWindow::offers() {
  std::vector<FindOffer> all;
  const auto offer = [&](const QString& name, const QString& kind, std::function<void()> action,
                         const QString& text = {}) {
    all.push_back({name, kind, std::move(action), text});
  };
  const auto add = [&all](std::vector<FindOffer> more) {
    all.insert(all.end(), more.begin(), more.end());
  };
  add(offersOfMenu([this] {
    fillStudyMenu();
    return studyMenu_;
  }));
  if (bench_.hasStudy()) {
    for (int i = 0; i < 6; ++i) offer(txt(kStages[i]), txt("stage"), [this, i] { goTo(i); });
    using Mode = MapView::Mode;
    offer(txt("Fit the picture"), txt("command"), [this] { view_->fit(); });
    offer(txt("Curtain"), txt("command"), [this] { viewTools_->toggleMode(Mode::Curtain); });
    offer(txt("Side by side"), txt("command"),
          [this] { viewTools_->toggleMode(Mode::SideBySide); });
    offer(txt("Loupe"), txt("command"), [this] { viewTools_->toggleMode(Mode::Loupe); });
    offer(txt("Swap front and back"), txt("command"), [this] { Q_EMIT view_->swapAsked(); });
    offer(txt("How it is shown: stretch, steps, opacity"), txt("command"),
          [this] { viewTools_->openDisplay(); });
    offer(txt("Unpin all profiles"), txt("command"), [this] { viewTools_->profiles().unpinAll(); });
    offer(txt("Undo"), txt("command"), [this] { bench_.undo().undo(); });
    offer(txt("Redo"), txt("command"), [this] { bench_.undo().redo(); });
    offer(txt("Bring in files"), txt("command"), [this] { goTo(0), scenesDesk_->chooseFiles(); });
    offer(txt("Bring in a folder"), txt("command"),
          [this] { goTo(0), scenesDesk_->chooseFolder(); });
    offer(txt("Search the archive"), txt("command"),
          [this] { goTo(0), scenesDesk_->openArchive(); });
    for (int i = 0; i < 6; ++i)
      add(offersOfDesk(desk_[static_cast<size_t>(i)], txt(kStages[i]), [this, i] { goTo(i); }));
    for (const auto& p : bench_.study().products)
      offer(q(p.name), txt(titleOf(p.kind)), [this, id = q(p.id)] { showFront(id); });
    for (const auto& s : bench_.study().scenes)
      offer(q(s.scene.name), txt("scene"), [this, id = q(s.id)] { showFront(id); });
    for (const auto& c : bench_.study().legend.classes)
      offer(q(c.name), txt("class"), [this] { goTo(2); });
    for (const auto& o : bench_.study().outlines)
      offer(q(o.name), txt("outline"), [this, id = q(o.id)] {
        bench_.showOutline(id, true);
        Extent e{1e300, 1e300, -1e300, -1e300};
        for (const auto& one : bench_.study().outlines)
          if (one.id == id.toStdString())
            for (const auto& v : outlineShapes_[one.layer + "|" + one.label]) {
              const Extent part = v.shape.extent();
              e = {std::min(e.left, part.left), std::min(e.bottom, part.bottom),
                   std::max(e.right, part.right), std::max(e.top, part.top)};
            }
        if (!e.empty()) view_->zoomTo(e);
      });
    for (const auto& e : indexBook())
      offer(titleInLists(e) + ", " + txt(e.name), txt("index"),
            [this, id = e.id] { goTo(1), indicesDesk_->choose(id); });
    for (const auto* m : methods()) {
      QStringList parameters;
      for (const auto& p : m->parameters) parameters << txt(p.title);
      offer(
          txt(m->title), txt("method"), [this] { goTo(3); }, parameters.join(" "));
    }
  }
  // Help paragraphs come after what can be done.
  for (const auto& e : indexBook())
    offer(
        txt("%1: what it is for").arg(txt(e.title)), txt("help"),
        [this, &e] {
          explain(txt(e.title), txt(e.about).toHtmlEscaped() + "<br><br>" +
                                    txt(e.reading).toHtmlEscaped() + "<br>" +
                                    txt(e.source).toHtmlEscaped());
        },
        txt(e.about) + " " + txt(e.reading));
  for (const auto* m : methods())
    offer(
        txt("%1: how it works").arg(txt(m->title)), txt("help"),
        [this, m] { explain(txt(m->title), txt(m->about)); }, txt(m->about));
  for (const auto* k : featureKinds())
    offer(
        txt("%1: what it is for").arg(txt(k->title)), txt("feature"),
        [this, k] { explain(txt(k->title), txt(k->about)); }, txt(k->about));
  for (const auto& [name, help] : formulaFunctions())
    offer(
        q(name), txt("in formulas"),
        [this, name = name, help = help] { explain(q(name), txt(help).toHtmlEscaped()); },
        txt(help));
  return all;
}

bool MainWindow::settled() const {
  auto* self = const_cast<MainWindow*>(this);
  if (self->bench_.jobs().busy()) return false;
  if (pages_->currentIndex() == 1) return labelling_->ready();
  return view_->complete();
}

void MainWindow::dragEnterEvent(QDragEnterEvent* e) {
  if (e->mimeData()->hasUrls() || e->mimeData()->hasFormat(kCardMime)) e->acceptProposedAction();
}

/// A card dropped on the left half of the view is seen behind, on the right half in front.
void MainWindow::dropCard(const QString& id, QPoint at) {
  const QPoint inView = view_->mapFrom(this, at);
  if (!view_->rect().contains(inView)) return;
  const Picture p = bench_.pictureOf(id);
  if (p.none()) return;
  if (inView.x() >= view_->width() / 2) return setFront(p);
  setBack(p);
  if (view_->mode() == MapView::Mode::Front) viewTools_->toggleMode(MapView::Mode::Curtain);
}

void MainWindow::dropEvent(QDropEvent* e) {
  if (e->mimeData()->hasFormat(kCardMime))
    return dropCard(QString::fromUtf8(e->mimeData()->data(kCardMime)), e->position().toPoint());
  QStringList files;
  for (const auto& url : e->mimeData()->urls())
    if (url.isLocalFile()) files << url.toLocalFile();
  openOrBringIn(files);
}

void MainWindow::closeEvent(QCloseEvent* e) {
  rememberPlace();
  QMainWindow::closeEvent(e);
}

}  // namespace zp
