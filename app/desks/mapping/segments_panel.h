#pragma once
#include "desks/mapping/features_panel.h"

namespace zp {

/// Cuts the scene into segments, which become a scene to map from.
class SegmentsPanel : public Panel {
  Q_OBJECT
 public:
  explicit SegmentsPanel(Workbench& bench);
  void refresh() override;
  void forget() override;
  Heading heading() const override;
  QString action() const override { return txt("Find segments"); }
  QString missing() const override { return features_->missing(); }
  Json step() const override;

 Q_SIGNALS:
  /// A trained map of the scene in hand.
  void mapAsked();

 private:
  const StudyScene* newest() const;
  void tellNewest();

  FeaturesPanel* features_;
  SettingsPanel* settings_;
  QCheckBox* inside_;
  QWidget* found_;
  QLabel *title_, *said_;
};

}  // namespace zp
