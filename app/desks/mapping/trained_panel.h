#pragma once
#include "desks/mapping/features_panel.h"
#include "desks/mapping/held_out_panel.h"
#include "desks/mapping/kept_classes.h"
#include "desks/mapping/map_preview.h"
#include "desks/mapping/method_choice.h"
#include "desks/mapping/next_places.h"
#include "desks/panel.h"
#include "mapping/method.h"

namespace zp {

/// A map by training areas: by which features, which method, with which parameters. What it would
/// be is seen while one chooses.
class TrainedPanel : public Panel {
  Q_OBJECT
 public:
  TrainedPanel(Workbench& bench, MapView& view);
  void refresh() override;
  void leave() override;
  void forget() override;
  std::vector<ViewPoint> points() const override { return next_->points(); }
  /// The training area one has gone to.
  std::vector<ViewShape> shapes() const override;
  Heading heading() const override;
  QString action() const override;
  QString missing() const override;
  Json step() const override;
  void act() override;
  /// What a step says of the features chosen, of the scene in hand.
  Json chosenFeatures();

 private:
  QWidget* buildUntrained();
  QWidget* buildTrained();
  QWidget* buildChoices();
  QWidget* buildTrying();
  void offerMethod();
  void choseAgain();
  void saveModel();
  QString choiceOf(const Json& step) const;
  void noteFound(const Json& step);
  bool worthTrying(const Json& step);
  void tryOut();
  void showProgress(bool busy);
  std::vector<LegendClass> trainedClasses() const;
  bool anySubclasses() const;

  MapView& view_;
  std::optional<size_t> areaSeen_;
  QWidget *untrained_, *trained_;  // of which one is seen
  FeaturesPanel* features_;
  MethodChoice* method_;
  KeptClasses* kept_;
  QCheckBox *inside_, *trying_;
  QComboBox* subclasses_;
  QWidget *subclassRow_, *choices_;
  QSlider* least_;
  QLabel* leastSaid_;
  QProgressBar* progress_;
  QPushButton* stop_;
  MapPreview* preview_;
  QTimer settle_;
  std::optional<QString> before_;  // what would have been mapped when the desk was first seen
  std::string sceneBefore_;        // and of which scene
  bool askedFor_ = false;          // by hand
  Picture seen_;                   // the newest preview
  bool shown_ = false;             // a preview is, since the desk was entered
  bool failed_ = false;            // the last preview, and it said so
  HeldOutPanel* heldOut_;
  NextPlaces* next_;
  std::vector<Panel*> told_;  // of the newest map
};

}  // namespace zp
