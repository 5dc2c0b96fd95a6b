#include "desks/sampling/readings_table.h"

#include "base/text.h"
#include "look/look.h"

namespace zp {
namespace {

constexpr int kRows = 10;

QString figureOf(const std::string& cell) {
  if (cell.empty()) return "–";
  const auto v = parseNumber(cell);
  if (!v || cell.find('.') == std::string::npos) return q(cell);
  return QString::number(*v, 'f', std::abs(*v) > 1000 ? 1 : 4);
}

}  // namespace

ReadingsTable::ReadingsTable(QWidget* parent) : QWidget(parent) {
  table_ = new QTableWidget;
  table_->setObjectName("readingsTable");
  table_->setAccessibleName(txt("Readings"));
  table_->verticalHeader()->setVisible(false);
  table_->verticalHeader()->setDefaultSectionSize(22);
  table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
  table_->setShowGrid(false);
  table_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  table_->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  rows_ = pager("Rows", txt("Rows before"), txt("Rows after"));
  columns_ = pager("Columns", txt("Columns before"), txt("Columns after"));
  connect(rows_.before, &QPushButton::clicked, this, [this] { firstRow_ -= kRows, fill(); });
  connect(rows_.after, &QPushButton::clicked, this, [this] { firstRow_ += kRows, fill(); });
  connect(columns_.before, &QPushButton::clicked, this, [this] { turnColumns(false); });
  connect(columns_.after, &QPushButton::clicked, this, [this] { turnColumns(true); });
  auto* layout = new QVBoxLayout(this);
  layout->setContentsMargins(0, 0, 0, 0);
  layout->setSpacing(4);
  layout->addWidget(table_);
  layout->addWidget(wrapping({rows_.row, columns_.row}, 18));
}

ReadingsTable::Pager ReadingsTable::pager(const QString& name, const QString& before,
                                          const QString& after) {
  Pager p{linkButton("‹"), linkButton("›"), secondLabel(""), new QWidget};
  p.before->setObjectName("before" + name);
  p.after->setObjectName("after" + name);
  for (const auto& [button, hint] : {std::pair(p.before, before), std::pair(p.after, after)}) {
    button->setAccessibleName(hint);
    button->setToolTip(hint);
  }
  p.where->setWordWrap(false);
  p.where->setObjectName("where" + name);
  auto* row = new QHBoxLayout(p.row);
  row->setContentsMargins(0, 0, 0, 0);
  row->setSpacing(4);
  for (QWidget* w : {static_cast<QWidget*>(p.before), static_cast<QWidget*>(p.where),
                     static_cast<QWidget*>(p.after)})
    row->addWidget(w);
  return p;
}

void ReadingsTable::show(const Table& readings) {
  all_ = readings;
  table_->setColumnCount(static_cast<int>(all_.columns.size()));
  QStringList heads;
  for (const auto& c : all_.columns) heads << q(c);
  table_->setHorizontalHeaderLabels(heads);
  // What was read comes first; where it was read is a page before.
  firstRow_ = 0,
  firstColumn_ = heads.mid(1, 2) == QStringList{"x", "y"} && heads.size() > 3 ? 3 : 1;
  fill();
}

int ReadingsTable::endOfColumns(int first) const {
  int left = table_->viewport()->width() - widths_[0] - widths_[first], end = first + 1;
  while (end < widths_.size() && (left -= widths_[end]) >= 0) ++end;
  return end;
}

void ReadingsTable::turnColumns(bool forward) {
  if (forward) {
    firstColumn_ = endOfColumns(firstColumn_);
  } else {
    // The page that ends where this one begins.
    const int end = firstColumn_;
    while (firstColumn_ > 1 && endOfColumns(firstColumn_ - 1) >= end) --firstColumn_;
  }
  fill();
}

void ReadingsTable::fill() {
  const int rows = static_cast<int>(all_.rows.size()), columns = table_->columnCount();
  if (columns < 2) return;
  firstRow_ = std::clamp(firstRow_, 0, std::max(0, rows - 1));
  firstColumn_ = std::clamp(firstColumn_, 1, std::max(1, columns - 1));
  const int endRow = std::min(rows, firstRow_ + kRows);
  table_->setRowCount(endRow - firstRow_);
  for (int r = firstRow_; r < endRow; ++r)
    for (int c = 0; c < columns; ++c) {
      const auto& cells = all_.rows[static_cast<size_t>(r)];
      table_->setItem(r - firstRow_, c, figureItem(figureOf(cells[static_cast<size_t>(c)])));
    }
  for (int c = 0; c < columns; ++c) table_->setColumnHidden(c, false);
  table_->resizeColumnsToContents();
  widths_.clear();
  for (int c = 0; c < columns; ++c) widths_ << table_->columnWidth(c);
  const int endColumn = endOfColumns(firstColumn_);
  for (int c = 0; c < columns; ++c)
    table_->setColumnHidden(c, c > 0 && (c < firstColumn_ || c >= endColumn));
  fitHeight(table_, kRows);
  rows_.row->setVisible(rows > kRows);
  rows_.where->setText(txt("rows %1 to %2 of %3")
                           .arg(firstRow_ + 1)
                           .arg(endRow)
                           .arg(grouped(static_cast<qulonglong>(rows))));
  rows_.before->setEnabled(firstRow_ > 0);
  rows_.after->setEnabled(endRow < rows);
  columns_.row->setVisible(firstColumn_ > 1 || endColumn < columns);
  columns_.where->setText(
      txt("columns %1 to %2 of %3").arg(firstColumn_ + 1).arg(endColumn).arg(columns));
  columns_.before->setEnabled(firstColumn_ > 1);
  columns_.after->setEnabled(endColumn < columns);
}

void ReadingsTable::resizeEvent(QResizeEvent* e) {
  QWidget::resizeEvent(e);
  if (e->size().width() != e->oldSize().width()) fill();
}

}  // namespace zp
