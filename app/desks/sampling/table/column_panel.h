#pragma once
#include "desks/sampling/table/table_book.h"
#include "look/parts.h"

namespace zp {

/// Changes the columns of the table: adds one by a formula, changes values where something holds,
/// renames, hides and drops, takes a list of values by key from the clipboard. What a change would
/// touch is told before it is made.
class ColumnPanel : public QWidget {
  Q_OBJECT
 public:
  explicit ColumnPanel(TableBook& book, QWidget* parent = nullptr);
  /// With a column in hand; "" for none.
  void open(const std::string& column);

 private:
  enum What { kAdd, kChange, kRename, kPaste };
  QWidget* buildAdd();
  QWidget* buildChange();
  QWidget* buildRename();
  QWidget* buildPaste();
  QLineEdit* formulaLine(const char* name, const QString& hint);
  void fill();
  void lookLater() { timer_.start(); }
  void look();
  void apply();
  void say(const QString& sentence, bool wrong);
  Json wanted() const;
  QString actionFor(size_t rows) const;
  QString undoText() const;
  Json pasted() const;
  What what() const { return static_cast<What>(pages_->currentIndex()); }
  std::string column() const { return column_->currentData().toString().toStdString(); }

  TableBook& book_;
  QTimer timer_;
  QList<QPushButton*> kinds_;
  QStackedWidget* pages_;
  QComboBox *column_, *key_;
  QWidget* columnRow_;
  QLineEdit *name_, *formula_, *to_, *change_, *where_, *into_;
  QLabel *said_, *pasteSaid_;
  QPushButton *go_, *hide_, *drop_, *showAll_;
};

}  // namespace zp
