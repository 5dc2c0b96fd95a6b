#pragma once
#include "desks/desk.h"
#include "scene/mask.h"
#include "shell/latest.h"

namespace zp {

/// What of a scene is set aside: its edge of zeros, what its quality band flags, what is drawn.
/// Seen in the view before it is set.
class MaskPanel : public QWidget {
  Q_OBJECT
 public:
  MaskPanel(Workbench& bench, MapView& view, QWidget* parent = nullptr);
  void show(const StudyScene* scene);
  /// The stage is left: what was only looked at goes from the view.
  void leave();

 Q_SIGNALS:
  void trouble(const QString& sentence);

 private:
  void fillFlags();
  void chooseQuality();
  void look();
  void set();
  MaskRecipe recipe() const;
  const StudyScene* scene() const;
  static QString said(const MaskCount& count);

  Workbench& bench_;
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
