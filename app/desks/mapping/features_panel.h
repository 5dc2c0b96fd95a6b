#pragma once
#include <set>

#include "desks/panel.h"
#include "desks/settings_panel.h"
#include "feature/feature_kind.h"

namespace zp {

/// What a map is made by: the bands of the scene in hand, those of other scenes, the radar dates
/// together, and features of any kind added to them.
class FeaturesPanel : public Panel {
  Q_OBJECT
 public:
  explicit FeaturesPanel(Workbench& bench);

  /// Of the scene in hand. Which are chosen is kept while it stays the same.
  void refresh() override;
  void forget() override;
  /// Why a map cannot be made by them.
  QString missing() const override;
  /// The lines of those chosen (feature/feature_kind.h), and what the names in them stand for.
  std::vector<std::string> lines() const;
  std::map<std::string, std::string> with() const;
  /// What a step says of them: scene, features and with.
  Json step() const override;

 private:
  struct Added {
    std::string line;
    QString title;
    bool chosen = true;
  };
  /// What is chosen with one click: another scene, or radar through the season.
  struct Group {
    QString key, title, tip;
    std::vector<std::string> lines;
  };
  std::vector<Group> groups() const;
  Group radarGroup(const std::map<std::string, std::string>& names) const;
  void fillChips();
  void fillBands();
  void addChip(QPushButton* made, bool on, const std::function<void(bool)>& chosen);
  std::string withDates(const FeatureKind& kind, FeatureLine line) const;
  void fillSources();
  void openAdding(bool open);
  void showParameters();
  void add();
  const StudyScene* sourceScene() const;

  FlowLayout* chips_;
  QWidget* bandChips_;
  FlowLayout* bandFlow_;
  QPushButton *open_, *openBands_;
  QWidget* adding_;
  QComboBox *kind_, *source_;
  QLabel* about_;
  SettingsPanel* settings_;
  std::string scene_, settingsOf_;  // the scene in hand, and that of the parameters shown
  std::set<size_t> bands_;
  std::vector<Added> added_;
  std::set<QString> chosenGroups_;
};

}  // namespace zp
