#pragma once
#include <QObject>
#include <QTimer>
#include <QUndoStack>
#include <optional>

#include "background/job_runner.h"
#include "scene/archive.h"
#include "shell/overview_maker.h"
#include "study/cluster_naming.h"
#include "study/step.h"
#include "view/picture.h"

namespace zp {

/// The study one works on, with everything that happens to it: steps are run, saved and told to the
/// window from here. The window's widgets ask it and listen to it; they never change the study
/// themselves.
class Workbench : public QObject {
  Q_OBJECT
 public:
  explicit Workbench(QObject* parent = nullptr);
  ~Workbench() override;

  bool hasStudy() const { return study_.has_value(); }
  const Study& study() const { return *study_; }
  JobRunner& jobs() { return jobs_; }
  const OverviewMaker& overviews() const { return overviews_; }
  QUndoStack& undo() { return undo_; }

  // Each says what went wrong through `trouble`, and then returns false.
  bool create(const QString& folder, const QString& name);
  bool open(const QString& folder);
  bool saveCopy(const QString& folder);
  void close();
  static QStringList recent();

  /// There is no unsaved work: files that come in while no study is open start one of their own.
  bool ensureStudy(const QString& firstFile);
  /// Brings in each path as a scene.
  void bringIn(const QStringList& paths);
  /// One thing to take back, however many they are.
  void addScenes(std::vector<Scene> scenes);
  /// Fetches a scene into the study and brings it in; `then` when it ended, well or not.
  void fetch(const CatalogueEntry& entry, const Archive& archive, std::function<void()> then);
  void writeCatalogueOf(const QString& folder);
  void changeScene(const QString& id, const QString& what,
                   const std::function<void(Scene&)>& change);
  void removeScene(const QString& id);
  void addOutline(const QString& layer, const QString& name);
  /// One outline, or what was drawn in the view, limits what asks for the study area.
  void setStudyArea(const QString& id);
  void drawStudyArea(const Ring& ring);
  void showOutline(const QString& id, bool shown);
  /// The grid that results lie on from now on; nothing: each on that of its scene.
  void setDelivery(const std::optional<DeliveryGrid>& grid);
  /// Its colour, line and label.
  void styleOutline(const StudyOutline& styled);

  /// Runs a step as a job and adds its product; `then` gets its id.
  void run(const Json& step, const QString& title, std::function<void(const QString&)> then = {});
  void bringUpToDate(const QString& id);
  void renameProduct(const QString& id, const QString& name);
  void setRamp(const QString& id, const QString& ramp);
  /// What clusters are said to be.
  void nameClusters(const QString& id, const ClusterNaming& naming, const QString& what);
  /// Copies a product's file to a place outside the study.
  void copyProduct(const QString& id, const QString& target);
  void toBin(const QString& id);
  void fromBin(const QString& id);
  void emptyBin();

  /// What a desk keeps with the study under a key, such as the corrections of a map, as one thing
  /// to take back.
  void keep(const std::string& key, const Json& value, const QString& what);

  void setTraining(const std::vector<TrainingArea>& areas, const std::string& crs,
                   const QString& what);
  /// What somebody says of a training area; nothing that was made from it changes.
  void noteArea(size_t area, const std::string& note, bool lookAgain);
  // Areas kept under a name.
  void keepTrainingSet(const std::string& name);
  void dropTrainingSet(const std::string& name);
  /// They become the training areas, or come beside them.
  void takeTrainingSet(const std::string& name, bool beside);
  void setLegend(const Legend& legend, const QString& what);
  /// With its training areas.
  void removeClass(int code);
  /// A class has another code, name or colour; its training areas follow, and where it has another
  /// code the sets of areas, named clusters and labels of points too. Nothing where the code is
  /// another class's.
  void changeClass(int code, const LegendClass& as);
  /// Its training areas become those of another, with its name as their subclass where they have
  /// none.
  void mergeClass(int code, int into);

  void setPlace(const std::string& key, const Json& value);
  /// The same for what changes as one looks around: it is saved a moment later, all of it at once.
  void setPlaceSoon(const std::string& key, const Json& value);
  /// The study as it is, now; false, and said why, when it cannot be written. Then it is tried
  /// again with every change and every few seconds, and the study is not left for another.
  bool save();
  bool unsaved() const { return unsaved_; }
  /// What belongs to the study in a file of its own and is saved with it; it throws when it cannot.
  void alsoSave(std::function<void()> write) { alsoSave_ = std::move(write); }
  QTime savedAt() const { return savedAt_; }
  Json place(const std::string& key) const;

  /// A background job of any kind, with its troubles told. `does` tells it from others: the same is
  /// not begun twice.
  void background(const QString& title, std::function<void(const Progress&)> work,
                  std::function<void()> done, const QString& does = {});

  /// The scene or product as a picture; empty when it is none.
  Picture pictureOf(const QString& id) const;
  /// A picture as it was last displayed: its stretch, steps, opacity and hidden classes are kept
  /// with the study.
  Picture asDisplayed(const Picture& picture) const;
  void setDisplay(const Picture& picture, const Display& display);
  /// The polygons of the study area in the view's system; none without one.
  std::vector<Shape> studyArea() const;
  /// Its id; "" without one.
  std::string studyAreaId() const;
  /// The newest index, class map and radar scene, which the probe reads wherever one looks.
  QStringList alsoRead() const;
  /// The scene that the stages work on: the chosen one, else the newest optical one.
  const StudyScene* currentScene() const;
  void setCurrentScene(const QString& id);
  /// The newest product that has a picture; none.
  Picture anyPicture() const;
  /// The system the view is in: that of the scenes or, where there are none, of such a product or
  /// of what is looked at.
  std::string viewCrs() const;
  void setLookedAtCrs(const std::string& crs) { lookedAtCrs_ = crs; }

 Q_SIGNALS:
  void studyChanged();  // another study, or none
  void changed();       // something in the study
  void productMade(const QString& id);
  void sceneAdded(const QString& id);
  void currentSceneChanged();
  void displayChanged();
  /// A class has another code; what is kept outside the study follows.
  void classRenumbered(int from, int to);
  void trouble(const QString& sentence);
  void notice(const QString& sentence);
  void savedChanged();  // it could not be saved, or again can

 private:
  std::string crsOf(const Picture& picture) const;
  struct TrainingState {
    std::vector<TrainingArea> areas;
    std::string crs;
    Legend legend;
    int revision;
  };
  void putInOrder(const std::string& id, std::vector<std::string>& order) const;
  void makeAgain(const std::string& id);
  void wantOverviews();
  void keepOverviews();
  void takeOverview(const QString& raster, const QString& copy);
  TrainingState trainingNow() const;
  void pushTraining(TrainingState after, const QString& what);
  void renumberRest(int from, int to);
  void putSets(const std::vector<TrainingSet>& sets, const QString& what);
  void putTraining(const TrainingState& state);
  void putScene(const StudyScene& scene);
  void putOutlines(const std::vector<StudyOutline>& outlines);
  void changeProduct(const QString& id, const QString& what, std::string Product::*member,
                     const std::string& value);
  std::function<void()> ofThisStudy(std::function<void()> done);
  void saved();
  void savePlace();
  bool write(const std::function<void(const QString&)>& told);
  bool mayLeave();
  void guarded(const std::function<void()>& action);
  int nextRevision(const std::string& of, int now);
  void remember(const std::filesystem::path& folder);

  std::optional<Study> study_;
  int generation_ = 0;  // of studies: one more with each that is closed
  JobRunner jobs_;
  OverviewMaker overviews_;
  std::string lookedAtCrs_;
  mutable std::pair<std::string, std::string> crsKnown_;  // of which picture, and its system
  std::map<std::string, std::filesystem::path> reduced_;  // copies made since the study was opened
  QUndoStack undo_;
  QTimer placeTimer_, againTimer_;
  bool unsaved_ = false;
  std::function<void()> alsoSave_;
  QTime savedAt_;
};

}  // namespace zp
