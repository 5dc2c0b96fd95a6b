#include "desks/scenes/area_panel.h"

namespace zp {

AreaPanel::AreaPanel(Workbench& bench, MapView& view) : Panel(bench), view_(view) {
  box()->addWidget(secondLabel(txt(
      "The study area limits indices, series and points where one asks for it. It is dashed in the "
      "view and hides nothing.")));
  buildOutlines();
  style_ = new OutlineStyle(bench);
  box()->addWidget(style_);
  buildButtons();
  box()->addWidget(hairline());
  delivery_ = new DeliveryRow(bench);
  connect(delivery_, &DeliveryRow::trouble, this, &AreaPanel::trouble);
  box()->addWidget(delivery_);
  box()->addStretch();
}

void AreaPanel::buildOutlines() {
  outlines_ = new QListWidget;
  outlines_->setObjectName("outlineList");
  outlines_->setAccessibleName(txt("Outlines"));
  outlines_->setToolTip(txt("The tick shows an outline in the view"));
  box()->addWidget(outlines_);
  connect(outlines_, &QListWidget::currentItemChanged, this, [this] {
    if (!filling_) style_->show(chosen());
  });
  connect(outlines_, &QListWidget::itemChanged, this, [this](QListWidgetItem* item) {
    if (!filling_)
      bench_.showOutline(item->data(Qt::UserRole).toString(), item->checkState() == Qt::Checked);
  });
}

void AreaPanel::buildButtons() {
  draw_ = quietButton(txt("Draw one"));
  draw_->setObjectName("drawStudyArea");
  draw_->setCheckable(true);
  draw_->setToolTip(txt("Click its corners in the view; Enter closes it"));
  auto* use = quietButton(txt("Use as study area"));
  use->setObjectName("useStudyArea");
  box()->addWidget(wrapping({use, draw_}));
  connect(use, &QPushButton::clicked, this, [this] {
    if (const QString id = chosen(); !id.isEmpty())
      bench_.setStudyArea(id);
    else
      Q_EMIT trouble(txt("Choose an outline of the list first."));
  });
  using Tool = MapView::Tool;
  connect(draw_, &QPushButton::toggled, this,
          [this](bool on) { view_.setTool(on ? Tool::DrawArea : Tool::Look); });
  connect(&view_, &MapView::toolChanged, this, [this] {
    if (view_.tool() != Tool::DrawArea) draw_->setChecked(false);
  });
  connect(&view_, &MapView::areaDrawn, this, [this](const Ring& ring) {
    if (!isVisible() || !draw_->isChecked()) return;
    bench_.drawStudyArea(ring);
    draw_->setChecked(false);
  });
}

QString AreaPanel::chosen() const {
  const auto* item = outlines_->currentItem();
  return item == nullptr ? QString() : item->data(Qt::UserRole).toString();
}

void AreaPanel::refresh() {
  filling_ = true;
  const QString before = chosen();
  outlines_->clear();
  for (const auto& o : bench_.study().outlines) {
    const QString name = o.studyArea ? txt("%1  (the study area)").arg(q(o.name)) : q(o.name);
    outlines_->addItem(tickItem(name, q(o.id), o.shown));
    if (q(o.id) == before) outlines_->setCurrentRow(outlines_->count() - 1);
  }
  fitHeight(outlines_);
  style_->show(before);
  delivery_->refresh();
  filling_ = false;
}

}  // namespace zp
