// What a person changes in the study, each with its way back.
#include "base/error.h"
#include "base/outputs.h"
#include "look/look.h"
#include "shell/workbench.h"

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

}  // namespace

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

void Workbench::nameClusters(const QString& id, const ClusterNaming& naming, const QString& what) {
  const auto* p = study_->product(id.toStdString());
  if (p == nullptr) return;
  const auto put = [this, id = p->id](const Json& named) {
    if (auto* at = study_->product(id)) at->facts["naming"] = named;
    saved();
  };
  undo_.push(new Edit(
      what, [put, after = toJson(naming)] { put(after); },
      [put, before = p->facts.value("naming", Json::object())] { put(before); }));
}

void Workbench::keep(const std::string& key, const Json& kept, const QString& what) {
  const auto put = [this, key](const Json& value) {
    study_->place[key] = value;
    saved();
  };
  undo_.push(new Edit(
      what, [put, kept] { put(kept); }, [put, before = place(key)] { put(before); }));
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

void Workbench::noteArea(size_t area, const std::string& note, bool lookAgain) {
  if (area >= study_->training.size()) return;
  const TrainingState before = trainingNow();
  TrainingState after = before;
  after.areas[area].note = note;
  after.areas[area].lookAgain = lookAgain;
  undo_.push(new Edit(
      txt("Note on a training area"), [this, after] { putTraining(after); },
      [this, before] { putTraining(before); }));
}

void Workbench::putSets(const std::vector<TrainingSet>& sets, const QString& what) {
  const auto put = [this](const std::vector<TrainingSet>& these) {
    study_->trainingSets = these;
    saved();
  };
  undo_.push(new Edit(
      what, [put, sets] { put(sets); }, [put, before = study_->trainingSets] { put(before); }));
}

void Workbench::keepTrainingSet(const std::string& name) {
  auto sets = study_->trainingSets;
  std::erase_if(sets, [&](const TrainingSet& s) { return s.name == name; });
  sets.push_back({name, study_->trainingCrs, study_->training});
  putSets(sets, txt("Keep the areas as %1").arg(q(name)));
}

void Workbench::dropTrainingSet(const std::string& name) {
  auto sets = study_->trainingSets;
  std::erase_if(sets, [&](const TrainingSet& s) { return s.name == name; });
  putSets(sets, txt("Drop the set %1").arg(q(name)));
}

void Workbench::takeTrainingSet(const std::string& name, bool beside) {
  for (const auto& set : study_->trainingSets) {
    if (set.name != name) continue;
    if (!beside || study_->training.empty())
      return setTraining(set.areas, set.crs, txt("Take the areas of %1").arg(q(name)));
    auto all = study_->training;
    const CrsChange change(set.crs, study_->trainingCrs);
    for (auto a : set.areas) {
      a.shape.bring(change);
      all.push_back(std::move(a));
    }
    return setTraining(all, study_->trainingCrs, txt("Add the areas of %1").arg(q(name)));
  }
}

/// Nothing is made from the order of the classes, nor from what is said of the legend itself.
void Workbench::setLegend(const Legend& legend, const QString& what) {
  const TrainingState before = trainingNow();
  TrainingState after = before;
  after.legend = legend;
  if (!legend.sameClasses(before.legend)) return pushTraining(after, what);
  undo_.push(new Edit(
      what, [this, after] { putTraining(after); }, [this, before] { putTraining(before); }));
}

void Workbench::removeClass(int code) {
  const auto* c = study_->legend.find(code);
  if (c == nullptr) return;
  TrainingState after = trainingNow();
  std::erase_if(after.areas, [&](const TrainingArea& a) { return a.code == code; });
  std::erase_if(after.legend.classes, [&](const LegendClass& one) { return one.code == code; });
  pushTraining(after, txt("Remove the class %1").arg(q(c->name)));
}

void Workbench::changeClass(int code, const LegendClass& as) {
  TrainingState after = trainingNow();
  if (after.legend.find(code) == nullptr || (as.code != code && after.legend.find(as.code))) return;
  after.legend.change(code, as);
  for (auto& a : after.areas)
    if (a.code == code) a.code = as.code, a.className = as.name;
  if (code == as.code) return pushTraining(after, txt("Change a class"));
  undo_.beginMacro(txt("Change a class"));
  pushTraining(after, txt("Change a class"));
  renumberRest(code, as.code);
  undo_.endMacro();
}

void Workbench::renumberRest(int from, int to) {
  const QString what = txt("Change a class");
  auto sets = study_->trainingSets;
  for (auto& set : sets)
    for (auto& a : set.areas)
      if (a.code == from) a.code = to;
  if (!sets.empty()) putSets(sets, what);
  for (const auto& p : study_->products) {
    if (p.kind != ProductKind::Clusters) continue;
    ClusterNaming naming;
    const Json said = p.facts.value("naming", Json::object());
    for (const auto& [cluster, code] : said.items())
      naming[std::stoi(cluster)] = code == from ? to : code.get<int>();
    if (!naming.empty()) nameClusters(q(p.id), naming, what);
  }
  undo_.push(new Edit(
      what, [this, from, to] { Q_EMIT classRenumbered(from, to); },
      [this, from, to] { Q_EMIT classRenumbered(to, from); }));
}

void Workbench::mergeClass(int code, int into) {
  const auto *c = study_->legend.find(code), *target = study_->legend.find(into);
  if (c == nullptr || target == nullptr || code == into) return;
  TrainingState after = trainingNow();
  for (auto& a : after.areas) {
    if (a.code != code) continue;
    if (a.subclass.empty()) a.subclass = c->name;
    a.code = into;
    a.className = target->name;
  }
  auto& parts = after.legend.find(into)->subclasses;
  for (const auto& s : c->subclasses)
    if (std::none_of(parts.begin(), parts.end(),
                     [&](const Subclass& one) { return one.name == s.name; }))
      parts.push_back(s);
  std::erase_if(after.legend.classes, [&](const LegendClass& one) { return one.code == code; });
  pushTraining(after, txt("Merge %1 into %2").arg(q(c->name), q(target->name)));
}

Workbench::TrainingState Workbench::trainingNow() const {
  return {study_->training, study_->trainingCrs, study_->legend, study_->trainingRevision};
}

void Workbench::pushTraining(TrainingState after, const QString& what) {
  const TrainingState before = trainingNow();
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

}  // namespace zp
