#include "desks/scenes/csv_box.h"

#include "look/look.h"

namespace zp {

CsvBox::CsvBox(QWidget* parent) : QWidget(parent) {
  const auto choice = [this](const char* name) {
    auto* one = new LongChoice;
    one->setObjectName(name);
    connect(one, &QComboBox::activated, this, &CsvBox::said);
    return one;
  };
  separator_ = choice("incomingSeparator");
  separator_->addItem(txt("comma"), ",");
  separator_->addItem(txt("semicolon"), ";");
  separator_->addItem(txt("tab"), "\t");
  decimal_ = choice("incomingDecimal");
  decimal_->addItem(txt("point"), ".");
  decimal_->addItem(txt("comma"), ",");
  x_ = choice("incomingX");
  y_ = choice("incomingY");
  system_ = lineEdit("incomingSystem", "EPSG:4326");
  connect(system_, &QLineEdit::textEdited, this, &CsvBox::said);
  rows_ = plainTable({""});
  rows_->setObjectName("incomingRows");
  rows_->setAccessibleName(txt("Its first rows"));
  rows_->setSelectionMode(QAbstractItemView::NoSelection);
  auto* column = columnIn(this);
  column->addWidget(fieldRow(txt("Parted by"), {separator_}));
  column->addWidget(fieldRow(txt("Decimal"), {decimal_}));
  column->addWidget(placeRow_ = fieldRow(txt("East, north"), {x_, y_}));
  column->addWidget(systemRow_ = fieldRow(txt("In the system"), {system_}));
  column->addWidget(sectionLabel(txt("Its first rows")));
  column->addWidget(rows_);
}

void CsvBox::show(const Incoming& one) {
  separator_->setCurrentIndex(separator_->findData(QString(QChar(one.csv->separator))));
  decimal_->setCurrentIndex(decimal_->findData(QString(QChar(one.csv->decimal))));
  const bool points = one.as == Incoming::As::Points;
  placeRow_->setVisible(points);
  systemRow_->setVisible(points);
  for (const auto& [box, wanted] : {std::pair(x_, one.x), std::pair(y_, one.y)}) {
    box->clear();
    for (const auto& c : one.first.columns) box->addItem(q(c), q(c));
    box->setCurrentIndex(box->findData(wanted));
  }
  if (!system_->hasFocus()) system_->setText(one.system);
  showRows(one.first);
}

/// Of many columns those that there is room for.
void CsvBox::showRows(const Table& first) {
  constexpr int kColumns = 5;
  const int columns = std::min(kColumns, static_cast<int>(first.columns.size()));
  rows_->setColumnCount(columns);
  rows_->setRowCount(static_cast<int>(first.rows.size()));
  QStringList heads;
  for (int c = 0; c < columns; ++c) heads << q(first.columns[static_cast<size_t>(c)]);
  rows_->setHorizontalHeaderLabels(heads);
  rows_->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
  for (int r = 0; r < rows_->rowCount(); ++r)
    for (int c = 0; c < columns; ++c)
      rows_->setItem(
          r, c,
          new QTableWidgetItem(q(first.rows[static_cast<size_t>(r)][static_cast<size_t>(c)])));
  fitHeight(rows_);
}

void CsvBox::take(Incoming& one) const {
  const char separator = separator_->currentData().toString()[0].toLatin1(),
             decimal = decimal_->currentData().toString()[0].toLatin1();
  one.x = x_->currentData().toString();
  one.y = y_->currentData().toString();
  one.system = system_->text().trimmed();
  if (separator == one.csv->separator && decimal == one.csv->decimal) return;
  one.csv = CsvDialect{separator, decimal};
  readFirst(one);
}

}  // namespace zp
