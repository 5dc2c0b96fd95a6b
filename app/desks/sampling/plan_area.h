#pragma once
#include "desks/panel.h"

namespace zp {

/// What lengths in a system are told in.
QString lengthUnit(const std::string& crs);
/// "500", "22.4", "0.00512": three digits, or the whole units.
QString lengthText(double length);

/// Where the points of a plan may lie: over which layer, in which class of it, and inside an
/// outline, the part in view or a rectangle drawn there.
class PlanArea : public QWidget {
  Q_OBJECT
 public:
  PlanArea(Workbench& bench, MapView& view);
  /// What there is to place points over; of a stratified plan class maps only. Points put down by
  /// hand lie wherever they are put.
  void fill(const QString& plan);
  void leave();
  void forget();
  bool none() const { return over_->count() == 0; }
  /// The class map that points are placed over; nullptr for anything else.
  const Product* map() const;
  /// What a step says of it: over, class, inside and within.
  Json fields() const;
  /// As a step says.
  void take(const Json& step);
  /// Of what points are placed over; lengths are in its system. That of the view when it cannot be
  /// read.
  Grid grid() const;
  /// A rectangle is to be drawn, and there is none yet.
  bool boxMissing() const;
  std::vector<ViewShape> shapes() const;

 Q_SIGNALS:
  void changed();

 private:
  void fillOver();
  void fillClasses();
  void fillInside();
  void chooseInside();
  void drawBox();
  std::optional<Extent> within() const;
  std::string over() const { return over_->currentData().toString().toStdString(); }
  QString inside() const { return inside_->currentData().toString(); }

  Workbench& bench_;
  MapView& view_;
  QComboBox *over_, *class_, *inside_;
  QPushButton* again_;
  QWidget *classRow_, *insideRow_;
  QString scene_;                // the desk's, when the list was filled
  std::optional<Extent> box_;    // in the view's system
  std::optional<Extent> given_;  // of a step, in that of its layer
  bool stratified_ = false, byHand_ = false;
  mutable std::map<std::string, Grid> grids_;  // of products, by id and revision
};

}  // namespace zp
