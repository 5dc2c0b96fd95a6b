#include "desks/scenes/delivery_row.h"

#include <cmath>

#include "base/text.h"

namespace zp {

DeliveryRow::DeliveryRow(Workbench& bench, QWidget* parent) : QWidget(parent), bench_(bench) {
  on_ = new QCheckBox(txt("Results lie on a prescribed grid"));
  on_->setObjectName("deliveryOn");
  const auto field = [](const char* name, const QString& label, const QString& hint) {
    auto* f = new QLineEdit;
    f->setObjectName(name);
    f->setAccessibleName(label);
    f->setPlaceholderText(hint);
    f->setToolTip(label);
    return f;
  };
  system_ = field("deliverySystem", txt("Reference system"), "EPSG:32630");
  x_ = field("deliveryX", txt("East of a pixel's corner"), txt("east"));
  y_ = field("deliveryY", txt("North of a pixel's corner"), txt("north"));
  pixel_ = field("deliveryPixel", txt("Pixel size, in the system's units"), txt("pixel"));
  auto* set = quietButton(txt("Set"));
  set->setObjectName("deliverySet");
  said_ = secondLabel(txt("Indices, maps and series are brought onto it as they are computed."));
  fields_ = new QWidget;
  auto* f = columnIn(fields_);
  f->addWidget(fieldRow(txt("System"), {system_, pixel_}, 96));
  f->addWidget(fieldRow(txt("A corner at"), {x_, y_}, 96));
  f->addWidget(said_);
  f->addWidget(set, 0, Qt::AlignLeft);
  auto* box = columnIn(this);
  box->addWidget(on_, 0, Qt::AlignLeft);
  box->addWidget(fields_);
  connect(set, &QPushButton::clicked, this, &DeliveryRow::set);
  connect(on_, &QCheckBox::clicked, this, [this](bool on) {
    fields_->setVisible(on);
    if (!on && bench_.study().delivery) bench_.setDelivery({});
    const auto* s = bench_.currentScene();
    if (!on || bench_.study().delivery || s == nullptr || s->scene.grid.crs.empty()) return;
    // What the scene has is a good start.
    const Grid& g = s->scene.grid;
    system_->setText(q(crsName(g.crs)));
    x_->setText(fieldNumber(g.extent().left));
    y_->setText(fieldNumber(g.extent().top));
    pixel_->setText(fieldNumber(g.pixelWidth()));
  });
}

void DeliveryRow::refresh() {
  const auto& d = bench_.study().delivery;
  if (!d && on_->isChecked() && fields_->isVisibleTo(this)) return;  // it is being typed
  on_->setChecked(d.has_value());
  fields_->setVisible(d.has_value());
  if (!d) return;
  system_->setText(q(crsName(d->crs)));
  x_->setText(fieldNumber(d->origin.x));
  y_->setText(fieldNumber(d->origin.y));
  pixel_->setText(fieldNumber(d->pixel));
}

void DeliveryRow::set() {
  const auto x = typedNumber(x_->text()), y = typedNumber(y_->text()),
             pixel = typedNumber(pixel_->text());
  if (!x || !y || !pixel || !(*pixel > 0) || !std::isfinite(*x) || !std::isfinite(*y))
    return Q_EMIT trouble(txt("The corner and the pixel size are numbers, the size above 0."));
  try {
    const DeliveryGrid grid{crsFrom(system_->text().trimmed().toStdString()), {*x, *y}, *pixel};
    Q_EMIT trouble("");
    bench_.setDelivery(grid);
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

}  // namespace zp
