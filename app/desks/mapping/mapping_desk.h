#pragma once
#include "desks/desk.h"
#include "desks/mapping/features_panel.h"
#include "desks/settings_panel.h"
#include "mapping/method.h"

namespace zp {

/// Which features, which method, its parameters; the map and its areas.
class MappingDesk : public Desk {
  Q_OBJECT
 public:
  MappingDesk(Workbench& bench, MapView& view);
  void refresh() override;
  void forget() override;

 private:
  QWidget* methodRow();
  QString explanation() const;
  void fillAreas();
  void offerSettings();
  void tellState();
  std::vector<LegendClass> trainedClasses() const;
  void chooseMethod(const std::string& id);
  void map();
  const Product* newestMap() const;

  FeaturesPanel* features_;
  SettingsPanel* settings_;
  std::string method_;
  std::map<std::string, Json> values_;  // of each method, as they were set last
  std::string offeredFor_;              // what the controls were last built from
  std::map<std::string, QPushButton*> methodChips_;
  Paragraph* explanation_;
  QTableWidget* areas_;
  QCheckBox* inside_;
  QLabel* areaTitle_;
};

}  // namespace zp
