#pragma once
#include "desks/desk.h"
#include "desks/sampling/readings_panel.h"

namespace zp {

/// Points by a plan, cells, and readings of layers at them.
class SamplingDesk : public Desk {
  Q_OBJECT
 public:
  SamplingDesk(Workbench& bench, MapView& view);
  Trail::Station station() const override;
  /// Points, cells or a table.
  void showProduct(const QString& id) override;

 protected:
  Missing missing() const override;

 private:
  ReadingsPanel* readings_;
};

}  // namespace zp
