#pragma once
#include "desks/desk.h"

namespace zp {

/// A map of classes, and the areas it gives.
class MappingDesk : public Desk {
  Q_OBJECT
 public:
  MappingDesk(Workbench& bench, MapView& view);
  Trail::Station station() const override;
  std::vector<FindOffer> offers() override;

 Q_SIGNALS:
  void namingAsked(const QString& product);

 protected:
  Missing missing() const override;
};

}  // namespace zp
