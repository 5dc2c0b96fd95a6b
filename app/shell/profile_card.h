#pragma once
#include "background/latest.h"
#include "charts/chart.h"
#include "shell/workbench.h"

namespace zp {

inline constexpr size_t kMostPins = 6;

/// The spectral profiles of pinned places, on one small chart over the view. They follow the scene
/// that one works on, and are kept with the study.
class ProfileCard : public QFrame {
  Q_OBJECT
 public:
  ProfileCard(Workbench& bench, QWidget* over);
  const std::vector<Place>& pins() const { return pins_; }
  /// The oldest goes when there are more than six.
  void pin(Place place);
  void unpin(size_t index);
  void unpinAll();
  /// From the study, and for its current scene.
  void refresh();
  void place();
  /// Bands that have a value, of a pinned place; 0 while it is being read.
  size_t valuesOf(size_t pin) const;

 Q_SIGNALS:
  void changed();

 private:
  using Profiles = std::vector<std::vector<std::pair<double, double>>>;  // wavelength, value
  void keep();
  void read();
  void show(const Profiles& profiles);

  Workbench& bench_;
  Latest latest_;
  std::vector<Place> pins_;
  QLabel* title_;
  Chart* chart_;
};

}  // namespace zp
