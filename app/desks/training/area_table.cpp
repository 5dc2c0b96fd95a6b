#include "desks/training/area_table.h"

namespace zp {
namespace {

enum AreaColumn { kArea, kHeld, kApart, kAgain, kNote };

constexpr double kFar = 2;  // spreads: such an area is worth a look

}  // namespace

AreaTable::AreaTable(Workbench& bench) : bench_(bench) {
  setObjectName("sheetAreas");
  setAccessibleName(txt("Training areas of the class"));
  setColumnCount(5);
  setHorizontalHeaderLabels(
      {txt("Area"), txt("pixels"), txt("apart"), txt("again"), txt("note")});
  dressTable(this);
  setEditTriggers(QAbstractItemView::DoubleClicked | QAbstractItemView::EditKeyPressed);
  horizontalHeaderItem(kApart)->setToolTip(
      txt("How far the mean of the area lies from that of the others, in their spreads"));
  horizontalHeaderItem(kAgain)->setToolTip(txt("To be looked at again"));
  horizontalHeaderItem(kNote)->setToolTip(txt("Double-click to write"));
  horizontalHeader()->setSectionResizeMode(kArea, QHeaderView::ResizeToContents);
  horizontalHeader()->setSectionResizeMode(kNote, QHeaderView::Stretch);
  horizontalHeaderItem(kNote)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
  connect(this, &QTableWidget::itemChanged, this, &AreaTable::noted);
  connect(this, &QTableWidget::itemSelectionChanged, this, [this] {
    if (!filling_) Q_EMIT areaChosen();
  });
}

std::optional<size_t> AreaTable::chosen() const {
  const auto* first = item(currentRow(), kArea);
  if (first == nullptr || !first->isSelected()) return {};
  return first->data(Qt::UserRole).toULongLong();
}

void AreaTable::show(int code, const std::vector<AreaFit>& fits) {
  filling_ = true;
  const auto before = chosen();
  const auto& training = bench_.study().training;
  std::vector<std::pair<size_t, const AreaFit*>> rows;
  std::set<size_t> known;
  for (const auto& f : fits)
    if (f.code == code && f.area < training.size()) rows.push_back({f.area, &f}), known.insert(f.area);
  for (size_t i = 0; i < training.size(); ++i)
    if (training[i].code == code && !known.contains(i)) rows.push_back({i, nullptr});
  clearSelection();
  setCurrentCell(-1, -1);
  setRowCount(static_cast<int>(rows.size()));
  for (int r = 0; r < rowCount(); ++r) {
    const auto& [area, fit] = rows[static_cast<size_t>(r)];
    fillRow(r, area, fit);
    if (before == area) selectRow(r);
  }
  filling_ = false;
}

void AreaTable::fillRow(int r, size_t area, const AreaFit* fit) {
  const TrainingArea& a = bench_.study().training[area];
  auto* name = figureItem(QString::number(area + 1));
  name->setData(Qt::UserRole, static_cast<qulonglong>(area));
  if (!a.subclass.empty()) name->setToolTip(q(a.subclass));
  auto* pixels = figureItem(fit == nullptr ? "–" : grouped(fit->pixels));
  auto* apart = figureItem(fit == nullptr || std::isnan(fit->apart) ? "–" : decimal(fit->apart, 1));
  if (fit != nullptr && fit->apart > kFar) apart->setForeground(tokens().warning);
  for (auto* fixed : {name, pixels, apart}) fixed->setFlags(fixed->flags() & ~Qt::ItemIsEditable);
  auto* again = new QTableWidgetItem;
  again->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable | Qt::ItemIsUserCheckable);
  again->setCheckState(a.lookAgain ? Qt::Checked : Qt::Unchecked);
  auto* note = new QTableWidgetItem(q(a.note));
  note->setToolTip(q(a.note));
  setItem(r, kArea, name);
  setItem(r, kHeld, pixels);
  setItem(r, kApart, apart);
  setItem(r, kAgain, again);
  setItem(r, kNote, note);
}

void AreaTable::noted(QTableWidgetItem* changed) {
  if (filling_ || (changed->column() != kAgain && changed->column() != kNote)) return;
  const int r = changed->row();
  const size_t area = item(r, kArea)->data(Qt::UserRole).toULongLong();
  const std::string note = item(r, kNote)->text().trimmed().toStdString();
  const bool again = item(r, kAgain)->checkState() == Qt::Checked;
  // Afterwards: the table is filled anew by it.
  QMetaObject::invokeMethod(
      this, [this, area, note, again] { bench_.noteArea(area, note, again); },
      Qt::QueuedConnection);
}

}  // namespace zp
