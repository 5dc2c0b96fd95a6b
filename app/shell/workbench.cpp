#include "shell/workbench.h"

#include <unistd.h>

#include <QDir>
#include <QFileInfo>
#include <QSettings>
#include <QStandardPaths>

#include "base/error.h"
#include "base/outputs.h"
#include "look/look.h"
#include "shell/product_face.h"

namespace fs = std::filesystem;

namespace zp {

namespace {
constexpr int kPlace = 300, kAgain = 3000;  // milliseconds

bool onlyToBeRead(const fs::path& folder) {
  return access(folder.c_str(), W_OK) != 0 && (errno == EROFS || errno == EACCES);
}
}  // namespace

Workbench::Workbench(QObject* parent) : QObject(parent) {
  placeTimer_.setSingleShot(true);
  placeTimer_.setInterval(kPlace);
  connect(&placeTimer_, &QTimer::timeout, this, [this] {
    if (study_ && (unsaved_ || !onlyToBeRead(study_->folder()))) save();
  });
  againTimer_.setInterval(kAgain);
  connect(&againTimer_, &QTimer::timeout, this, [this] { write([](const QString&) {}); });
  connect(&jobs_, &JobRunner::cancelled, this, [this](const QString& title) {
    Q_EMIT notice(txt("“%1” was cancelled; nothing was left behind.").arg(title));
  });
  connect(&overviews_, &OverviewMaker::made, this, &Workbench::takeOverview);
  connect(this, &Workbench::studyChanged, this, &Workbench::wantOverviews);
  connect(this, &Workbench::sceneAdded, this, &Workbench::wantOverviews);
}

void Workbench::guarded(const std::function<void()>& action) {
  try {
    action();
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

void Workbench::saved() {
  keepOverviews();
  placeTimer_.stop();
  save();
  Q_EMIT changed();
}

bool Workbench::save() {
  return write([this](const QString& sentence) { Q_EMIT trouble(sentence); });
}

bool Workbench::write(const std::function<void(const QString&)>& told) {
  if (!study_) return true;
  const bool before = unsaved_;
  try {
    if (alsoSave_) alsoSave_();
    study_->save();
    unsaved_ = false;
    savedAt_ = QTime::currentTime();
    againTimer_.stop();
  } catch (const std::exception& e) {
    unsaved_ = true;
    if (!againTimer_.isActive()) againTimer_.start();
    told(txt("The study is not saved: %1 It is tried again every few seconds.").arg(sentenceOf(e)));
  }
  if (unsaved_ != before) Q_EMIT savedChanged();
  if (before && !unsaved_) Q_EMIT notice(txt("The study is saved again."));
  return !unsaved_;
}

/// Another study must not take the place of one that exists nowhere but here.
bool Workbench::mayLeave() {
  return !unsaved_ || save();
}

QStringList Workbench::recent() {
  QStringList list;
  for (const auto& r : QSettings().value("recent").toStringList())
    if (QFileInfo::exists(r + "/study.json")) list << r;
  return list;
}

void Workbench::remember(const fs::path& folder) {
  QStringList list = recent();
  const QString path = q(folder.string());
  list.removeAll(path);
  list.prepend(path);
  QSettings().setValue("recent", list.mid(0, 8));
}

bool Workbench::create(const QString& folder, const QString& name) {
  bool ok = false;
  if (!mayLeave()) return false;
  guarded([&] {
    Study made = Study::create(folder.toStdString(), name.toStdString());
    close();
    study_ = std::move(made);
    remember(study_->folder());
    Q_EMIT studyChanged();
    ok = true;
  });
  return ok;
}

bool Workbench::open(const QString& folder) {
  bool ok = false;
  guarded([&] {
    const fs::path wanted = fs::absolute(folder.toStdString()).lexically_normal();
    if (study_ && (study_->folder() == wanted || study_->folder() / "" == wanted)) {
      ok = true;
      return;
    }
    if (!mayLeave()) return;
    Study opened = Study::open(wanted);
    close();
    study_ = std::move(opened);
    remember(study_->folder());
    Q_EMIT studyChanged();
    if (!study_->notice.empty()) Q_EMIT trouble(sentenceOf(study_->notice));
    if (onlyToBeRead(wanted))
      Q_EMIT trouble(
          txt("The folder “%1” may only be read: what you change cannot be saved. To go on "
              "with it, make a copy of it in the study menu.")
              .arg(q(wanted.filename().string())));
    ok = true;
  });
  return ok;
}

bool Workbench::saveCopy(const QString& folder) {
  bool ok = false;
  guarded([&] {
    if (alsoSave_) alsoSave_();
    study_->saveCopy(folder.toStdString());
    Q_EMIT notice(txt("A copy is in “%1”. You go on working in the first.").arg(folder));
    ok = true;
  });
  return ok;
}

/// Large scenes without overviews get copies of our own in the study, to be looked at from afar.
void Workbench::wantOverviews() {
  if (!study_) return;
  for (const auto& s : study_->scenes)
    for (const auto& b : s.scene.bands) {
      std::error_code ec;
      if (b.reduced.empty() || !fs::exists(b.reduced, ec))
        overviews_.want(b.file, study_->folder() / "overviews");
    }
}

/// No edit: nothing that a person would take back, and nothing goes out of date with it.
void Workbench::takeOverview(const QString& raster, const QString& copy) {
  if (!study_) return;
  reduced_[raster.toStdString()] = copy.toStdString();
  saved();
}

/// A scene that an undo puts back may be from before its copy was made.
void Workbench::keepOverviews() {
  for (auto& s : study_->scenes)
    for (auto& b : s.scene.bands)
      if (const auto at = reduced_.find(b.file.string()); at != reduced_.end())
        b.reduced = at->second;
}

void Workbench::close() {
  savePlace();
  unsaved_ = false;
  savedAt_ = {};
  againTimer_.stop();
  jobs_.cancel();
  overviews_.stop();
  ++generation_;
  undo_.clear();
  reduced_.clear();
  lookedAtCrs_.clear();
  study_.reset();
  Q_EMIT studyChanged();
}

void Workbench::background(const QString& title, std::function<void(const Progress&)> work,
                           std::function<void()> done, const QString& does) {
  jobs_.start({title,
               {},
               std::move(work),
               ofThisStudy(std::move(done)),
               [this](const QString& sentence) { Q_EMIT trouble(sentence); },
               does});
}

/// A job may end just after its study was closed; then its result belongs to no study that is open.
std::function<void()> Workbench::ofThisStudy(std::function<void()> done) {
  return [this, done = std::move(done), mine = generation_] {
    if (mine == generation_ && done) done();
  };
}

bool Workbench::ensureStudy(const QString& firstFile) {
  if (study_) return true;
  const QString base = QStandardPaths::writableLocation(QStandardPaths::DocumentsLocation) +
                       "/Zany Patch/" + QFileInfo(QDir::cleanPath(firstFile)).completeBaseName();
  QString folder = base;
  for (int n = 2; QFileInfo::exists(folder); ++n) folder = base + QString(" %1").arg(n);
  if (!create(folder, QFileInfo(folder).fileName())) return false;
  Q_EMIT notice(txt("A new study was made in “%1”.").arg(folder));
  return true;
}

void Workbench::bringIn(const QStringList& paths) {
  if (paths.isEmpty() || !ensureStudy(paths[0])) return;
  guarded([&] {
    std::vector<Scene> scenes;
    for (const auto& p : paths) scenes.push_back(openScene(fs::path(p.toStdString())));
    addScenes(std::move(scenes));
  });
}

void Workbench::fetch(const CatalogueEntry& entry, const Archive& archive,
                      std::function<void()> then) {
  auto scene = std::make_shared<Scene>();
  const auto done = ofThisStudy([this, scene, then] {
    addScenes({*scene});
    then();
  });
  jobs_.start({txt("Fetch %1").arg(q(entry.title)),
               {},
               [entry, archive, scene, scenes = study_->folder() / "scenes"](const Progress& p) {
                 const auto item = archive.fetch(entry, scenes, p);
                 *scene = openEntry(readCatalogue(item).at(0));
               },
               done,
               [this, then](const QString& sentence) {
                 then();
                 Q_EMIT trouble(sentence);
               }});
}

void Workbench::writeCatalogueOf(const QString& folder) {
  guarded([&] {
    std::vector<Scene> scenes;
    for (const auto& s : study_->scenes) scenes.push_back(s.scene);
    writeCatalogue(folder.toStdString(), study_->name, scenes, false);
    Q_EMIT notice(
        txt("The catalogue is “%1/catalog.json”; the rasters stay where they are.").arg(folder));
  });
}

void Workbench::run(const Json& step, const QString& title,
                    std::function<void(const QString&)> then) {
  auto product = std::make_shared<Product>();
  background(
      title,
      [snapshot = *study_, step, product](const Progress& progress) {
        *product = runStep(snapshot, step, progress);
      },
      [this, product, then] {
        const QString id = q(study_->addProduct(*product));
        saved();
        if (const auto* p = study_->product(id.toStdString()); p->kind == ProductKind::Scene) {
          Q_EMIT sceneAdded(q(study_->scenes.back().id));
          setCurrentScene(q(study_->scenes.back().id));
        }
        Q_EMIT productMade(id);
        if (then) then(id);
      },
      q(step.dump()));
}

void Workbench::bringUpToDate(const QString& id) {
  std::vector<std::string> order;
  putInOrder(id.toStdString(), order);
  for (const auto& one : order) makeAgain(one);
}

/// What a product was made from comes before it, once, however many ways lead there.
void Workbench::putInOrder(const std::string& id, std::vector<std::string>& order) const {
  const Product* p = study_->product(id);
  if (p == nullptr || std::find(order.begin(), order.end(), id) != order.end()) return;
  for (const auto& i : p->inputs)
    if (const auto* up = study_->maker(i.id);
        up != nullptr && Study::followsStateOf(*p, *up) && study_->outOfDate(*up))
      putInOrder(up->id, order);
  order.push_back(id);
}

void Workbench::makeAgain(const std::string& id) {
  const Product* old = study_->product(id);
  auto product = std::make_shared<Product>();
  // The study is copied when the job starts, after the ones before it have ended.
  auto snapshot = std::make_shared<std::optional<Study>>();
  jobs_.start({txt("Bring %1 up to date").arg(q(old->name)),
               [this, id, snapshot, wasOld = study_->outOfDate(*old)] {
                 const Product* at = study_ ? study_->product(id) : nullptr;
                 // Asked for twice, it is made once.
                 if (at != nullptr && (!wasOld || study_->outOfDate(*at))) *snapshot = study_;
               },
               [snapshot, id, product](const Progress& progress) {
                 const auto& copy = *snapshot;
                 if (!copy) return;
                 const Product before = *copy->product(id);
                 *product = runStep(*copy, before.step, progress, &before);
               },
               ofThisStudy([this, id, product] {
                 Product* at = study_->product(id);
                 if (at == nullptr || product->id.empty()) return;
                 product->name = at->name;
                 product->ramp = at->ramp;
                 const fs::path before = at->file;
                 guarded([&] { study_->replaceProduct(*product); });
                 saved();
                 std::error_code ignored;
                 if (before != product->file) fs::remove(before, ignored);
                 Q_EMIT productMade(q(id));
               }),
               [this](const QString& sentence) { Q_EMIT trouble(sentence); }});
}

void Workbench::copyProduct(const QString& id, const QString& target) {
  const auto* p = study_->product(id.toStdString());
  if (p == nullptr) return;
  background(
      txt("Save a copy"),
      [file = p->file, to = fs::path(target.toStdString())](const Progress&) {
        copyFile(file, to);
      },
      [this, target] { Q_EMIT notice(txt("The copy is in “%1”.").arg(target)); });
}

void Workbench::setPlace(const std::string& key, const Json& value) {
  if (!study_ || (study_->place.contains(key) && study_->place[key] == value)) return;
  study_->place[key] = value;
  // Where one was is worth no word in a study that may only be read.
  if (unsaved_ || !onlyToBeRead(study_->folder())) save();
}

void Workbench::setPlaceSoon(const std::string& key, const Json& value) {
  if (!study_ || (study_->place.contains(key) && study_->place[key] == value)) return;
  study_->place[key] = value;
  placeTimer_.start();
}

/// What waits to be saved, now.
void Workbench::savePlace() {
  if (!placeTimer_.isActive() || !study_) return;
  placeTimer_.stop();
  try {
    study_->save();
  } catch (const std::exception&) {
    // Only where one was; who hears of it may be going, too.
  }
}

Workbench::~Workbench() {
  savePlace();
}

Json Workbench::place(const std::string& key) const {
  return study_ && study_->place.contains(key) ? study_->place[key] : Json();
}

Picture Workbench::pictureOf(const QString& id) const {
  return study_ ? zp::pictureOf(*study_, id.toStdString()) : Picture();
}

namespace {
/// Composites of a scene are displayed each in its own way.
std::string displayKey(const Picture& p) {
  if (p.kind != Picture::Kind::Composite) return p.of;
  return p.of + "/" + std::to_string(p.bands[0]) + "-" + std::to_string(p.bands[1]) + "-" +
         std::to_string(p.bands[2]);
}
}  // namespace

Picture Workbench::asDisplayed(const Picture& picture) const {
  if (!study_ || picture.none() || picture.of == "preview") return picture;
  const Json all = place("display");
  const std::string key = displayKey(picture);
  if (!all.is_object() || !all.contains(key)) return displayed(picture, {});
  Display d = displayFrom(all[key]);
  if (d.from == Display::From::Area) d.part = studyArea(), d.partCrs = viewCrs();
  return displayed(picture, d);
}

void Workbench::setDisplay(const Picture& picture, const Display& display) {
  Json all = place("display");
  if (!all.is_object()) all = Json::object();
  if (display.plain())
    all.erase(displayKey(picture));
  else
    all[displayKey(picture)] = toJson(display);
  setPlace("display", all);
  Q_EMIT displayChanged();
}

std::string Workbench::studyAreaId() const {
  if (study_)
    for (const auto& o : study_->outlines)
      if (o.studyArea) return o.id;
  return "";
}

std::vector<Shape> Workbench::studyArea() const {
  std::vector<Shape> shapes;
  if (!study_) return shapes;
  for (const auto& o : study_->outlines) {
    if (!o.studyArea) continue;
    try {
      const Layer layer = readLayer(o.layer, viewCrs());
      shapes.insert(shapes.end(), layer.shapes.begin(), layer.shapes.end());
    } catch (const std::exception&) {
      // A layer that went away; the view says so when it draws the outlines.
    }
  }
  return shapes;
}

QStringList Workbench::alsoRead() const {
  QStringList ids;
  if (!study_) return ids;
  for (const auto& face : productFaces())
    if (const auto* p = face.read ? study_->newest(face.kind) : nullptr) ids << q(p->id);
  const StudyScene* radar = nullptr;
  for (const auto& s : study_->scenes)
    if (s.scene.isRadar() && (radar == nullptr || s.scene.date >= radar->scene.date)) radar = &s;
  if (radar != nullptr) ids << q(radar->id);
  return ids;
}

const StudyScene* Workbench::currentScene() const {
  if (!study_ || study_->scenes.empty()) return nullptr;
  if (const auto chosen = place("scene"); chosen.is_string())
    if (const auto* s = study_->scene(chosen.get<std::string>())) return s;
  const StudyScene* best = nullptr;
  for (const auto& s : study_->scenes)
    if (s.scene.bandOf("nir") >= 0 && (best == nullptr || s.scene.date >= best->scene.date))
      best = &s;
  return best != nullptr ? best : &study_->scenes.front();
}

void Workbench::setCurrentScene(const QString& id) {
  setPlaceSoon("scene", id.toStdString());
  Q_EMIT currentSceneChanged();
}

std::string Workbench::viewCrs() const {
  if (!study_) return "";
  for (const auto& s : study_->scenes)
    if (!s.scene.grid.crs.empty()) return s.scene.grid.crs;
  if (!study_->scenes.empty()) return "";
  const Picture map = anyPicture();
  return map.none() ? lookedAtCrs_ : crsOf(map);
}

Picture Workbench::anyPicture() const {
  if (!study_) return {};
  for (auto p = study_->products.rbegin(); p != study_->products.rend(); ++p)
    if (Picture picture = pictureOf(q(p->id)); !picture.none()) return picture;
  return {};
}

/// Asked for at each movement of the pointer: a file is opened once.
std::string Workbench::crsOf(const Picture& p) const {
  const std::string key = p.of + p.file.string();
  if (crsKnown_.first == key) return crsKnown_.second;
  try {
    crsKnown_ = {key, gridOf(p).crs};
  } catch (const std::exception&) {
    return "";  // it cannot be read; the view says so
  }
  return crsKnown_.second;
}

}  // namespace zp
