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
  setHorizontalHeaderLabels({txt("Area"), txt("pixels"), txt("apart"), txt("again"), txt("note")});
  dressTable(this);
  setEditTriggers(QAbstractItemView::DoubleClicked | QAbstractItemView::EditKeyPressed);
  horizontalHeaderItem(kApart)->setToolTip(
      txt("How far the mean of the area lies from that of the others, in their spreads"));
  horizontalHeaderItem(kAgain)->setToolTip(txt("To be looked at again: a click, or Space"));
  horizontalHeaderItem(kNote)->setToolTip(txt("Double-click to write"));
  horizontalHeader()->setSectionResizeMode(kArea, QHeaderView::ResizeToContents);
  horizontalHeader()->setSectionResizeMode(kNote, QHeaderView::Stretch);
  horizontalHeaderItem(kNote)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
  connect(this, &QTableWidget::itemChanged, this, [this](QTableWidgetItem* changed) {
    if (!filling_ && changed->column() == kNote) keepNote(changed->row());
  });
  connect(this, &QTableWidget::cellClicked, this, [this](int r, int column) {
    if (column == kAgain) toggleAgain(r);
  });
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
    if (f.code == code && f.area < training.size())
      rows.push_back({f.area, &f}), known.insert(f.area);
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
  auto* again = new QTableWidgetItem(a.lookAgain ? "●" : "○");
  again->setTextAlignment(Qt::AlignCenter);
  again->setForeground(a.lookAgain ? tokens().warning : tokens().second);
  again->setData(Qt::UserRole, a.lookAgain);
  again->setData(Qt::AccessibleTextRole,
                 a.lookAgain ? txt("to be looked at again") : txt("looked at"));
  again->setFlags(again->flags() & ~Qt::ItemIsEditable);
  auto* note = new QTableWidgetItem(q(a.note));
  note->setToolTip(q(a.note));
  setItem(r, kArea, name);
  setItem(r, kHeld, pixels);
  setItem(r, kApart, apart);
  setItem(r, kAgain, again);
  setItem(r, kNote, note);
}

void AreaTable::toggleAgain(int r) {
  if (item(r, kAgain) == nullptr) return;
  tell(item(r, kArea)->data(Qt::UserRole).toULongLong(), item(r, kNote)->text().toStdString(),
       !item(r, kAgain)->data(Qt::UserRole).toBool());
}

void AreaTable::keepNote(int r) {
  tell(item(r, kArea)->data(Qt::UserRole).toULongLong(),
       item(r, kNote)->text().trimmed().toStdString(),
       item(r, kAgain)->data(Qt::UserRole).toBool());
}

/// Afterwards, for the table is filled anew by it.
void AreaTable::tell(size_t area, const std::string& note, bool again) {
  QMetaObject::invokeMethod(
      this, [this, area, note, again] { bench_.noteArea(area, note, again); },
      Qt::QueuedConnection);
}

void AreaTable::keyPressEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_Space && state() != EditingState) return toggleAgain(currentRow());
  QTableWidget::keyPressEvent(e);
}

}  // namespace zp
