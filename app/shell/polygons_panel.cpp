#include "shell/polygons_panel.h"

#include "legend/class_map.h"
#include "look/look.h"

namespace zp {

PolygonsPanel::PolygonsPanel(Workbench& bench, QWidget* parent) : QWidget(parent), bench_(bench) {
  auto* layout = new QVBoxLayout(this);
  layout->setContentsMargins(0, 0, 0, 0);
  layout->setSpacing(8);
  layout->addWidget(secondLabel(txt("Polygons of the chosen classes, each with its area.")));
  auto* box = new QWidget;
  classes_ = new FlowLayout(6);
  box->setLayout(classes_);
  layout->addWidget(box);
  const QSettings kept;
  smallest_ = new QDoubleSpinBox;
  smallest_->setObjectName("polygonsSmallest");
  smallest_->setRange(0, 1e6);
  smallest_->setDecimals(2);
  smallest_->setSuffix(txt(" ha"));
  smallest_->setValue(kept.value("polygons/smallest", 0.0).toDouble());
  smoothing_ = new QSpinBox;
  smoothing_->setObjectName("polygonsSmoothing");
  smoothing_->setRange(0, 5);
  smoothing_->setSpecialValueText(txt("none"));
  smoothing_->setToolTip(
      txt("Rounds of corner cutting (Chaikin 1974). Without it the polygons follow the pixels "
          "exactly."));
  smoothing_->setValue(kept.value("polygons/smoothing", 0).toInt());
  layout->addWidget(fieldRow(txt("Smallest"), {smallest_}, 74));
  layout->addWidget(fieldRow(txt("Smoothing"), {smoothing_}, 74));
  write_ = quietButton(txt("Write polygons…"));
  write_->setObjectName("writePolygons");
  layout->addWidget(write_, 0, Qt::AlignLeft);
  connect(write_, &QPushButton::clicked, this, &PolygonsPanel::write);
}

bool PolygonsPanel::offer(const Product& map) {
  try {
    fillClasses(legendOf(RasterFile(map.file)));
  } catch (const std::exception& e) {
    Q_EMIT bench_.trouble(sentenceOf(e));
    return false;
  }
  map_ = map.id;
  return true;
}

void PolygonsPanel::fillClasses(const Legend& legend) {
  while (auto* item = classes_->takeAt(0)) {
    delete item->widget();
    delete item;
  }
  for (const auto& c : legend.classes) {
    auto* one = chip(q(c.name));
    one->setIcon(swatch(toQt(c.colour)));
    one->setObjectName("polygonsOf-" + QString::number(c.code));
    one->setProperty("code", c.code);
    one->setChecked(true);
    connect(one, &QPushButton::toggled, this, [this] {
      bool any = false;
      for (auto* b : findChildren<QPushButton*>()) any = any || b->isChecked();
      write_->setEnabled(any);
    });
    classes_->addWidget(one);
  }
  write_->setEnabled(!legend.classes.empty());
}

void PolygonsPanel::write() {
  const Product* map = bench_.hasStudy() ? bench_.study().product(map_) : nullptr;
  if (map == nullptr) return;
  QSettings kept;
  kept.setValue("polygons/smallest", smallest_->value());
  kept.setValue("polygons/smoothing", smoothing_->value());
  std::vector<int> codes;
  for (auto* b : findChildren<QPushButton*>())
    if (b->isChecked() && b->property("code").isValid())
      codes.push_back(b->property("code").toInt());
  const QString target = QFileDialog::getSaveFileName(
      this, txt("Polygons"), q(fileStem(map->name)) + ".gpkg",
      txt("GeoPackage (*.gpkg);;GeoJSON (*.geojson);;Shapefile (*.shp)"));
  if (target.isEmpty()) return;
  const PolygonOptions options{smallest_->value() * 10000, smoothing_->value()};
  bench_.background(
      txt("Make polygons"),
      [map = *map, codes, target, options](const Progress& p) {
        exportClassPolygons(map, codes, target.toStdString(), p, options);
      },
      [this, target] { Q_EMIT bench_.notice(txt("The polygons are in “%1”.").arg(target)); });
  Q_EMIT written();
}

}  // namespace zp
