#pragma once
#include "background/latest.h"
#include "desks/mapping/features_panel.h"
#include "desks/sampling/readings_table.h"

namespace zp {

/// Values of layers at points, or statistics of them in zones or cells, and the newest table.
class ReadingsPanel : public Panel {
  Q_OBJECT
 public:
  ReadingsPanel(Workbench& bench, MapView& view);
  void refresh() override;
  void leave() override { job_.stop(); }
  void forget() override;
  Heading heading() const override;
  QString action() const override;
  QString missing() const override;
  Json step() const override;
  void showResult(const QString& product) override;
  /// Points or cells that are read from now on.
  void choosePlaces(const QString& product);
  std::vector<ViewShape> shapes() const override { return shapes_; }
  std::vector<ViewPoint> points() const override { return points_; }

 private:
  void buildChoices();
  void buildStatistics();
  void buildTable();
  void fillPlaces();
  void fillLayers();
  void fillTable();
  void showPlaces();
  void exportTable();
  bool atPoints() const;
  QStringList ticked() const { return tickedIn(*layers_); }
  Json statistics() const;
  QString emptyZones(const Product& table) const;
  QString sharedPixels(const Product& table) const;

  MapView& view_;
  Latest job_;
  QComboBox *places_, *how_, *pixels_, *rows_, *separator_;
  QSpinBox* window_;
  QWidget* howRow_;
  QListWidget* layers_;
  QPushButton *withFeatures_, *export_;
  FeaturesPanel* features_;
  QWidget* zones_;
  QList<QPushButton*> statistics_;
  QLabel *title_, *empty_;
  ReadingsTable* table_;
  QString seen_;  // the places on the view
  std::vector<ViewShape> shapes_;
  std::vector<ViewPoint> points_;
};

}  // namespace zp
