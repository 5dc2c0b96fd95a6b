#pragma once
#include "desks/panel.h"
#include "desks/sampling/readings_table.h"

namespace zp {

/// Readings of layers at points, and the newest table of them.
class ReadingsPanel : public Panel {
  Q_OBJECT
 public:
  explicit ReadingsPanel(Workbench& bench);
  void refresh() override;
  void forget() override;
  QString action() const override { return txt("Read layers"); }
  QString missing() const override;
  Json step() const override;
  void showResult(const QString& product) override;
  void choosePoints(const QString& product);

 private:
  void buildChoices();
  void buildTable();
  void fillLayers();
  void fillTable();
  void exportTable();
  QStringList ticked() const { return tickedIn(*layers_); }

  QComboBox *points_, *separator_;
  QListWidget* layers_;
  QPushButton *read_, *export_;
  QLabel* title_;
  ReadingsTable* table_;
};

}  // namespace zp
