#pragma once
#include <set>

#include "desks/panel.h"
#include "desks/settings_panel.h"

namespace zp {

/// What a map is made by: the bands of the scene, and features of any kind added to them, of this
/// scene or another.
class FeaturesPanel : public Panel {
  Q_OBJECT
 public:
  explicit FeaturesPanel(Workbench& bench);

  /// Of the scene in hand. Which are chosen is kept while it stays the same.
  void refresh() override;
  void forget() override;
  /// The lines of those chosen (feature/feature_kind.h), and what the names in them stand for.
  std::vector<std::string> lines() const;
  std::map<std::string, std::string> with() const;

 private:
  struct Added {
    std::string line;
    QString title;
    bool chosen = true;
  };
  void fillChips();
  void fillSources();
  void openAdding(bool open);
  void showParameters();
  void add();
  const StudyScene* sourceScene() const;

  FlowLayout* chips_;
  QPushButton* open_;
  QWidget* adding_;
  QComboBox *kind_, *source_;
  QLabel* about_;
  SettingsPanel* settings_;
  std::string scene_, settingsOf_;  // the scene in hand, and that of the parameters shown
  std::set<size_t> bands_;
  std::vector<Added> added_;
};

}  // namespace zp
