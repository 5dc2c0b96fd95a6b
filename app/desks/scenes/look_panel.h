#pragma once
#include "desks/panel.h"
#include "view/thumbnail.h"

namespace zp {

/// The scene as composites by meaning, or of any three bands.
class LookPanel : public Panel {
  Q_OBJECT
 public:
  LookPanel(Workbench& bench, MapView& view);
  void refresh() override;
  void forget() override { thumbnails_.forget(); }

 private:
  void buildByHand();
  void addCard(const StudyScene& scene, const Composite& composite);
  void fillByHand(const Scene& scene);
  void show(std::array<size_t, 3> bands, const QString& title);

  MapView& view_;
  Thumbnails thumbnails_;
  FlowLayout* cards_;
  QComboBox* channels_[3];
};

}  // namespace zp
