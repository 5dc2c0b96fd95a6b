#pragma once
#include "background/latest.h"
#include "desks/mapping/features_panel.h"

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
  bool atPoints() const;
  QStringList ticked() const { return tickedIn(*layers_); }
  Json statistics() const;
  QString emptyZones(const Product& table) const;
  QString sharedPixels(const Product& table) const;
  QString withoutAttributes(const Product& table) const;

  MapView& view_;
  Latest job_;
  QComboBox *places_, *how_, *pixels_, *rows_;
  QSpinBox* window_;
  QWidget *howRow_, *rowsRow_;
  QListWidget* layers_;
  QPushButton *withFeatures_, *openTable_;
  FeaturesPanel* features_;
  QWidget* zones_;
  QList<QPushButton*> statistics_;
  QLabel *title_, *empty_;
  QString seen_;  // the places on the view
  std::vector<ViewShape> shapes_;
  std::vector<ViewPoint> points_;
};

}  // namespace zp
