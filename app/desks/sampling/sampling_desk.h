#pragma once
#include "desks/desk.h"
#include "desks/sampling/readings_table.h"
#include "sampling/plan.h"
#include "shell/latest.h"

namespace zp {

/// A sampling plan seen before it is made; readings of layers at its points; the table.
class SamplingDesk : public Desk {
  Q_OBJECT
 public:
  SamplingDesk(Workbench& bench, MapView& view);
  void refresh() override;
  void leave() override;
  void forget() override;
  const std::vector<ViewPoint>& points() const { return shown_; }

 Q_SIGNALS:
  void pointsChanged();

 private:
  Json step() const;
  void plan();
  void showMade();
  void showPoints(const PlannedPoints& placed);
  void fillTable();
  void exportTable();
  void readLayers();
  bool stratified() const { return stratified_->isChecked(); }

  Latest planJob_;
  QString scene_;
  QTimer settle_;
  QPushButton *random_, *stratified_, *read_, *export_;
  QComboBox *over_, *inside_, *points_, *separator_;
  QSpinBox *count_, *seed_;
  QDoubleSpinBox* apart_;
  QLabel *unit_, *countLabel_, *planned_, *tableTitle_;
  QListWidget* layers_;
  ReadingsTable* table_;
  std::vector<ViewPoint> shown_;
  bool filling_ = false;
};

}  // namespace zp
