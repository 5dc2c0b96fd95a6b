#include "desks/scenes/scenes_desk.h"

#include "base/error.h"
#include "base/text.h"
#include "scene/sensor.h"
#include "shell/find_widgets.h"

namespace zp {

namespace {

/// What else is worth knowing of a scene, in a sentence each.
QString factsBeside(const Scene& scene) {
  QString text;
  if (!scene.pass.empty() || scene.incidence > 0)
    text += " " + (scene.pass.empty()          ? txt("Unknown pass%1.")
                   : scene.pass == "ascending" ? txt("Ascending pass%1.")
                                               : txt("Descending pass%1."))
                      .arg(scene.incidence > 0
                               ? txt(", %1° from the vertical").arg(decimal(scene.incidence, 1))
                               : QString());
  size_t elsewhere = 0;
  try {
    elsewhere = scene.bandsOnOtherGrids().size();
  } catch (const std::exception&) {
    // A file went away while the study is open; the view says so when it reads it.
  }
  if (elsewhere > 0)
    text += " " + txt("%n of its bands lie on another grid and are brought over as they are read.",
                      "%n of its bands lies on another grid and is brought over as it is read.",
                      static_cast<qint64>(elsewhere));
  if (scene.shift != Place{})
    text += txt(" Its place is corrected by %1, %2.")
                .arg(compact(scene.shift.x), compact(scene.shift.y));
  return text;
}

}  // namespace

ScenesDesk::ScenesDesk(Workbench& bench, MapView& view)
    : Desk(bench, view, txt("Scenes")), shares_(this), layer_(this), thumbnails_(236, 136, this) {
  auto* files = quietButton(txt("Files…"));
  files->setObjectName("bringFiles");
  files->setIcon(icon("import"));
  auto* folder = quietButton(txt("Folder…"));
  folder->setObjectName("bringFolder");
  folder->setToolTip(txt("Bring in a folder, such as one with a file a band"));
  auto* outline = quietButton(txt("Outline…"));
  archiveChip_ = quietButton(txt("Archive"));
  archiveChip_->setObjectName("bringArchive");
  archiveChip_->setToolTip(txt("Search a catalogue and fetch scenes"));
  connect(archiveChip_, &QPushButton::clicked, this, [this] { openArchive(); });
  connect(files, &QPushButton::clicked, this, &ScenesDesk::chooseFiles);
  connect(folder, &QPushButton::clicked, this, &ScenesDesk::chooseFolder);
  connect(outline, &QPushButton::clicked, this, [this] {
    const QString file = QFileDialog::getOpenFileName(
        this, txt("Bring in an outline"), {}, txt("Vector layers (*.gpkg *.geojson *.json *.shp)"));
    if (file.isEmpty()) return;
    try {
      for (const auto& [name, n] : layersOf(file.toStdString()))
        bench_.addOutline(file + ":" + q(name), q(name));
    } catch (const std::exception& e) {
      say(sentenceOf(e));
    }
  });
  files->setToolTip(txt("Bring in rasters, STAC items or a catalogue"));
  outline->setToolTip(txt("Bring in a vector layer to lie over the pictures"));
  bringRow_ = wrapping({files, folder, outline, archiveChip_});
  body()->addWidget(bringRow_);
  back_ = linkButton(txt("Back to the scenes"));
  back_->setObjectName("backToScenes");
  body()->addWidget(back_, 0, Qt::AlignLeft);
  archive_ = new ArchivePanel(bench, view);
  incoming_ = new BringInPanel(bench);
  body()->addWidget(archive_, 1);
  body()->addWidget(incoming_);

  timeLine_ = new TimeLine;
  body()->addWidget(timeLine_);
  body()->addWidget(hairline());

  details_ = new QWidget;
  auto* d = new QVBoxLayout(details_);
  d->setContentsMargins(0, 0, 0, 0);
  d->setSpacing(8);
  sceneTitle_ = headingLabel("");
  sceneTitle_->setObjectName("sceneTitle");
  sceneTitle_->setWordWrap(false);
  usable_ = secondLabel("");
  usable_->setObjectName("usable");
  usable_->setWordWrap(false);
  sceneFacts_ = linkButton(txt("Facts"));
  sceneFacts_->setObjectName("openFacts");
  d->addWidget(wrapping({sceneTitle_, usable_, sceneFacts_}, 10));
  facts_ = secondLabel("");
  facts_->setObjectName("sceneFacts");
  d->addWidget(facts_);
  const QString titles[] = {txt("Look"), txt("Bands"), txt("Set aside"), txt("Make"),
                            txt("Study area")};
  const char* chipNames[] = {"page-look", "page-bands", "page-mask", "page-make", "page-area"};
  for (int i = 0; i < kPages; ++i) {
    pageChips_[i] = chip(titles[i]);
    pageChips_[i]->setObjectName(chipNames[i]);
    connect(pageChips_[i], &QPushButton::clicked, this, [this, i] { showPage(i); });
  }
  d->addWidget(wrapping({std::begin(pageChips_), std::end(pageChips_)}, 6));
  for (auto*& page : pages_) {
    page = new QWidget;
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(8);
    openedBy(page, chipNames[&page - pages_]);
    d->addWidget(page);
  }
  const auto pageBox = [this](int i) { return static_cast<QVBoxLayout*>(pages_[i]->layout()); };
  d = pageBox(kLook);
  auto* composites = new QWidget;
  composites_ = new FlowLayout;
  composites->setLayout(composites_);
  d->addWidget(composites);
  auto* freeRow = new QHBoxLayout;
  freeRow->setSpacing(6);
  auto* byHand = secondLabel(txt("By hand"));
  byHand->setWordWrap(false);
  freeRow->addWidget(byHand);
  const QString channels[] = {txt("Red channel"), txt("Green channel"), txt("Blue channel")};
  for (int i = 0; i < 3; ++i) {
    free_[i] = new QComboBox;
    free_[i]->setObjectName(QString("channel-%1").arg(i + 1));
    free_[i]->setAccessibleName(channels[i]);
    free_[i]->setToolTip(
        txt("%1; the same band three times shows it alone in grey").arg(channels[i]));
    connect(free_[i], &QComboBox::activated, this, [this] {
      std::array<size_t, 3> b{};
      QStringList names;
      for (size_t c = 0; c < 3; ++c)
        b[c] = static_cast<size_t>(std::max(0, free_[c]->currentIndex())),
        names << free_[c]->currentText();
      names.removeDuplicates();
      showComposite(b, names.join(", "));
    });
    freeRow->addWidget(free_[i], 1);
  }
  d->addLayout(freeRow);

  d = pageBox(kBands);
  name_ = new QLineEdit;
  name_->setObjectName("sceneName");
  date_ = new QLineEdit;
  date_->setObjectName("sceneDate");
  date_->setAccessibleName(txt("Date of the scene"));
  date_->setPlaceholderText("2031-07-18");
  date_->setToolTip(txt("The day the scene was taken: year-month-day"));
  date_->setFixedWidth(104);
  d->addLayout(labelledRow(txt("Name, date"), name_, date_));
  preset_ = new LongChoice;
  preset_->setObjectName("preset");
  d->addLayout(labelledRow(txt("Sensor preset"), preset_));
  keep_ = linkButton(txt("Keep these bands as a preset…"));
  keep_->setObjectName("keepPreset");
  forget_ = linkButton(txt("Forget this preset"));
  forget_->setObjectName("forgetPreset");
  auto* own = wrapping({keep_, forget_});
  own->layout()->setContentsMargins(116, 0, 0, 0);
  d->addWidget(own);
  state_ = new LongChoice;
  state_->setObjectName("valueState");
  for (auto s : allValueStates()) state_->addItem(txt(titleOf(s)), q(idOf(s)));
  d->addLayout(labelledRow(txt("Values are"), state_));
  bands_ = plainTable({txt("Band"), txt("Role"), txt("nm"), txt("scale"), txt("offset")});
  bands_->setObjectName("bandTable");
  bands_->setEditTriggers(QAbstractItemView::DoubleClicked | QAbstractItemView::EditKeyPressed |
                          QAbstractItemView::AnyKeyPressed);
  bands_->setSelectionMode(QAbstractItemView::NoSelection);
  bands_->setToolTip(txt(
      "Value = stored number × scale + offset. A scale or offset typed here holds for every band "
      "that has the same now."));
  bands_->verticalHeader()->setDefaultSectionSize(28);
  bands_->horizontalHeader()->setSectionResizeMode(1, QHeaderView::Fixed);
  bands_->setColumnWidth(1, 112);
  bands_->horizontalHeaderItem(1)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
  d->addWidget(bands_);
  d->addWidget(sectionLabel(txt("Empty pixels")));
  nodata_ = new QLineEdit;
  nodata_->setObjectName("nodata");
  nodata_->setPlaceholderText(txt("none"));
  d->addLayout(labelledRow(txt("No-data value"), nodata_));
  mask_ = new MaskPanel(bench, view);
  pageBox(kAside)->addWidget(mask_);
  connect(mask_, &MaskPanel::trouble, this, &ScenesDesk::say);
  making_ = new MakingPanel(bench);
  pageBox(kMake)->addWidget(making_);
  connect(making_, &MakingPanel::trouble, this, &ScenesDesk::say);
  connect(making_, &MakingPanel::made, this, &ScenesDesk::productAsked);
  outlines_ = new QListWidget;
  outlines_->setObjectName("outlineList");
  outlines_->setAccessibleName(txt("Outlines"));
  outlines_->setToolTip(txt("The tick shows an outline in the view"));
  drawArea_ = quietButton(txt("Draw one"));
  drawArea_->setObjectName("drawStudyArea");
  drawArea_->setCheckable(true);
  drawArea_->setToolTip(txt("Click its corners in the view; Enter closes it"));
  useArea_ = quietButton(txt("Use as study area"));
  useArea_->setObjectName("useStudyArea");
  pageBox(kArea)->addWidget(secondLabel(txt(
      "The study area limits indices, series and points where one asks for it. It is dashed in the "
      "view and hides nothing.")));
  pageBox(kArea)->addWidget(outlines_);
  style_ = new OutlineStyle(bench);
  pageBox(kArea)->addWidget(style_);
  pageBox(kArea)->addWidget(wrapping({useArea_, drawArea_}));
  pageBox(kArea)->addWidget(hairline());
  delivery_ = new DeliveryRow(bench);
  connect(delivery_, &DeliveryRow::trouble, this, &ScenesDesk::say);
  pageBox(kArea)->addWidget(delivery_);
  body()->addWidget(details_);
  body()->addStretch();

  primary_->setText(txt("Go on to indices"));
  connect(primary_, &QPushButton::clicked, this, [this] {
    if (guest_ == Guest::Archive) return archive_->act();
    if (guest_ == Guest::Incoming) return incoming_->act();
    if (page_ == kMake) return making_->act();
    Q_EMIT stageAsked(1);
  });
  connect(back_, &QPushButton::clicked, this, [this] { showGuest(Guest::None); });
  connect(archive_, &ArchivePanel::trouble, this, &ScenesDesk::say);
  connect(archive_, &ArchivePanel::actionChanged, this, [this] { showPage(page_); });
  connect(archive_, &ArchivePanel::shapesChanged, this, &ScenesDesk::shapesChanged);
  connect(incoming_, &BringInPanel::trouble, this, &ScenesDesk::say);
  connect(incoming_, &BringInPanel::actionChanged, this, [this] { showPage(page_); });
  connect(incoming_, &BringInPanel::looked, this, &ScenesDesk::lookAsked);
  connect(incoming_, &BringInPanel::lookedAtLayer, this, &ScenesDesk::lookAtLayer);
  connect(incoming_, &BringInPanel::left, this, [this] { showGuest(Guest::None); });
  connect(making_, &MakingPanel::actionChanged, this, [this] { showPage(page_); });

  connect(timeLine_, &TimeLine::chose, this, [this](const QString& id) {
    say("");
    bench_.setCurrentScene(id);
    Q_EMIT productAsked(id);
    if (const auto* s = chosen()) fillComposites(*s);  // the one that is shown now
  });
  connect(sceneFacts_, &QPushButton::clicked, this, [this] {
    if (const auto* s = chosen()) Q_EMIT factsAsked(q(s->id));
  });
  connect(preset_, &QComboBox::activated, this, &ScenesDesk::applyPreset);
  connect(keep_, &QPushButton::clicked, this, &ScenesDesk::keepPreset);
  connect(forget_, &QPushButton::clicked, this, [this] {
    dropSensor(preset_->currentData().toString().toStdString());
    refresh();
  });
  connect(state_, &QComboBox::activated, this, [this] {
    const auto state = valueStateFrom(state_->currentData().toString().toStdString());
    if (const auto* s = chosen())
      bench_.changeScene(q(s->id), txt("Change what the values are"),
                         [=](Scene& one) { one.state = state; });
  });
  connect(name_, &QLineEdit::editingFinished, this, &ScenesDesk::nameScene);
  connect(date_, &QLineEdit::editingFinished, this, &ScenesDesk::dateScene);
  connect(bands_, &QTableWidget::itemChanged, this, [this](QTableWidgetItem* item) {
    if (filling_ || item->column() < 3) return;
    // The table is filled anew, which must not happen under the item that tells.
    QMetaObject::invokeMethod(
        this,
        [this, r = item->row(), c = item->column(), text = item->text()] {
          convertBands(r, c, text);
        },
        Qt::QueuedConnection);
  });
  connect(nodata_, &QLineEdit::editingFinished, this, [this] {
    const auto* s = chosen();
    if (s == nullptr || filling_) return;
    const QString text = nodata_->text().trimmed().replace("−", "-");
    const auto value = parseNumber(text.toStdString());
    if (!text.isEmpty() && !value)
      return say(txt(
          "The no-data value is not a number; write one such as 0 or -9999, or leave it empty."));
    if (s->scene.bands[0].conversion.nodata == value) return;
    say("");
    bench_.changeScene(q(s->id), txt("Change the no-data value"), [&](Scene& one) {
      for (auto& b : one.bands) b.conversion.nodata = value;
    });
  });
  connect(useArea_, &QPushButton::clicked, this, [this] {
    if (const auto* item = outlines_->currentItem())
      bench_.setStudyArea(item->data(Qt::UserRole).toString());
    else
      say(txt("Choose an outline of the list first."));
  });
  connect(drawArea_, &QPushButton::toggled, this,
          [this](bool on) { view_.setTool(on ? MapView::Tool::DrawArea : MapView::Tool::Look); });
  connect(&view_, &MapView::toolChanged, this, [this] {
    if (view_.tool() != MapView::Tool::DrawArea) drawArea_->setChecked(false);
  });
  connect(&view_, &MapView::areaDrawn, this, [this](const Ring& ring) {
    if (!isVisible() || !drawArea_->isChecked()) return;
    bench_.drawStudyArea(ring);
    drawArea_->setChecked(false);
  });
  connect(outlines_, &QListWidget::currentItemChanged, this, [this](QListWidgetItem* item) {
    if (!filling_ && item != nullptr) style_->show(item->data(Qt::UserRole).toString());
  });
  connect(outlines_, &QListWidget::itemChanged, this, [this](QListWidgetItem* item) {
    if (!filling_)
      bench_.showOutline(item->data(Qt::UserRole).toString(), item->checkState() == Qt::Checked);
  });
}

void ScenesDesk::showPage(int page) {
  if (page != page_) mask_->leave(), drawArea_->setChecked(false);
  page_ = page;
  for (int i = 0; i < kPages; ++i) {
    pageChips_[i]->setChecked(i == page);
    pages_[i]->setVisible(i == page);
  }
  if (page == kAside) mask_->show(chosen());
  primary_->setText(guest_ == Guest::Archive    ? archive_->action()
                    : guest_ == Guest::Incoming ? incoming_->action()
                    : page == kMake             ? making_->action()
                                                : txt("Go on to indices"));
  primary_->setEnabled(guest_ == Guest::Archive    ? archive_->canAct()
                       : guest_ == Guest::Incoming ? true
                                                   : chosen() != nullptr);
}

void ScenesDesk::showGuest(Guest guest) {
  if (guest_ == Guest::Archive && guest != Guest::Archive) archive_->stop();
  if (guest_ == Guest::Incoming && guest != Guest::Incoming) {
    lookAtLayer({});
    Q_EMIT lookEnded();
  }
  guest_ = guest;
  say("");
  refresh();
  Q_EMIT shapesChanged();
}

void ScenesDesk::forget() {
  mask_->leave();
  guest_ = Guest::None;
  shares_.stop();
  shareOf_.clear();
  thumbnails_.forget();
}

std::vector<ViewShape> ScenesDesk::shapes() const {
  return guest_ == Guest::Archive    ? archive_->shapes()
         : guest_ == Guest::Incoming ? incomingShapes_
                                     : std::vector<ViewShape>();
}

/// The shapes of a layer that is to come in, over the view; none for an empty name.
void ScenesDesk::lookAtLayer(const QString& layer) {
  layer_.stop();
  incomingShapes_.clear();
  if (layer.isEmpty()) return Q_EMIT shapesChanged();
  layer_.ask([layer = layer.toStdString(),
              crs = view_.crs()](const Progress&) { return readLayer(layer, crs); },
             [this](const Layer& read) {
               for (const auto& shape : read.shapes) {
                 ViewShape v;
                 v.shape = shape;
                 v.colour = tokens().accent;
                 incomingShapes_.push_back(std::move(v));
               }
               Q_EMIT shapesChanged();
             },
             [](const QString&) {});  // the panel says what is wrong with it
}

void ScenesDesk::openArchive(const QString& catalogue) {
  showGuest(Guest::Archive);
  archive_->open(catalogue);
}

void ScenesDesk::offer(const QStringList& paths) {
  if (paths.isEmpty()) return;
  say("");
  struct Found {
    bool catalogue = false;
    std::vector<Incoming> all;
  };
  auto found = std::make_shared<Found>();
  bench_.background(
      txt("Look at the files"),
      [paths, found](const Progress& progress) {
        found->catalogue = paths.size() == 1 && isCatalogue(paths[0].toStdString());
        progress.check();
        if (!found->catalogue) found->all = lookAtFiles(paths);
      },
      [this, paths, found] {
        if (!bench_.ensureStudy(paths[0])) return;  // what cannot be read makes no study
        Q_EMIT stageAsked(0);
        if (found->catalogue) return openArchive(paths[0]);
        if (isPlain(found->all)) {
          showGuest(Guest::None);
          return bench_.addScenes({found->all[0].scene});
        }
        showGuest(Guest::Incoming);
        incoming_->offer(std::move(found->all));
      });
}

const StudyScene* ScenesDesk::chosen() const {
  return bench_.hasStudy() ? bench_.currentScene() : nullptr;
}

void ScenesDesk::chooseFiles() {
  const QStringList files =
      QFileDialog::getOpenFileNames(this, txt("Bring in scenes"), {},
                                    txt("Rasters and STAC (*.tif *.tiff *.jp2 *.nc *.vrt *.png "
                                        "*.jpg *.jpeg *.json);;Class maps as "
                                        "polygons (*.gpkg *.geojson *.shp *.kml);;All files (*)"));
  offer(files);
}

void ScenesDesk::chooseFolder() {
  const QString folder = QFileDialog::getExistingDirectory(this, txt("Bring in a folder of bands"));
  if (!folder.isEmpty()) offer({folder});
}

void ScenesDesk::refresh() {
  filling_ = true;
  const Study& s = bench_.study();
  fillTimeLine();
  timeLine_->setVisible(!s.scenes.empty() && guest_ == Guest::None);
  bringRow_->setVisible(guest_ == Guest::None);
  back_->setVisible(guest_ != Guest::None);
  archive_->setVisible(guest_ == Guest::Archive);
  if (guest_ == Guest::Archive) archive_->refreshStates();
  incoming_->setVisible(guest_ == Guest::Incoming);
  fillHeading();
  const auto* chosenOutline = outlines_->currentItem();
  const QString outline =
      chosenOutline == nullptr ? QString() : chosenOutline->data(Qt::UserRole).toString();
  outlines_->clear();
  for (const auto& o : s.outlines) {
    auto* item =
        new QListWidgetItem(o.studyArea ? txt("%1  (the study area)").arg(q(o.name)) : q(o.name));
    item->setData(Qt::UserRole, q(o.id));
    item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
    item->setCheckState(o.shown ? Qt::Checked : Qt::Unchecked);
    outlines_->addItem(item);
    if (q(o.id) == outline) outlines_->setCurrentItem(item);
  }
  fitHeight(outlines_);
  style_->show(outline);
  delivery_->refresh();
  fillScene();
  filling_ = false;
}

namespace {
/// A sensor as it is called in a row: its id, else the first word of the scene's name.
QString rowOf(const Scene& scene) {
  QString name = scene.sensor.empty() ? q(scene.name).section(' ', 0, 0) : q(scene.sensor);
  if (!name.isEmpty()) name[0] = name[0].toUpper();
  return name;
}

/// The share of a mask's pixels that are set aside, of a small look at it.
double maskedShare(const std::filesystem::path& mask) {
  const RasterFile file(mask);
  const Grid& g = file.grid();
  const double shrink = std::max(1.0, std::sqrt(static_cast<double>(g.pixels()) / 4e6));
  const int w = std::max(1, static_cast<int>(g.width / shrink)),
            h = std::max(1, static_cast<int>(g.height / shrink));
  std::vector<uint16_t> codes(static_cast<size_t>(w) * static_cast<size_t>(h));
  file.readCodes(1, {0, 0, g.width, g.height}, codes.data(), w, h);
  const auto aside = std::count_if(codes.begin(), codes.end(), [](uint16_t c) { return c != 0; });
  return static_cast<double>(aside) / static_cast<double>(codes.size());
}
}  // namespace

void ScenesDesk::fillTimeLine() {
  std::vector<TimeLine::Mark> marks;
  for (const auto& one : bench_.study().scenes) {
    const Scene& s = one.scene;
    TimeLine::Mark m;
    m.id = q(one.id), m.name = q(s.name), m.row = rowOf(s);
    m.date = QDate::fromString(q(s.date).left(10), Qt::ISODate);
    m.sign = s.isRadar()           ? TimeLine::Sign::Radar
             : s.bandOf("nir") < 0 ? TimeLine::Sign::Picture
                                   : TimeLine::Sign::Optical;
    if (const auto known = shareOf_.find(s.mask.string()); known != shareOf_.end())
      m.setAside = known->second;
    marks.push_back(m);
  }
  timeLine_->setMarks(std::move(marks));
  if (const auto* current = bench_.currentScene()) timeLine_->setChosen(q(current->id));
  askShares();
}

/// Masks are counted in the background, each once.
void ScenesDesk::askShares() {
  std::vector<std::filesystem::path> masks;
  for (const auto& one : bench_.study().scenes)
    if (!one.scene.mask.empty() && shareOf_.count(one.scene.mask.string()) == 0)
      masks.push_back(one.scene.mask);
  if (masks.empty()) return;
  shares_.ask(
      [masks](const Progress& progress) {
        std::map<std::string, double> shares;
        for (const auto& m : masks) {
          progress.check();
          try {
            shares[m.string()] = maskedShare(m);
          } catch (const Error&) {
            shares[m.string()] = 0;  // it went away, which whoever reads the scene says
          }
        }
        return shares;
      },
      [this](const std::map<std::string, double>& shares) {
        shareOf_.insert(shares.begin(), shares.end());
        if (bench_.hasStudy()) refresh();
      },
      [](const QString&) {});
}

void ScenesDesk::fillHeading() {
  if (guest_ == Guest::Archive)
    return setHeading(txt("Archive"), txt("Search a catalogue and fetch scenes into the study."));
  if (guest_ == Guest::Incoming)
    return setHeading(txt("Bring in"), txt("What these files seem to be."));
  std::vector<std::string> dates;
  for (const auto& one : bench_.study().scenes)
    if (!one.scene.date.empty()) dates.push_back(one.scene.date);
  std::sort(dates.begin(), dates.end());
  const auto& scenes = bench_.study().scenes;
  const QString n = txt("%n scenes", "%n scene", static_cast<qint64>(scenes.size()));
  QString years;
  if (!dates.empty()) {
    years = q(dates.front()).left(4);
    const QString last = q(dates.back()).left(4);
    years = ", " + (years == last ? years : txt("%1 to %2").arg(years, last));
  }
  setHeading(txt("Scenes"),
             scenes.empty()
                 ? txt("Bring in the bands of a scene: one file, several, or a folder with a "
                       "file a band. You can drop them on the window too.")
                 : n + years + ". " + txt("Files can be dropped on the window."));
}

void ScenesDesk::fillScene() {
  const auto* s = chosen();
  details_->setVisible(s != nullptr && guest_ == Guest::None);
  if (s == nullptr) return showPage(page_);
  const Scene& scene = s->scene;
  const QString title = nameWithDate(scene);
  const auto share = shareOf_.find(scene.mask.string());
  usable_->setText(scene.mask.empty() ? txt("nothing set aside")
                   : share == shareOf_.end()
                       ? QString()
                       : txt("%1 % usable").arg(decimal(100 * (1 - share->second), 1)));
  // On one line with what stands beside it.
  const int room = 340 - usable_->sizeHint().width() - sceneFacts_->sizeHint().width();
  sceneTitle_->setText(
      sceneTitle_->fontMetrics().elidedText(title, Qt::ElideRight, std::max(160, room)));
  sceneTitle_->setToolTip(title);
  const QString wide = grouped(static_cast<qulonglong>(scene.grid.width)),
                high = grouped(static_cast<qulonglong>(scene.grid.height));
  const QString size = scene.grid.georeferenced
                           ? txt("%1 x %2 pixels of %3 %4")
                                 .arg(wide, high, compact(scene.grid.pixelWidth()),
                                      crsIsGeographic(scene.grid.crs) ? "°" : "m")
                           : txt("%1 x %2 pixels").arg(wide, high);
  facts_->setText(size + ", " +
                  (scene.grid.crs.empty() ? txt("without a reference system: looking, indices and "
                                                "maps work, areas and points do not")
                                          : q(crsTitle(scene.grid.crs))) +
                  "." + factsBeside(scene));
  name_->setText(q(scene.name));
  date_->setText(q(scene.date).left(10));
  preset_->clear();
  preset_->addItem(txt("none: roles set below"));
  bool own = false;
  for (const bool fits : {true, false})
    for (const auto& one : sensors()) {
      const Sentence why = whyNot(one, scene);
      if (why.empty() != fits) continue;
      preset_->addItem(txt(one.title), q(one.id));
      preset_->setItemData(preset_->count() - 1, fits ? txt(one.source) : sentenceOf(why),
                           Qt::ToolTipRole);
      if (!fits) preset_->setItemData(preset_->count() - 1, tokens().second, Qt::ForegroundRole);
      if (one.id == scene.sensor) preset_->setCurrentIndex(preset_->count() - 1), own = one.own;
    }
  keep_->setVisible(preset_->currentIndex() == 0);
  forget_->setVisible(own);
  state_->setCurrentIndex(state_->findData(q(idOf(scene.state))));
  const auto& nd = scene.bands[0].conversion.nodata;
  nodata_->setText(nd ? QString::number(*nd) : QString());
  fillBands(scene);
  fillComposites(*s);
  making_->show(s);
  showPage(page_);
}

void ScenesDesk::fillBands(const Scene& scene) {
  bands_->setRowCount(static_cast<int>(scene.bands.size()));
  for (int b = 0; b < bands_->rowCount(); ++b) {
    const auto& band = scene.bands[static_cast<size_t>(b)];
    bands_->setItem(b, 0, new QTableWidgetItem(QString("%1  %2").arg(b + 1).arg(q(band.name))));
    auto* role = new QComboBox;
    role->setObjectName(QString("role-%1").arg(b + 1));
    role->setAccessibleName(txt("Role of band %1").arg(b + 1));
    role->addItem(txt("no role"));
    for (const auto& r : knownRoles()) role->addItem(q(r));
    role->setCurrentIndex(std::max(0, role->findText(q(band.role))));
    role->setStyleSheet("QComboBox { padding: 1px 6px; min-height: 18px; }");
    connect(role, &QComboBox::activated, this, [this, b, role] {
      const auto* s = chosen();
      if (s == nullptr) return;
      const std::string wanted = role->currentIndex() == 0 ? "" : role->currentText().toStdString();
      bench_.changeScene(q(s->id), txt("Change a role"), [&](Scene& one) {
        if (wanted.empty())
          one.bands[static_cast<size_t>(b)].role.clear();
        else
          setRoles(one, {{wanted, b + 1}});
      });
    });
    bands_->setCellWidget(b, 1, role);
    bands_->setItem(b, 2, figureItem(band.wavelength > 0 ? QString::number(band.wavelength) : "–"));
    bands_->setItem(b, 3, figureItem(q(shortest(band.conversion.scale))));
    bands_->setItem(b, 4, figureItem(q(shortest(band.conversion.offset))));
    for (int column : {0, 2})
      bands_->item(b, column)->setFlags(bands_->item(b, column)->flags() & ~Qt::ItemIsEditable);
  }
  fitHeight(bands_);
}

void ScenesDesk::nameScene() {
  const auto* s = chosen();
  const std::string name = name_->text().trimmed().toStdString();
  if (s == nullptr || filling_ || name.empty() || name == s->scene.name) return;
  bench_.changeScene(q(s->id), txt("Rename a scene"), [&](Scene& one) { one.name = name; });
}

void ScenesDesk::dateScene() {
  const auto* s = chosen();
  const QString text = date_->text().trimmed();
  if (s == nullptr || filling_ || text == q(s->scene.date).left(10)) return;
  if (!text.isEmpty() && !QDate::fromString(text, Qt::ISODate).isValid())
    return say(
        txt("The date is not one; write year-month-day, such as 2031-07-18, or leave it empty."));
  say("");
  bench_.changeScene(q(s->id), txt("Change a date"),
                     [&](Scene& one) { one.date = text.toStdString(); });
}

/// A scale or offset was typed: it goes to all bands that shared the old one.
void ScenesDesk::convertBands(int row, int column, const QString& text) {
  const auto* s = chosen();
  if (s == nullptr || static_cast<size_t>(row) >= s->scene.bands.size()) return;
  const bool scale = column == 3;
  const auto part = scale ? &RasterFile::Conversion::scale : &RasterFile::Conversion::offset;
  const double before = s->scene.bands[static_cast<size_t>(row)].conversion.*part;
  const auto value = parseNumber(QString(text).trimmed().replace("−", "-").toStdString());
  if (!value || (scale && *value == 0)) {
    refresh();
    return say(scale ? txt("The scale is not a number other than 0; write one such as 0.0001.")
                     : txt("The offset is not a number; write one such as 0 or -0.1."));
  }
  say("");
  if (*value == before) return;
  bench_.changeScene(q(s->id), scale ? txt("Change a scale") : txt("Change an offset"),
                     [&](Scene& one) {
                       for (auto& b : one.bands)
                         if (b.conversion.*part == before) b.conversion.*part = *value;
                     });
}

void ScenesDesk::fillComposites(const StudyScene& s) {
  while (auto* item = composites_->takeAt(0)) {
    delete item->widget();
    delete item;
  }
  const Picture shown = view_.front();
  for (const auto& c : compositesOf(s.scene)) {
    auto* card = new CompositeCard(txt(c.title), txt(c.shortTitle));
    card->setObjectName("composite-" + q(c.id));
    card->setChecked(shown.of == s.id && shown.detail == txt(c.title));
    std::array<size_t, 3> b{};
    for (size_t i = 0; i < 3; ++i) b[i] = static_cast<size_t>(s.scene.bandOf(c.roles[i]));
    connect(card, &QPushButton::clicked, this,
            [this, b, title = txt(c.title)] { showComposite(b, title); });
    composites_->addWidget(card);
    thumbnails_.ask(compositePicture(s.id, s.scene, b, txt(c.title)), card,
                    [card](const QImage& image) { card->setThumbnail(image); });
  }
  for (int i = 0; i < 3; ++i) {
    free_[i]->clear();
    for (const auto& b : s.scene.bands) free_[i]->addItem(b.role.empty() ? q(b.name) : q(b.role));
    free_[i]->setCurrentIndex(
        std::min(free_[i]->count() - 1, s.scene.bands.size() >= 3 ? 2 - i : 0));
  }
}

void ScenesDesk::showComposite(std::array<size_t, 3> b, const QString& title) {
  const auto* s = chosen();
  if (s == nullptr) return;
  Q_EMIT pictureAsked(compositePicture(s->id, s->scene, b, title));
  fillComposites(*s);
}

void ScenesDesk::applyPreset(int index) {
  const auto* s = chosen();
  if (s == nullptr || index == 0) return;
  try {
    Scene copy = s->scene;
    applySensor(copy, sensor(preset_->currentData().toString().toStdString()));
    say("");
    bench_.changeScene(q(s->id), txt("Apply a sensor preset"), [&](Scene& one) { one = copy; });
  } catch (const std::exception& e) {
    say(sentenceOf(e));
    preset_->setCurrentIndex(0);
  }
}

void ScenesDesk::keepPreset() {
  const auto* s = chosen();
  if (s == nullptr) return;
  bool ok = false;
  const QString title =
      QInputDialog::getText(this, txt("Keep as a preset"), txt("Name of the sensor"),
                            QLineEdit::Normal, q(s->scene.name), &ok);
  if (!ok) return;
  try {
    keepSensor(s->scene, title.trimmed().toStdString());
    say("");
    const std::string id = sensors().back().id;
    bench_.changeScene(q(s->id), txt("Keep a preset"), [&](Scene& one) { one.sensor = id; });
  } catch (const std::exception& e) {
    say(sentenceOf(e));
  }
}

}  // namespace zp
