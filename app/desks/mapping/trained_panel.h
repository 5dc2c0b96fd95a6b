#pragma once
#include "desks/mapping/features_panel.h"
#include "desks/mapping/method_choice.h"
#include "desks/panel.h"
#include "mapping/method.h"

namespace zp {

/// A map by training areas: by which features, which method, with which parameters.
class TrainedPanel : public Panel {
  Q_OBJECT
 public:
  explicit TrainedPanel(Workbench& bench);
  void refresh() override;
  void forget() override;
  Heading heading() const override;
  QString action() const override;
  QString missing() const override;
  Json step() const override;

 private:
  QWidget* buildUntrained();
  QWidget* buildTrained();
  void offerMethod();
  std::vector<LegendClass> trainedClasses() const;

  QWidget *untrained_, *trained_;  // of which one is seen
  FeaturesPanel* features_;
  MethodChoice* method_;
  QCheckBox* inside_;
  std::vector<Panel*> told_;  // of the newest map
};

}  // namespace zp
