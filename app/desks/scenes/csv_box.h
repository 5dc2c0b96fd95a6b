#pragma once
#include "desks/scenes/incoming.h"
#include "look/parts.h"

namespace zp {

/// How a table that comes in is written, its first rows as they are read so, and, of points, where
/// their coordinates are.
class CsvBox : public QWidget {
  Q_OBJECT
 public:
  explicit CsvBox(QWidget* parent = nullptr);
  void show(const Incoming& one);
  /// What is said, into it; the first rows are read anew where that needs it.
  void take(Incoming& one) const;

 Q_SIGNALS:
  void said();

 private:
  void showRows(const Table& first);

  QComboBox *separator_, *decimal_, *x_, *y_;
  QLineEdit* system_;
  QTableWidget* rows_;
  QWidget *placeRow_, *systemRow_;
};

}  // namespace zp
