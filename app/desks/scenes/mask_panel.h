#pragma once
#include "desks/panel.h"
#include "scene/mask.h"
#include "background/latest.h"

namespace zp {

/// What of a scene is set aside: its edge of zeros, what its quality band flags, what is drawn.
/// Seen in the view before it is set.
class MaskPanel : public Panel {
  Q_OBJECT
 public:
  MaskPanel(Workbench& bench, MapView& view);
  void refresh() override;
  void leave() override;
  void forget() override { leave(); }

 private:
  void buildParts();
  void buildTools();
  void connectTools();
  void show(const StudyScene& scene);
  Place inScene(Place place) const;
  void fillFlags();
  void chooseQuality();
  void look();
  void set();
  MaskRecipe recipe() const;
  const StudyScene* scene() const;
  static QString said(const MaskCount& count);

  MapView& view_;
  Latest count_;
  std::string id_;
  int revision_ = 0;
  QCheckBox* edge_;
  FlowLayout* flags_;
  QWidget* flagBox_;
  QSpinBox* widen_;
  QLabel *share_, *drawnText_;
  QPushButton *quality_, *draw_, *grow_, *clear_, *set_, *none_;
  QDoubleSpinBox* tolerance_;
  std::vector<Shape> drawn_;
  std::vector<MaskRecipe::Seed> grown_;
  QTemporaryDir scratch_;
  int looks_ = 0;
  bool drawing_ = false, growing_ = false;
};

}  // namespace zp
