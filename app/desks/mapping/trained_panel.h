#pragma once
#include "desks/mapping/features_panel.h"
#include "desks/panel.h"
#include "desks/settings_panel.h"
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
  void buildMethods();
  QString explanation() const;
  void offerSettings();
  std::vector<LegendClass> trainedClasses() const;
  void chooseMethod(const std::string& id);

  FeaturesPanel* features_;
  SettingsPanel* settings_;
  std::string method_;
  std::map<std::string, Json> values_;  // of each method, as they were set last
  std::string offeredFor_;              // what the controls were last built from
  std::map<std::string, QPushButton*> methodChips_;
  Paragraph* explanation_;
  QCheckBox* inside_;
};

}  // namespace zp
