#include "shell/polygons_menu.h"

#include <QtWidgets>

#include "legend/class_map.h"
#include "look/look.h"
#include "look/parts.h"

namespace zp {
namespace {

/// A field with its label as an entry of a menu.
void addField(QMenu& menu, const QString& label, QWidget* field, const char* name) {
  auto* holder = new QWidget;
  auto* row = new QHBoxLayout(holder);
  row->setContentsMargins(12, 2, 12, 2);
  row->addWidget(secondLabel(label));
  row->addWidget(field);
  field->setObjectName(name);
  field->setAccessibleName(label);
  auto* action = new QWidgetAction(&menu);
  action->setDefaultWidget(holder);
  menu.addAction(action);
}

}  // namespace

void exportPolygons(Workbench& bench, const Product& map, QWidget* over, const QPoint& at) {
  Legend legend;
  try {
    legend = legendOf(RasterFile(map.file));
  } catch (const std::exception& e) {
    return Q_EMIT bench.trouble(QString::fromUtf8(e.what()));
  }
  QSettings kept;
  QMenu menu;
  auto* smallest = new QDoubleSpinBox;
  smallest->setRange(0, 1e6);
  smallest->setDecimals(2);
  smallest->setSuffix(" ha");
  smallest->setValue(kept.value("polygons/smallest", 0.0).toDouble());
  auto* smoothing = new QSpinBox;
  smoothing->setRange(0, 5);
  smoothing->setSpecialValueText("none");
  smoothing->setToolTip(
      "Rounds of corner cutting (Chaikin 1974). Without it the polygons follow the "
      "pixels exactly.");
  smoothing->setValue(kept.value("polygons/smoothing", 0).toInt());
  addField(menu, "Smallest", smallest, "polygonsSmallest");
  addField(menu, "Smoothing", smoothing, "polygonsSmoothing");
  menu.addSection("Polygons of");
  QList<QAction*> ticks;
  for (const auto& c : legend.classes) {
    auto* a = menu.addAction(swatch(toQt(c.colour)), q(c.name));
    a->setData(c.code);
    ticks << a;
  }
  auto* all = menu.addAction("All classes");
  auto* picked = menu.exec(at);
  if (picked == nullptr || !(picked == all || ticks.contains(picked))) return;
  kept.setValue("polygons/smallest", smallest->value());
  kept.setValue("polygons/smoothing", smoothing->value());
  std::vector<int> codes;
  for (auto* a : ticks)
    if (picked == all || picked == a) codes.push_back(a->data().toInt());
  const QString target =
      QFileDialog::getSaveFileName(over, "Polygons", q(fileStem(map.name)) + ".gpkg",
                                   "GeoPackage (*.gpkg);;GeoJSON (*.geojson);;Shapefile (*.shp)");
  if (target.isEmpty()) return;
  const PolygonOptions options{smallest->value() * 10000, smoothing->value()};
  bench.background(
      "Make polygons",
      [map, codes, target, options](const Progress& p) {
        exportClassPolygons(map, codes, target.toStdString(), p, options);
      },
      [&bench, target] { Q_EMIT bench.notice(QString("The polygons are in “%1”.").arg(target)); });
}

}  // namespace zp
