#pragma once
#include "desks/sampling/table/table_book.h"
#include "look/parts.h"

namespace zp {

/// A row a group of the rows that are shown, as a new table.
class SummaryPanel : public QWidget {
  Q_OBJECT
 public:
  SummaryPanel(Workbench& bench, TableBook& book, QWidget* parent = nullptr);
  void open();

 Q_SIGNALS:
  void made(const QString& product);

 private:
  void fill();
  void look();
  void make();
  TableEdit wanted() const;

  Workbench& bench_;
  TableBook& book_;
  QListWidget *by_, *of_;
  QLabel* said_;
  QPushButton* go_;
};

}  // namespace zp
