#pragma once
#include "desks/accuracy/label_book.h"
#include "desks/desk.h"

namespace zp {

/// Which points confront which map; the way to the labelling desk and to the matrix.
class AccuracyDesk : public Desk {
  Q_OBJECT
 public:
  AccuracyDesk(Workbench& bench, MapView& view, LabelBook& book);
  Trail::Station station() const override;

 Q_SIGNALS:
  void labellingAsked();
  void matrixAsked();
  void typedAsked();
  /// Points for a map are to be planned.
  void planAsked(const QString& map);

 protected:
  Missing missing() const override;

 private:
  LabelBook& book_;
};

}  // namespace zp
