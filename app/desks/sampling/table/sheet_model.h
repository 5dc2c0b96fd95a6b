#pragma once
#include <QAbstractTableModel>

#include "desks/sampling/table/table_book.h"

namespace zp {

/// How a column is to be read: its unit and where it comes from, and classes by their colours.
struct ColumnFace {
  QString note;                    // "index · 18 Jul 2031"
  const Legend* legend = nullptr;  // of a column of class codes or names; it outlives the face
  // The scene or product it was read from, which statistic, and the line of a feature.
  std::string of = {}, what = {}, line = {};
  std::optional<LegendClass> share = {};  // of which class of that it is the share
  int decimals = 0;
};

/// The rows of a table book that are shown, for a view: numbers with as many digits as tell them
/// apart, dates as people write them, classes with their colours.
class SheetModel : public QAbstractTableModel {
  Q_OBJECT
 public:
  SheetModel(Workbench& bench, TableBook& book, QObject* parent);
  int rowCount(const QModelIndex& parent = {}) const override;
  int columnCount(const QModelIndex& parent = {}) const override;
  QVariant data(const QModelIndex& index, int role) const override;
  QVariant headerData(int section, Qt::Orientation way, int role) const override;

  /// The book shows something else.
  void refresh();
  const SheetColumn& column(int section) const;
  const ColumnFace& faceOf(const SheetColumn& column) const;
  /// The product that it was read from; nullptr for none.
  const Product* productOf(const SheetColumn& column) const;
  const Scene* sceneOf(const SheetColumn& column) const;
  /// Its numbers are codes of classes, and no quantity.
  bool isOfClasses(const SheetColumn& column) const;
  /// A cell as it is shown.
  QString textOf(size_t column, size_t row) const;
  QColor colourOf(size_t column, size_t row) const;

  static constexpr int kNote = Qt::UserRole + 1;

 private:
  ColumnFace newFaceOf(const SheetColumn& column);
  std::optional<LegendClass> classIn(const ColumnFace& face, const char* prefix) const;
  QString statisticOf(const ColumnFace& face) const;
  const LegendClass* classOf(size_t column, size_t row) const;

  Workbench& bench_;
  TableBook& book_;
  std::vector<size_t> seen_;               // the columns that are not hidden
  std::vector<ColumnFace> faces_;          // of all columns of the sheet
  std::map<std::string, Legend> legends_;  // of maps, by their id
};

}  // namespace zp
