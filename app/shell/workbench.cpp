#include "shell/workbench.h"

#include <QDir>
#include <QFileInfo>
#include <QSettings>
#include <QStandardPaths>

#include "base/error.h"
#include "base/outputs.h"
#include "legend/class_map.h"
#include "look/look.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

/// An edit as two ways of doing it: there and back.
class Edit : public QUndoCommand {
 public:
  using Way = std::function<void()>;
  Edit(const QString& what, Way there, Way back)
      : QUndoCommand(what), there_(std::move(there)), back_(std::move(back)) {}
  void redo() override { there_(); }
  void undo() override { back_(); }

 private:
  Way there_, back_;
};

/// As the step noted it, or, of a study from before, from the file. Empty where that cannot be
/// read; the view says why when it tries.
Legend legendOfMap(const Product& map) {
  try {
    if (map.facts.contains("legend")) return legendFrom(map.facts["legend"]);
    return legendOf(RasterFile(map.file));
  } catch (const std::exception&) {
    return Legend();
  }
}

}  // namespace

Workbench::Workbench(QObject* parent) : QObject(parent) {
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
  guarded([&] { study_->save(); });
  Q_EMIT changed();
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
    Study opened = Study::open(wanted);
    close();
    study_ = std::move(opened);
    remember(study_->folder());
    Q_EMIT studyChanged();
    if (!study_->notice.empty()) Q_EMIT trouble(sentenceOf(study_->notice));
    ok = true;
  });
  return ok;
}

bool Workbench::saveCopy(const QString& folder) {
  bool ok = false;
  guarded([&] {
    study_->save();
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
  jobs_.cancel();
  overviews_.stop();
  ++generation_;
  undo_.clear();
  legends_.clear();
  reduced_.clear();
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

void Workbench::addScenes(std::vector<Scene> scenes) {
  if (scenes.empty()) return;
  std::vector<StudyScene> added;
  for (auto& s : scenes) {
    const std::string id = study_->addScene(std::move(s));
    added.push_back(*study_->scene(id));
  }
  const QString what = added.size() == 1 ? txt("Bring in %1").arg(q(added[0].scene.name))
                                         : txt("Bring in %n scenes", "Bring in %n scene",
                                               static_cast<qint64>(added.size()));
  const auto there = [this, added] {
    for (const auto& s : added)
      if (study_->scene(s.id) == nullptr) study_->scenes.push_back(s);
    study_->place["scene"] = added.back().id;
    saved();
    for (const auto& s : added) Q_EMIT sceneAdded(q(s.id));
    Q_EMIT currentSceneChanged();
  };
  const auto back = [this, added] {
    std::erase_if(study_->scenes, [&](const StudyScene& s) {
      return std::any_of(added.begin(), added.end(),
                         [&](const StudyScene& one) { return one.id == s.id; });
    });
    saved();
    Q_EMIT currentSceneChanged();
  };
  undo_.push(new Edit(what, there, back));
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

void Workbench::changeScene(const QString& id, const QString& what,
                            const std::function<void(Scene&)>& change) {
  guarded([&] {
    const StudyScene* s = study_->scene(id.toStdString());
    if (s == nullptr) return;
    const StudyScene before = *s;
    StudyScene after = before;
    change(after.scene);
    after.revision = nextRevision("scene-revisions", before.revision);
    undo_.push(new Edit(
        what, [this, after] { putScene(after); }, [this, before] { putScene(before); }));
  });
}

void Workbench::putScene(const StudyScene& scene) {
  if (auto* at = study_->scene(scene.id)) *at = scene;
  study_->place["scene"] = scene.id;  // it stays the current one, whatever roles it has now
  saved();
  Q_EMIT currentSceneChanged();
}

void Workbench::removeScene(const QString& id) {
  auto& all = study_->scenes;
  const auto at = std::find_if(all.begin(), all.end(),
                               [&](const StudyScene& one) { return one.id == id.toStdString(); });
  if (at == all.end()) return;
  const auto place = at - all.begin();
  undo_.push(new Edit(
      txt("Take %1 out of the study").arg(q(at->scene.name)),
      [this, place] {
        study_->scenes.erase(study_->scenes.begin() + place);
        saved();
        Q_EMIT currentSceneChanged();
      },
      [this, place, scene = *at] {
        study_->scenes.insert(study_->scenes.begin() + place, scene);
        putScene(scene);
      }));
}

void Workbench::addOutline(const QString& layer, const QString& name) {
  guarded([&] {
    StudyOutline o;
    o.layer = layer.toStdString();
    o.name = name.toStdString();
    readLayer(o.layer, viewCrs());
    study_->addOutline(o);
    saved();
  });
}

void Workbench::putOutlines(const std::vector<StudyOutline>& outlines) {
  study_->outlines = outlines;
  saved();
}

void Workbench::setStudyArea(const QString& id) {
  const auto before = study_->outlines;
  auto after = before;
  for (auto& o : after) {
    o.studyArea = o.id == id.toStdString();
    o.shown = o.shown || o.studyArea;
  }
  undo_.push(new Edit(
      txt("Choose the study area"), [this, after] { putOutlines(after); },
      [this, before] { putOutlines(before); }));
}

void Workbench::drawStudyArea(const Ring& ring) {
  guarded([&] {
    if (viewCrs().empty())
      throw Error(
          "Without a reference system an area would lie nowhere; give the scene one first.");
    Layer layer;
    layer.name = "study_area";
    layer.crs = viewCrs();
    layer.table = {{"name"}, {{txt("Study area").toStdString()}}};
    layer.shapes = {{{ring}, {}}};
    std::error_code ignored;
    fs::create_directories(study_->folder() / "outlines", ignored);
    fs::path file = study_->folder() / "outlines" / "study-area.gpkg";
    for (int n = 2; fs::exists(file); ++n)
      file.replace_filename("study-area-" + std::to_string(n) + ".gpkg");
    Outputs outputs(false);
    writeLayer(outputs.add(file), file, layer, {FieldType::Text});
    outputs.commit();
    const auto before = study_->outlines;
    auto after = before;
    for (auto& o : after) o.studyArea = false;
    after.push_back({study_->takeId("o"),
                     txt("Drawn area").toStdString(),
                     file.string() + ":study_area",
                     {255, 255, 255},
                     true,
                     true});
    undo_.push(new Edit(
        txt("Draw the study area"), [this, after] { putOutlines(after); },
        [this, before] { putOutlines(before); }));
  });
}

void Workbench::styleOutline(const StudyOutline& styled) {
  const auto before = study_->outlines;
  auto after = before;
  for (auto& o : after)
    if (o.id == styled.id) o = styled;
  undo_.push(new Edit(
      txt("Change how an outline looks"), [this, after] { putOutlines(after); },
      [this, before] { putOutlines(before); }));
}

void Workbench::setDelivery(const std::optional<DeliveryGrid>& wanted) {
  auto grid = wanted;
  if (grid)
    grid->revision =
        nextRevision("delivery-revisions", study_->delivery ? study_->delivery->revision : 0);
  const auto put = [this](const std::optional<DeliveryGrid>& g) {
    study_->delivery = g;
    saved();
  };
  undo_.push(new Edit(
      txt("Prescribe the delivery grid"), [put, grid] { put(grid); },
      [put, before = study_->delivery] { put(before); }));
}

void Workbench::showOutline(const QString& id, bool shown) {
  for (auto& o : study_->outlines)
    if (o.id == id.toStdString()) o.shown = shown;
  saved();
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

void Workbench::changeProduct(const QString& id, const QString& what, std::string Product::*member,
                              const std::string& value) {
  const auto* p = study_->product(id.toStdString());
  if (p == nullptr || p->*member == value) return;
  const auto put = [this, id = p->id, member](const std::string& v) {
    if (auto* at = study_->product(id)) at->*member = v;
    saved();
  };
  undo_.push(new Edit(
      what, [put, value] { put(value); }, [put, before = p->*member] { put(before); }));
}

void Workbench::renameProduct(const QString& id, const QString& name) {
  if (name.trimmed().isEmpty()) return;
  changeProduct(id, txt("Rename a product"), &Product::name, name.trimmed().toStdString());
}

void Workbench::setRamp(const QString& id, const QString& ramp) {
  changeProduct(id, txt("Change a ramp"), &Product::ramp, ramp.toStdString());
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

void Workbench::toBin(const QString& id) {
  const auto* p = study_->product(id.toStdString());
  if (p == nullptr) return;
  const auto move = [this, one = p->id](void (Study::*way)(const std::string&)) {
    guarded([&] { ((*study_).*way)(one); });
    saved();
  };
  undo_.push(new Edit(
      txt("Move %1 to the bin").arg(q(p->name)), [move] { move(&Study::toBin); },
      [move] { move(&Study::fromBin); }));
}

void Workbench::fromBin(const QString& id) {
  guarded([&] { study_->fromBin(id.toStdString()); });
  saved();
}

void Workbench::emptyBin() {
  study_->emptyBin();
  undo_.clear();  // what is deleted cannot be taken back
  saved();
}

void Workbench::setTraining(const std::vector<TrainingArea>& areas, const std::string& crs,
                            const QString& what) {
  pushTraining({areas, crs, legendOf(areas, study_->legend), 0}, what);
}

void Workbench::setLegend(const Legend& legend, const QString& what) {
  pushTraining({study_->training, study_->trainingCrs, legend, 0}, what);
}

void Workbench::removeClass(int code) {
  const auto* c = study_->legend.find(code);
  if (c == nullptr) return;
  TrainingState after = {study_->training, study_->trainingCrs, study_->legend, 0};
  std::erase_if(after.areas, [&](const TrainingArea& a) { return a.code == code; });
  std::erase_if(after.legend.classes, [&](const LegendClass& one) { return one.code == code; });
  pushTraining(after, txt("Remove the class %1").arg(q(c->name)));
}

void Workbench::pushTraining(TrainingState after, const QString& what) {
  const TrainingState before = {study_->training, study_->trainingCrs, study_->legend,
                                study_->trainingRevision};
  after.revision = nextRevision("training-revisions", before.revision);
  undo_.push(new Edit(
      what, [this, after] { putTraining(after); }, [this, before] { putTraining(before); }));
}

void Workbench::putTraining(const TrainingState& state) {
  study_->legend = state.legend;
  study_->setTraining(state.areas, state.crs);
  // Taken back to a state that products were made from, they are up to date again.
  study_->trainingRevision = state.revision;
  saved();
}

/// A number that no state had before, so that one taken back is not mistaken for a new one.
int Workbench::nextRevision(const std::string& of, int now) {
  const int next = std::max(now, study_->place.value(of, 0)) + 1;
  study_->place[of] = next;
  return next;
}

void Workbench::setPlace(const std::string& key, const Json& value) {
  if (!study_ || (study_->place.contains(key) && study_->place[key] == value)) return;
  study_->place[key] = value;
  guarded([&] { study_->save(); });
}

Json Workbench::place(const std::string& key) const {
  return study_ && study_->place.contains(key) ? study_->place[key] : Json();
}

Picture Workbench::pictureOf(const QString& id) const {
  if (!study_) return {};
  if (const auto* s = study_->scene(id.toStdString())) {
    const auto can = compositesOf(s->scene);
    if (can.empty() || s->scene.bands.size() < 3) {
      const std::string band =
          s->scene.bands[0].role.empty() ? s->scene.bands[0].name : s->scene.bands[0].role;
      return compositePicture(s->id, s->scene, {0, 0, 0}, q(band));
    }
    std::array<size_t, 3> bands{};
    for (size_t i = 0; i < 3; ++i) bands[i] = static_cast<size_t>(s->scene.bandOf(can[0].roles[i]));
    return compositePicture(s->id, s->scene, bands, txt(can[0].title));
  }
  const auto* p = study_->product(id.toStdString());
  if (p != nullptr && p->kind == ProductKind::Scene)
    for (const auto& s : study_->scenes)
      if (s.product == p->id) return pictureOf(q(s.id));
  const bool continuous =
      p != nullptr && (p->kind == ProductKind::Index || p->kind == ProductKind::Quantity);
  if (!continuous && (p == nullptr || p->kind != ProductKind::ClassMap)) return {};
  Picture picture;
  picture.of = p->id;
  picture.title = q(p->name);
  picture.detail = niceDate(p->date);
  picture.file = p->file;
  picture.key =
      QString("p/%1/%2/%3/%4").arg(q(p->id)).arg(p->revision).arg(q(p->ramp), q(p->file.string()));
  picture.kind = continuous ? Picture::Kind::Index : Picture::Kind::Classes;
  picture.ramp = p->ramp;
  if (p->kind == ProductKind::ClassMap) {
    auto& [revision, legend] = legends_[p->id];
    if (revision != p->revision) legend = legendOfMap(*p), revision = p->revision;
    picture.legend = legend;
  }
  return picture;
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
  for (auto kind : {ProductKind::Index, ProductKind::ClassMap})
    if (const auto* p = study_->newest(kind)) ids << q(p->id);
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
  setPlace("scene", id.toStdString());
  Q_EMIT currentSceneChanged();
}

std::string Workbench::viewCrs() const {
  if (!study_) return "";
  for (const auto& s : study_->scenes)
    if (!s.scene.grid.crs.empty()) return s.scene.grid.crs;
  return "";
}

}  // namespace zp
