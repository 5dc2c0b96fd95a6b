#pragma once
#include "base/table.h"
#include "look/parts.h"

namespace zp {

/// Readings a page at a time, so that the desk has the one scroll bar: some rows, and as many
/// columns as there is room for beside the first.
class ReadingsTable : public QWidget {
  Q_OBJECT
 public:
  explicit ReadingsTable(QWidget* parent = nullptr);
  void show(const Table& readings);

 protected:
  void resizeEvent(QResizeEvent* e) override;

 private:
  struct Pager {
    QPushButton *before, *after;
    QLabel* where;
    QWidget* row;
  };
  Pager pager(const QString& name, const QString& before, const QString& after);
  void fill();
  /// The column after the last that fits when `first` is the first beside column 0; one always.
  int endOfColumns(int first) const;
  void turnColumns(bool forward);

  Table all_;
  QList<int> widths_;  // of the columns, as this page of rows needs them
  QTableWidget* table_;
  Pager rows_, columns_;
  int firstRow_ = 0, firstColumn_ = 1;
};

}  // namespace zp
