#pragma once
#include "background/latest.h"
#include "desks/sampling/chip_choice.h"
#include "desks/sampling/plan_area.h"
#include "study/planned.h"

namespace zp {

/// Squares, hexagons or coarse pixels laid over an area, seen on the view before they are made.
class CellsPanel : public Panel {
  Q_OBJECT
 public:
  CellsPanel(Workbench& bench, MapView& view);
  void refresh() override;
  void leave() override;
  void forget() override;
  Heading heading() const override;
  QString action() const override;
  QString missing() const override;
  Json step() const override;
  void showResult(const QString& product) override { Q_EMIT made(product); }
  std::vector<ViewShape> shapes() const override { return shown_; }

  QPushButton* besideAction() const override { return toReadings_; }
  bool offersBeside() const override;

 Q_SIGNALS:
  void readingsAsked();
  void made(const QString& cells);

 private:
  void buildFields();
  void later();
  void lay();
  void show(const PlannedCells& cells);
  void showNone(const QString& why);
  QString form() const { return forms_->value(); }
  QString unit() const;
  bool bySize() const { return by_->currentIndex() == 0; }

  MapView& view_;
  QPushButton* toReadings_;
  Latest job_;
  QTimer settle_;
  ChipChoice* forms_;
  QComboBox *over_, *inside_, *by_, *what_;
  QDoubleSpinBox* size_;
  QSpinBox* count_;
  QLabel *unit_, *laid_;
  QWidget* sizeRow_;
  std::vector<ViewShape> shown_;
  std::optional<size_t> number_;  // how many there would be
  double laidSize_ = 0;
  QString cannot_, suited_;
};

}  // namespace zp
