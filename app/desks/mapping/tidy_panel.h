#pragma once
#include "desks/panel.h"
#include "desks/settings_panel.h"

namespace zp {

/// A class map without single pixels and small patches; before and after stand under the curtain.
class TidyPanel : public Panel {
  Q_OBJECT
 public:
  explicit TidyPanel(Workbench& bench);
  void refresh() override;
  void forget() override;
  Heading heading() const override;
  QString action() const override { return txt("Tidy the map"); }
  QString missing() const override;
  Json step() const override;
  void showResult(const QString& product) override;

 private:
  std::string mapId() const;
  void tellNewest();

  LongChoice* map_;
  SettingsPanel* settings_;
  QLabel* said_;
};

}  // namespace zp
