#include "desks/sampling/cells_panel.h"

namespace zp {

namespace {
constexpr size_t kMostShown = 20'000;  // outlines the view draws without a delay
}

CellsPanel::CellsPanel(Workbench& bench, MapView& view) : Panel(bench), view_(view), job_(this) {
  forms_ = new ChipChoice({{"squares", "cellSquares", txt("Squares")},
                           {"hexagons", "cellHexagons", txt("Hexagons")},
                           {"pixels", "cellPixels", txt("Pixels of a layer"),
                            txt("The pixels of a coarse layer that have a value")}});
  laid_ = secondLabel("");
  laid_->setObjectName("cellsLaid");
  box()->addWidget(forms_);
  box()->addWidget(laid_);
  buildFields();
  toReadings_ = quietButton(txt("To readings"));
  toReadings_->setObjectName("cellsToReadings");
  connect(toReadings_, &QPushButton::clicked, this, &CellsPanel::readingsAsked);
  settle_.setSingleShot(true);
  settle_.setInterval(150);
  connect(&settle_, &QTimer::timeout, this, &CellsPanel::lay);
  connect(forms_, &ChipChoice::chosen, this, &CellsPanel::refresh);
  connect(by_, &QComboBox::activated, this, &CellsPanel::refresh);
  for (auto* choice : {over_, inside_})
    connect(choice, &QComboBox::activated, this, &CellsPanel::refresh);
  connect(what_, &QComboBox::activated, this, &CellsPanel::changed);
  connect(size_, &QDoubleSpinBox::valueChanged, this, &CellsPanel::later);
  connect(count_, &QSpinBox::valueChanged, this, &CellsPanel::later);
}

void CellsPanel::buildFields() {
  over_ = new LongChoice;
  over_->setObjectName("cellsOver");
  inside_ = new LongChoice;
  inside_->setObjectName("cellsInside");
  by_ = new LongChoice;
  by_->setObjectName("cellsBy");
  by_->addItems({txt("a side of"), txt("about so many")});
  size_ = new QDoubleSpinBox;
  size_->setObjectName("cellsSize");
  size_->setRange(0, 1e7);
  size_->setDecimals(1);
  count_ = new QSpinBox;
  count_->setObjectName("cellsCount");
  count_->setRange(1, static_cast<int>(kMostCells));
  count_->setValue(300);
  unit_ = secondLabel("");
  what_ = new LongChoice;
  what_->setObjectName("cellsWhat");
  what_->addItem(txt("the cells"), "cells");
  what_->addItem(txt("points in their centres"), "centres");
  box()->addWidget(fieldRow(txt("Over"), {over_}));
  box()->addWidget(fieldRow(txt("Overlapping"), {inside_}));
  box()->addWidget(sizeRow_ = fieldRow(txt("Size"), {by_, size_, count_, unit_}));
  box()->addWidget(fieldRow(txt("Make"), {what_}));
  box()->addStretch();
}

void CellsPanel::leave() {
  job_.stop();
  settle_.stop();
}

void CellsPanel::forget() {
  for (auto* list : {over_, inside_}) list->clear();
  shown_.clear();
  number_.reset();
  cannot_.clear();
  suited_.clear();
}

/// Scenes and rasters, the coarse ones first where their pixels are to be the cells.
void CellsPanel::refresh() {
  const Study& s = bench_.study();
  const QVariant over = over_->currentData(), inside = inside_->currentData();
  over_->clear();
  for (const auto& one : s.scenes) over_->addItem(q(one.scene.name), q(one.id));
  for (auto p = s.products.rbegin(); p != s.products.rend(); ++p)
    if (p->kind == ProductKind::ClassMap || p->kind == ProductKind::Index ||
        p->kind == ProductKind::Quantity)
      over_->addItem(q(p->name), q(p->id));
  const auto* current = bench_.currentScene();
  const QString scene = current == nullptr ? QString() : q(current->id);
  over_->setCurrentIndex(std::max(0, over_->findData(over.isValid() ? over.toString() : scene)));
  inside_->clear();
  inside_->addItem(txt("all of it"), "");
  for (const auto& o : s.outlines) inside_->addItem(q(o.name), q(o.id));
  const QString area = q(bench_.studyAreaId());
  inside_->setCurrentIndex(
      std::max(0, inside_->findData(inside.isValid() ? inside.toString() : area)));
  sizeRow_->setVisible(form() != "pixels");
  size_->setVisible(bySize());
  unit_->setVisible(bySize());
  count_->setVisible(!bySize());
  unit_->setText(unit());
  if (suited_ != unit()) {
    const QSignalBlocker quiet(size_);
    size_->setDecimals(unit() == txt("degrees") ? 5 : 1);
    size_->setValue(unit() == txt("degrees") ? 0.005 : 300);
    suited_ = unit();
  }
  later();
}

QString CellsPanel::unit() const {
  const auto* scene = bench_.study().scene(over_->currentData().toString().toStdString());
  return lengthUnit(scene != nullptr ? scene->scene.grid.crs : bench_.viewCrs());
}

void CellsPanel::later() {
  Q_EMIT changed();
  if (isVisible()) settle_.start();
}

void CellsPanel::lay() {
  if (over_->count() == 0 || !isVisible()) return;
  if (form() != "pixels" && bySize() && !(size_->value() > 0))
    return showNone(txt("Say how large the cells are."));
  laid_->setText(txt("Laying them out…"));
  job_.ask([study = bench_.study(), step = step()](
               const Progress& progress) { return plannedCells(study, step, progress); },
           [this](const PlannedCells& cells) { show(cells); },
           [this](const QString& sentence) { showNone(sentence); });
}

void CellsPanel::showNone(const QString& why) {
  laid_->clear();
  shown_.clear();
  number_.reset();
  cannot_ = why;
  Q_EMIT changed();
  Q_EMIT overlayChanged();
}

void CellsPanel::show(const PlannedCells& cells) {
  cannot_.clear();
  shown_.clear();
  number_ = cells.shapes.size();
  laidSize_ = cells.size;
  QString text = txt("%1 cells of %2 %3 on the view.", "%1 cell of %2 %3 on the view.",
                     static_cast<qint64>(*number_))
                     .arg(grouped(*number_), lengthText(cells.size), unit());
  if (*number_ > kMostShown)
    text = txt("%1 cells of %2 %3, too many to be drawn on the view.")
               .arg(grouped(*number_), lengthText(cells.size), unit());
  laid_->setText(text);
  const bool both = !cells.crs.empty() && !view_.crs().empty();
  const CrsChange change(both ? cells.crs : "", both ? view_.crs() : "");
  for (size_t i = 0; i < cells.shapes.size() && *number_ <= kMostShown; ++i) {
    ViewShape cell;
    cell.shape = cells.shapes[i];
    for (auto& ring : cell.shape.rings)
      for (auto& p : ring) change.apply(p);
    cell.colour = QColor(255, 255, 255, 150);
    cell.width = 1;
    shown_.push_back(std::move(cell));
  }
  Q_EMIT changed();
  Q_EMIT overlayChanged();
}

Panel::Heading CellsPanel::heading() const {
  return {{}, txt("Cells cut the area into equal pieces, to be read and compared.")};
}

QString CellsPanel::action() const {
  if (!number_) return txt("Make cells");
  return what_->currentData() == "centres"
             ? txt("Make %1 points", "Make %1 point", static_cast<qint64>(*number_))
                   .arg(grouped(*number_))
             : txt("Make %1 cells", "Make %1 cell", static_cast<qint64>(*number_))
                   .arg(grouped(*number_));
}

QString CellsPanel::missing() const {
  return over_->count() == 0 ? txt("There is nothing to lay cells over yet.") : cannot_;
}

bool CellsPanel::offersBeside() const {
  return bench_.study().newest(ProductKind::Cells) != nullptr;
}

Json CellsPanel::step() const {
  Json j = {{"do", "cells"},
            {"over", over_->currentData().toString().toStdString()},
            {"form", form().toStdString()}};
  if (form() != "pixels" && bySize()) j["size"] = size_->value();
  if (form() != "pixels" && !bySize()) j["count"] = count_->value();
  if (inside_->currentIndex() > 0) j["inside"] = inside_->currentData().toString().toStdString();
  if (what_->currentData() == "centres") j["what"] = "centres";
  const QString size = lengthText(bySize() || laidSize_ <= 0 ? size_->value() : laidSize_);
  j["name"] = (form() == "pixels" ? txt("Pixels of %1").arg(over_->currentText())
                                  : txt("Cells of %1 %2").arg(size, unit()))
                  .toStdString();
  return j;
}

}  // namespace zp
