#include "desks/sampling/table/out_panel.h"

#include "base/outputs.h"
#include "base/text.h"
#include "look/look.h"
#include "outline/field_types.h"

namespace zp {

OutPanel::OutPanel(Workbench& bench, TableBook& book, SheetView& sheet, QWidget* parent)
    : QWidget(parent), bench_(bench), book_(book), sheet_(sheet) {
  copy_ = quietButton("");
  copy_->setObjectName("copyRows");
  separator_ = new QComboBox;
  separator_->setObjectName("csvSeparator");
  separator_->setAccessibleName(txt("Separator"));
  separator_->addItem(txt("comma"), ",");
  separator_->addItem(txt("semicolon"), ";");
  separator_->addItem(txt("tab"), "\t");
  decimal_ = new QComboBox;
  decimal_->setObjectName("csvDecimal");
  decimal_->addItem(txt("point"), ".");
  decimal_->addItem(txt("comma"), ",");
  auto* csv = quietButton(txt("Table as CSV…"));
  csv->setObjectName("csvGo");
  places_ = quietButton(txt("Rows with their places…"));
  places_->setObjectName("placesGo");
  keep_ = quietButton(txt("Keep as a table of its own"));
  keep_->setObjectName("keepTable");
  said_ = secondLabel("");
  said_->setObjectName("outSaid");
  auto* box = columnIn(this);
  box->setContentsMargins(16, 10, 16, 8);
  box->addWidget(said_);
  box->addWidget(wrapping({copy_}));
  box->addWidget(fieldRow(txt("CSV parted by"), {separator_}));
  box->addWidget(fieldRow(txt("Decimal"), {decimal_}));
  box->addWidget(wrapping({csv, places_}));
  box->addWidget(wrapping({keep_}));
  box->addStretch();
  connect(copy_, &QPushButton::clicked, this, &OutPanel::copy);
  connect(csv, &QPushButton::clicked, this, [this] { save(false); });
  connect(places_, &QPushButton::clicked, this, [this] { save(true); });
  connect(keep_, &QPushButton::clicked, this, &OutPanel::keep);
  connect(&book_, &TableBook::changed, this, &OutPanel::tell);
  connect(&book_, &TableBook::choiceChanged, this, &OutPanel::tell);
}

void OutPanel::tell() {
  const size_t rows = book_.shown().rows(), chosen = book_.chosenCount();
  const int hidden = book_.hiddenColumns();
  said_->setText(txt("%1 rows are shown.").arg(grouped(rows)) +
                 (hidden == 0 ? QString()
                              : " " + txt("%n hidden columns stay out.",
                                          "%n hidden column stays out.", hidden)));
  copy_->setText(chosen == 0 ? txt("Copy all rows")
                             : txt("Copy %n rows", "Copy %n row", static_cast<qint64>(chosen)));
  places_->setVisible(book_.layer() != nullptr);
  keep_->setEnabled(book_.product() != nullptr && !book_.editsShown().empty());
}

/// What is shown, without what is hidden.
Table OutPanel::table() const {
  Sheet sheet = book_.shown();
  std::erase_if(sheet.columns, [&](const SheetColumn& c) { return book_.isHidden(c.name); });
  return tableOf(sheet);
}

void OutPanel::copy() {
  QGuiApplication::clipboard()->setText(sheet_.copyText());
  Q_EMIT bench_.notice(txt("The rows are in the clipboard."));
}

void OutPanel::save(bool withPlaces) {
  if (book_.product() == nullptr) return;
  const QString stem = q(fileStem(book_.product()->name));
  const QString target =
      withPlaces ? QFileDialog::getSaveFileName(this, txt("Rows with their places"), stem + ".gpkg",
                                                txt("Vector files (*.gpkg *.geojson *.shp *.kml)"))
                 : QFileDialog::getSaveFileName(this, txt("Table as CSV"), stem + ".csv",
                                                txt("CSV (*.csv)"));
  if (!target.isEmpty()) write(target);
}

void OutPanel::write(const QString& file) {
  try {
    const std::filesystem::path target = file.toStdString();
    Table table = this->table();
    const QString system = book_.layer() == nullptr ? q(book_.product()->facts.value("system", ""))
                                                    : q(crsName(book_.layer()->crs));
    const std::string ending = lowered(target.extension().string());
    const bool lonLat = ending == ".kml" || ending == ".geojson" || ending == ".json";
    if (ending == ".csv") {
      const char decimal = decimal_->currentData().toString()[0].toLatin1();
      const char separator = separator_->currentData().toString()[0].toLatin1();
      writeFileAtomically(target, toCsv(withDecimal(std::move(table), decimal), separator));
    } else {
      Layer layer{"rows", book_.layer()->crs, std::move(table), {}};
      const auto& shapes = book_.layer()->shapes;
      for (const size_t r : book_.shown().origin) {
        const size_t place = book_.places()->rows[r];
        layer.shapes.push_back(place < shapes.size() ? shapes[place] : Shape());
      }
      Outputs outputs(true);
      writeLayer(outputs.add(target), target, layer, typesOf(layer.table));
      outputs.commit();
    }
    QStringList told{system.isEmpty() || lonLat
                         ? txt("The table is in “%1”.").arg(file)
                         : txt("The table is in “%1”, coordinates in %2.").arg(file, system)};
    if (lonLat) told << txt("Its places are in longitude and latitude.");
    for (const auto& lost : lostIn(target, this->table())) told << sentenceOf(lost);
    Q_EMIT bench_.notice(told.join(" "));
  } catch (const std::exception& e) {
    Q_EMIT bench_.trouble(sentenceOf(e));
  }
}

void OutPanel::keep() {
  const auto* table = book_.product();
  if (table == nullptr) return;
  keep_->setEnabled(false);  // the same is not made twice
  bench_.run({{"do", "table"},
              {"table", table->id},
              {"edits", book_.editsShown()},
              {"name", txt("%1, as shown").arg(q(table->name)).toStdString()}},
             txt("Table as shown"), [this](const QString& id) { Q_EMIT made(id); });
}

}  // namespace zp
