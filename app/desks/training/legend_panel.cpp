#include "desks/training/legend_panel.h"

namespace zp {

LegendPanel::LegendPanel(Workbench& bench) : Panel(bench) {
  table_ = plainTable({txt("Class"), txt("areas"), txt("pixels")});
  table_->setObjectName("classTable");
  table_->setAccessibleName(txt("Classes of the legend"));
  box()->addWidget(table_);
  edit_ = linkButton(txt("Name and colour…"));
  edit_->setObjectName("editClass");
  drop_ = linkButton(txt("Remove class"));
  drop_->setObjectName("removeClass");
  drop_->setToolTip(
      txt("Takes the class out of the legend, with its training areas (Ctrl Z brings "
          "them back)"));
  box()->addWidget(wrapping({edit_, drop_}));
  classEdit_ = new ClassEdit;
  box()->addWidget(classEdit_);
  connect(classEdit_, &ClassEdit::kept, this, &LegendPanel::keep);
  connect(drop_, &QPushButton::clicked, this, [this] { bench_.removeClass(chosenClass()); });
  connect(edit_, &QPushButton::clicked, this, [this] { edit(table_->currentRow()); });
  connect(table_, &QTableWidget::cellDoubleClicked, this, [this](int row, int) { edit(row); });
  connect(table_, &QTableWidget::itemSelectionChanged, this, [this] {
    if (!filling_) Q_EMIT classChosen();
  });
}

void LegendPanel::forget() {
  signatures_ = nullptr;
  classEdit_->hide();
}

int LegendPanel::chosenClass() const {
  const auto* item = table_->item(table_->currentRow(), 0);
  return item == nullptr ? 0 : item->data(Qt::UserRole).toInt();
}

void LegendPanel::choose(int code) {
  for (int r = 0; r < table_->rowCount(); ++r)
    if (table_->item(r, 0)->data(Qt::UserRole).toInt() == code) table_->selectRow(r);
}

void LegendPanel::setSignatures(const SignatureSet* signatures) {
  signatures_ = signatures;
  refresh();
}

void LegendPanel::refresh() {
  filling_ = true;
  const int before = chosenClass();
  const Study& study = bench_.study();
  std::map<int, int> areas;
  for (const auto& a : study.training) ++areas[a.code];
  table_->setRowCount(static_cast<int>(study.legend.classes.size()));
  for (int r = 0; r < table_->rowCount(); ++r) {
    const auto& c = study.legend.classes[static_cast<size_t>(r)];
    auto* name = classItem(study, c.code, c.name);
    name->setToolTip(txt("Code %1. %2").arg(c.code).arg(q(c.description)));
    table_->setItem(r, 0, name);
    table_->setItem(r, 1, figureItem(areas[c.code] > 0 ? QString::number(areas[c.code]) : "–"));
    QString pixels = "–";
    if (signatures_ != nullptr)
      for (const auto& s : signatures_->classes)
        if (s.code == c.code) pixels = grouped(s.pixels);
    table_->setItem(r, 2, figureItem(pixels));
    if (c.code == before || (before == 0 && r == 0)) table_->selectRow(r);
  }
  edit_->setEnabled(table_->rowCount() > 0);
  drop_->setEnabled(table_->rowCount() > 0);
  fitHeight(table_);
  filling_ = false;
}

void LegendPanel::addClass() {
  Legend legend = bench_.study().legend;
  LegendClass c;
  c.code = legend.firstFreeCode();
  c.name = txt("Class %1").arg(c.code).toStdString();
  c.colour = suggestedColour(static_cast<size_t>(c.code - 1));
  const int code = c.code;
  legend.add(c);
  bench_.setLegend(legend, txt("New class"));
  choose(code);
  edit(table_->currentRow());
}

void LegendPanel::edit(int row) {
  const auto* item = table_->item(row, 0);
  if (item == nullptr) return;
  if (const auto* c = bench_.study().legend.find(item->data(Qt::UserRole).toInt()))
    classEdit_->open(*c);
}

void LegendPanel::keep(const LegendClass& changed) {
  Legend legend = bench_.study().legend;
  LegendClass* c = legend.find(changed.code);
  if (c == nullptr) return;
  *c = changed;
  bench_.setLegend(legend, txt("Change a class"));
}

}  // namespace zp
