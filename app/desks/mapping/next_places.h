#pragma once
#include "desks/panel.h"
#include "mapping/doubts.h"

namespace zp {

/// Where a map that is tried is a guess: how much of it, hatched in the view on demand, and a list
/// of places to look at next, each of which becomes training with a click or a key.
class NextPlaces : public Panel {
  Q_OBJECT
 public:
  NextPlaces(Workbench& bench, MapView& view);
  void refresh() override {}
  void forget() override;
  std::vector<ViewPoint> points() const override;
  /// Of a preview; `hatched`: the same with what is unlike hatched.
  void show(const MapDoubts& doubts, const std::string& crs, const Picture& plain,
            const Picture& hatched);
  /// Another preview comes: what is known of the last one holds no more.
  void waiting();
  bool hatching() const { return hatch_->isChecked(); }

 private:
  const std::vector<MapDoubts::At>& places() const;
  void fill();
  void fillClasses();
  void goTo(int row);
  void addTraining(int code);
  void tellShare();

  MapView& view_;
  MapDoubts doubts_;
  std::string crs_;
  Picture plain_, hatched_;
  QLabel* share_;
  QCheckBox* hatch_;
  QPushButton *open_, *bySure_, *byUnlike_, *byOther_;
  QWidget *list_, *classes_;
  QTableWidget* table_;
};

}  // namespace zp
