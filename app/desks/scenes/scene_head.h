#pragma once
#include "desks/panel.h"
#include "desks/scenes/mask_shares.h"

namespace zp {

/// The chosen scene in two lines: its name and how much of it is usable; size, system and what else
/// is worth knowing.
class SceneHead : public Panel {
  Q_OBJECT
 public:
  SceneHead(Workbench& bench, const MaskShares& shares);
  void refresh() override;

 Q_SIGNALS:
  void factsAsked(const QString& id);

 private:
  const MaskShares& shares_;
  QLabel *title_, *usable_, *about_;
  QPushButton* facts_;
};

}  // namespace zp
