#pragma once
#include "desks/desk.h"
#include "desks/indices/index_panel.h"

namespace zp {

/// One index, classes by rules, and what changed between dates.
class IndicesDesk : public Desk {
  Q_OBJECT
 public:
  IndicesDesk(Workbench& bench, MapView& view, TileStore& tiles);
  Trail::Station station() const override;
  std::vector<FindOffer> offers() override;

  /// An index of the book (index_panel.h).
  void choose(const std::string& id);
  void keepFront() { index_->keepFront(); }

 protected:
  Missing missing() const override;
  void fill() override;

 private:
  /// The study area's id where the result is to be cut to it.
  std::string cutTo() const;

  QCheckBox* inside_;
  IndexPanel* index_;
  DatesPanel* dates_;
};

}  // namespace zp
