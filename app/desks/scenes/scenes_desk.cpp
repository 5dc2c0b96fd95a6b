#include "desks/scenes/scenes_desk.h"

#include "desks/scenes/area_panel.h"
#include "desks/scenes/bands_panel.h"
#include "desks/scenes/look_panel.h"
#include "desks/scenes/making_panel.h"
#include "desks/scenes/mask_panel.h"
#include "shell/find_widgets.h"

namespace zp {

ScenesDesk::ScenesDesk(Workbench& bench, MapView& view)
    : Desk(bench, view, txt("Scenes")), shares_(this) {
  setNext(txt("Go on to indices"), 1);
  buildBringRow();
  buildScenes();
  buildPages();
}

void ScenesDesk::buildBringRow() {
  auto* files = quietButton(txt("Files…"));
  files->setObjectName("bringFiles");
  files->setIcon(icon("import"));
  files->setToolTip(txt("Bring in rasters, STAC items or a catalogue"));
  auto* folder = quietButton(txt("Folder…"));
  folder->setObjectName("bringFolder");
  folder->setToolTip(txt("Bring in a folder, such as one with a file a band"));
  auto* outline = quietButton(txt("Outline…"));
  outline->setToolTip(txt("Bring in a vector layer to lie over the pictures"));
  auto* archive = quietButton(txt("Archive"));
  archive->setObjectName("bringArchive");
  archive->setToolTip(txt("Search a catalogue and fetch scenes"));
  bringRow_ = wrapping({files, folder, outline, archive});
  body()->addWidget(bringRow_);
  back_ = linkButton(txt("Back to the scenes"));
  back_->setObjectName("backToScenes");
  body()->addWidget(back_, 0, Qt::AlignLeft);
  connect(files, &QPushButton::clicked, this, &ScenesDesk::chooseFiles);
  connect(folder, &QPushButton::clicked, this, &ScenesDesk::chooseFolder);
  connect(outline, &QPushButton::clicked, this, &ScenesDesk::chooseOutline);
  connect(archive, &QPushButton::clicked, this, [this] { openArchive(); });
  connect(back_, &QPushButton::clicked, this, &ScenesDesk::backToScenes);
}

void ScenesDesk::buildScenes() {
  timeLine_ = new TimeLine;
  body()->addWidget(timeLine_);
  body()->addWidget(line_ = hairline());
  head_ = new SceneHead(bench_, shares_);
  addPanel(head_);
  body()->addWidget(chips());
  connect(timeLine_, &TimeLine::chose, this, [this](const QString& id) {
    say("");
    bench_.setCurrentScene(id);
    Q_EMIT productAsked(id);
    look_->refresh();  // the one that is shown now
  });
  connect(head_, &SceneHead::factsAsked, this, &ScenesDesk::factsAsked);
  connect(&shares_, &MaskShares::known, this, [this] {
    if (bench_.hasStudy()) refresh();
  });
}

void ScenesDesk::buildPages() {
  addPage(look_ = scenePage_ = new LookPanel(bench_, view_), "page-look", txt("Look"));
  addPage(new BandsPanel(bench_), "page-bands", txt("Bands"));
  addPage(new MaskPanel(bench_, view_), "page-mask", txt("Set aside"));
  addPage(new MakingPanel(bench_), "page-make", txt("Make"));
  addPage(new AreaPanel(bench_, view_), "page-area", txt("Study area"));
  addPage(archive_ = new ArchivePanel(bench_, view_));
  addPage(incoming_ = new BringInPanel(bench_, view_));
  openedBy(archive_, "bringArchive");
  connect(incoming_, &BringInPanel::looked, this, &ScenesDesk::lookAsked);
  connect(incoming_, &BringInPanel::lookEnded, this, &ScenesDesk::lookEnded);
  connect(incoming_, &BringInPanel::left, this, &ScenesDesk::backToScenes);
}

void ScenesDesk::forget() {
  Desk::forget();
  shares_.forget();
  scenePage_ = look_;
  showPage(look_);
}

void ScenesDesk::showGuest(Panel* guest) {
  if (!guestIsThere()) scenePage_ = page();
  showPage(guest);
}

void ScenesDesk::openArchive(const QString& catalogue) {
  showGuest(archive_);
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
          if (guestIsThere()) backToScenes();
          return bench_.addScenes({found->all[0].scene});
        }
        showGuest(incoming_);
        incoming_->offer(std::move(found->all));
      });
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

void ScenesDesk::chooseOutline() {
  const QString file = QFileDialog::getOpenFileName(
      this, txt("Bring in an outline"), {}, txt("Vector layers (*.gpkg *.geojson *.json *.shp)"));
  if (file.isEmpty()) return;
  try {
    for (const auto& [name, n] : layersOf(file.toStdString()))
      bench_.addOutline(file + ":" + q(name), q(name));
  } catch (const std::exception& e) {
    say(sentenceOf(e));
  }
}

void ScenesDesk::fill() {
  const bool guest = guestIsThere(), any = !bench_.study().scenes.empty();
  fillTimeLine();
  bringRow_->setVisible(!guest);
  back_->setVisible(guest);
  for (QWidget* part : std::initializer_list<QWidget*>{timeLine_, line_, head_, chips()})
    part->setVisible(any && !guest);
  page()->setVisible(any || guest);
}

namespace {
/// A sensor as it is called in a row: its id, else the first word of the scene's name.
QString rowOf(const Scene& scene) {
  static const QRegularExpression between("[ _]+");
  QString name = scene.sensor.empty()
                     ? q(withoutDate(scene.name)).section(between, 0, 0, QString::SectionSkipEmpty)
                     : q(scene.sensor);
  if (!name.isEmpty()) name[0] = name[0].toUpper();
  return name;
}
}  // namespace

void ScenesDesk::fillTimeLine() {
  std::vector<TimeLine::Mark> marks;
  std::vector<std::filesystem::path> masks;
  for (const auto& one : bench_.study().scenes) {
    const Scene& s = one.scene;
    TimeLine::Mark m;
    m.id = q(one.id), m.name = q(s.name), m.row = rowOf(s);
    m.date = QDate::fromString(q(s.date).left(10), Qt::ISODate);
    m.sign = s.isRadar()           ? TimeLine::Sign::Radar
             : s.bandOf("nir") < 0 ? TimeLine::Sign::Picture
                                   : TimeLine::Sign::Optical;
    if (const auto share = shares_.of(s.mask)) m.setAside = *share;
    marks.push_back(m);
    masks.push_back(s.mask);
  }
  timeLine_->setMarks(std::move(marks));
  if (const auto* current = bench_.currentScene()) timeLine_->setChosen(q(current->id));
  shares_.ask(masks);
}

Panel::Heading ScenesDesk::heading() const {
  if (guestIsThere()) return page()->heading();
  const auto& scenes = bench_.study().scenes;
  if (scenes.empty())
    return {{},
            txt("Bring in the bands of a scene: one file, several, or a folder with a file a band. "
                "You can drop them on the window too.")};
  QStringList years;
  for (const auto& one : scenes)
    if (!one.scene.date.empty()) years << q(one.scene.date).left(4);
  years.sort();
  QString when;
  if (!years.isEmpty())
    when =
        ", " + (years.first() == years.last() ? years.first()
                                              : txt("%1 to %2").arg(years.first(), years.last()));
  return {{},
          txt("%n scenes", "%n scene", static_cast<qint64>(scenes.size())) + when + ". " +
              txt("Files can be dropped on the window.")};
}

Trail::Station ScenesDesk::station() const {
  Trail::Station station;
  const auto& scenes = bench_.study().scenes;
  station.figure = scenes.empty()
                       ? txt("none yet")
                       : txt("%n scenes", "%n scene", static_cast<qint64>(scenes.size()));
  station.state = scenes.empty() ? Trail::State::Hollow : Trail::State::Filled;
  return station;
}

std::vector<FindOffer> ScenesDesk::offers() {
  const auto command = [this](const QString& name, std::function<void()> action) {
    return FindOffer{name,
                     txt("command"),
                     [this, action] {
                       Q_EMIT stageAsked(0);
                       action();
                     },
                     {}};
  };
  return {command(txt("Bring in files"), [this] { chooseFiles(); }),
          command(txt("Bring in a folder"), [this] { chooseFolder(); }),
          command(txt("Search the archive"), [this] { openArchive(); })};
}

}  // namespace zp
