#include "desks/sampling/readings_panel.h"

#include "base/outputs.h"

namespace zp {

ReadingsPanel::ReadingsPanel(Workbench& bench) : Panel(bench) {
  buildChoices();
  buildTable();
}

void ReadingsPanel::buildChoices() {
  points_ = new QComboBox;
  points_->setObjectName("readPoints");
  layers_ = new QListWidget;
  layers_->setObjectName("readLayers");
  layers_->setAccessibleName(txt("Layers to read"));
  layers_->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  read_ = quietButton(action());
  read_->setObjectName("readGo");
  box()->addWidget(hairline());
  box()->addWidget(sectionLabel(txt("Readings")));
  box()->addWidget(fieldRow(txt("At"), {points_}));
  box()->addWidget(layers_);
  box()->addWidget(read_);
  connect(read_, &QPushButton::clicked, this, [this] {
    if (ticked().isEmpty()) return Q_EMIT trouble(txt("Tick at least one layer to read."));
    Q_EMIT trouble("");
    act();
  });
}

void ReadingsPanel::buildTable() {
  title_ = sectionLabel("");
  table_ = new ReadingsTable;
  separator_ = new QComboBox;
  separator_->setObjectName("csvSeparator");
  separator_->setAccessibleName(txt("Separator"));
  separator_->addItem(txt("comma"), ",");
  separator_->addItem(txt("semicolon"), ";");
  separator_->addItem(txt("tab"), "\t");
  export_ = quietButton(txt("Table as CSV…"));
  export_->setObjectName("csvGo");
  auto* out = new QHBoxLayout;
  out->addWidget(separator_);
  out->addWidget(export_, 1);
  box()->addWidget(title_);
  box()->addWidget(table_);
  box()->addLayout(out);
  connect(export_, &QPushButton::clicked, this, &ReadingsPanel::exportTable);
}

void ReadingsPanel::forget() {
  points_->clear();
  layers_->clear();
}

void ReadingsPanel::refresh() {
  const auto& products = bench_.study().products;
  const QVariant before = points_->currentData();
  points_->clear();
  for (auto p = products.rbegin(); p != products.rend(); ++p)
    if (p->kind == ProductKind::Points) points_->addItem(q(p->name), q(p->id));
  choosePoints(before.toString());
  fillLayers();
  read_->setEnabled(points_->count() > 0);
  fillTable();
}

void ReadingsPanel::choosePoints(const QString& product) {
  if (const int at = points_->findData(product); at >= 0) points_->setCurrentIndex(at);
}

/// Ticks stay; a product that is new here starts ticked, a scene without.
void ReadingsPanel::fillLayers() {
  std::map<QString, bool> ticks;
  for (int i = 0; i < layers_->count(); ++i)
    ticks[layers_->item(i)->data(Qt::UserRole).toString()] =
        layers_->item(i)->checkState() == Qt::Checked;
  layers_->clear();
  const auto add = [&](const std::string& id, const QString& name, bool tick) {
    const auto known = ticks.find(q(id));
    layers_->addItem(tickItem(name, q(id), known != ticks.end() ? known->second : tick));
  };
  const Study& s = bench_.study();
  for (auto p = s.products.rbegin(); p != s.products.rend(); ++p)
    if (p->kind == ProductKind::Index || p->kind == ProductKind::ClassMap)
      add(p->id, q(p->name), true);
  for (const auto& one : s.scenes) add(one.id, txt("%1, all bands").arg(q(one.scene.name)), false);
  fitHeight(layers_);
}

QString ReadingsPanel::missing() const {
  return ticked().isEmpty() ? txt("Tick at least one layer to read.") : QString();
}

Json ReadingsPanel::step() const {
  Json from = Json::array();
  for (const auto& id : ticked()) from.push_back(id.toStdString());
  return {{"do", "readings"},
          {"points", points_->currentData().toString().toStdString()},
          {"from", from},
          {"name", txt("Readings at %1").arg(points_->currentText()).toStdString()}};
}

void ReadingsPanel::showResult(const QString&) {
  fillTable();
  Q_EMIT revealAsked(table_);
}

void ReadingsPanel::fillTable() {
  const auto* p = bench_.study().newest(ProductKind::Table);
  for (QWidget* w : std::initializer_list<QWidget*>{table_, title_, export_, separator_})
    w->setVisible(p != nullptr);
  if (p == nullptr) return;
  try {
    title_->setText(q(p->name));
    table_->show(readTable(p->file.string()));
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

void ReadingsPanel::exportTable() {
  const auto* p = bench_.study().newest(ProductKind::Table);
  if (p == nullptr) return;
  const QString target = QFileDialog::getSaveFileName(
      this, txt("Table as CSV"), q(fileStem(p->name)) + ".csv", txt("CSV (*.csv)"));
  if (target.isEmpty()) return;
  try {
    writeFileAtomically(
        target.toStdString(),
        toCsv(readTable(p->file.string()), separator_->currentData().toString()[0].toLatin1()));
    Q_EMIT bench_.notice(txt("The table is in “%1”, coordinates in %2.")
                             .arg(target, q(p->facts.value("system", ""))));
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
}

}  // namespace zp
