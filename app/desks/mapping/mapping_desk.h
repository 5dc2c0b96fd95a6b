#pragma once
#include "desks/desk.h"

namespace zp {

class TrainedPanel;

/// A map of classes, and the areas it gives.
class MappingDesk : public Desk {
  Q_OBJECT
 public:
  MappingDesk(Workbench& bench, MapView& view);
  Trail::Station station() const override;
  std::vector<FindOffer> offers() override;
  /// What a step says of the features that a trained map is made by.
  Json features();

 Q_SIGNALS:
  void namingAsked(const QString& product);

 protected:
  Missing missing() const override;

 private:
  TrainedPanel* trained_;
};

}  // namespace zp
