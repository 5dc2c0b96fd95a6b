#pragma once
#include "desks/sampling/table/table_book.h"
#include "look/parts.h"

namespace zp {

/// Puts the columns of another table, of points, cells or an outline beside those of this one, by
/// columns that hold the same or by place, as a new table.
class JoinPanel : public QWidget {
  Q_OBJECT
 public:
  JoinPanel(Workbench& bench, TableBook& book, QWidget* parent = nullptr);
  void open();

 Q_SIGNALS:
  void made(const QString& product);

 private:
  void build();
  void fill();
  void readOther();
  void arrange();
  void make();
  QString missing() const;
  Json step() const;
  bool byKeys() const { return how_->currentIndex() == 0; }

  Workbench& bench_;
  TableBook& book_;
  Latest reading_;
  QStringList theirs_;  // the columns of the other
  QComboBox *other_, *how_, *key_, *otherKey_, *date_, *otherDate_, *several_;
  QSpinBox *days_, *share_;
  QWidget *keyRow_, *dateRow_, *daysRow_, *shareRow_;
  QLabel* said_;
  QPushButton* go_;
};

}  // namespace zp
