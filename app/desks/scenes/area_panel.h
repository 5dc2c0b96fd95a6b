#pragma once
#include "desks/panel.h"
#include "desks/scenes/delivery_row.h"
#include "desks/scenes/outline_style.h"

namespace zp {

/// The outlines of the study, which of them is the study area, and the grid that results lie on.
class AreaPanel : public Panel {
  Q_OBJECT
 public:
  AreaPanel(Workbench& bench, MapView& view);
  void refresh() override;
  void leave() override { draw_->setChecked(false); }

 private:
  void buildButtons();
  void buildOutlines();
  QString chosen() const;

  MapView& view_;
  QListWidget* outlines_;
  OutlineStyle* style_;
  QPushButton* draw_;
  DeliveryRow* delivery_;
  bool filling_ = false;
};

}  // namespace zp
