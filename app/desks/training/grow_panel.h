#pragma once
#include "background/latest.h"
#include "desks/panel.h"
#include "training/grow_region.h"

namespace zp {

/// A training area grown from a pixel that is clicked: seen first, with its tolerance to be set,
/// then kept.
class GrowPanel : public Panel {
  Q_OBJECT
 public:
  GrowPanel(Workbench& bench, MapView& view, std::function<int()> chosenClass);
  /// Turns it on and off; stands among the tools.
  QPushButton* opener() const { return opener_; }
  void refresh() override;
  void leave() override { opener_->setChecked(false); }
  void forget() override { leave(); }
  std::vector<ViewShape> shapes() const override;

 Q_SIGNALS:
  void kept(const zp::Shape& inView);

 private:
  void open(bool on);
  void pointAt(Place place);
  void grow();
  void show(const std::vector<Span>& pixels);
  void keep();

  MapView& view_;
  std::function<int()> chosenClass_;
  Latest job_;
  QPushButton *opener_, *keep_;
  QLabel *told_, *toleranceTold_;
  QSlider* tolerance_;
  QSpinBox* most_;
  std::optional<Place> seed_;
  Shape grown_;  // in the view's system
};

}  // namespace zp
