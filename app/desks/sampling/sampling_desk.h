#pragma once
#include "desks/desk.h"

namespace zp {

/// A sampling plan, and readings of layers at its points.
class SamplingDesk : public Desk {
  Q_OBJECT
 public:
  SamplingDesk(Workbench& bench, MapView& view);
  Trail::Station station() const override;

 protected:
  Missing missing() const override;
};

}  // namespace zp
