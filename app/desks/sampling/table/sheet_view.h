#pragma once
#include <QtWidgets>

#include "desks/sampling/table/sheet_model.h"

namespace zp {

/// The rows of a table: over each column its name and, smaller, unit and source; a click there
/// orders the rows. Its selection is the book's choice.
class SheetView : public QTableView {
  Q_OBJECT
 public:
  SheetView(Workbench& bench, TableBook& book, QWidget* parent = nullptr);
  SheetModel& sheet() { return *model_; }
  /// What is chosen, or all, as text that a spreadsheet takes: a line a row, tabs between.
  QString copyText() const;

 Q_SIGNALS:
  void columnAsked(const std::string& name, QPoint at);

 protected:
  void keyPressEvent(QKeyEvent* e) override;
  void resizeEvent(QResizeEvent* e) override;

 private:
  void refresh();
  void showChoice();
  void takeSelection();
  void orderBy(int section);
  void fitColumns();
  void spreadColumns();

  TableBook& book_;
  SheetModel* model_;
  QStringList fitted_;  // the columns that have their widths
  QList<int> needed_;   // what those need
  int spread_ = 0;      // over which they were spread
  bool taking_ = false;
};

}  // namespace zp
