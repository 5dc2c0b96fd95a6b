#pragma once
#include "desks/accuracy/label_book.h"
#include "desks/panel.h"

namespace zp {

/// The measures of a map beside its matrix: how good it is as a whole, and class by class with its
/// areas, each with what is to be known before it is believed.
class MeasuresSide : public QWidget {
  Q_OBJECT
 public:
  MeasuresSide(Workbench& bench, LabelBook& book);
  /// `shown`: of the points, or weighted by area; one of `judged`.
  void tell(const Judged& judged, const Assessment& shown);

 private:
  void tellOverall(const Judged& judged, const Assessment& shown);
  void tellWithoutInterval(const Judged& judged);
  void tellKappa(const Assessment& shown);
  void tellLimits(const Judged& judged, const Assessment& shown);
  void tellLateChanges();
  void fillClasses(const Judged& judged, const Assessment& shown);
  Workbench& bench_;
  LabelBook& book_;
  QLabel *overall_, *interval_, *kappa_, *convention_, *disagreement_, *counts_, *late_,
      *classTitle_;
  QTableWidget* classes_;
};

}  // namespace zp
