#pragma once
#include <QtWidgets>

#include "accuracy/assessment.h"
#include "look/spoken.h"

namespace zp {

/// The confusion matrix as a grid of tinted cells with its margins: how many points or how much of
/// the area, and the accuracies with their intervals; of many classes as many as there is room for,
/// with the names and margins always in sight. Rows are the map, or when turned the
/// reference; a cell is always told as (map, reference).
class MatrixView : public QWidget, public Spoken {
  Q_OBJECT
 public:
  enum class Show { Counts, RowShares, ColumnShares, AreaShares };
  static constexpr int kWhole = -1;  // one side of a row or column that is chosen
  explicit MatrixView(QWidget* parent = nullptr);
  /// Cells are counts where the assessment is of the points, else shares of the area.
  void setMatrix(const ConfusionMatrix& m, const Assessment& a, const Legend& legend);
  void setShow(Show show);
  Show showing() const { return show_; }
  void setTurned(bool turned);
  bool turned() const { return turned_; }
  /// Whether accuracies have intervals.
  void setIntervals(bool on);
  /// Where it would be, of one that is scrolled out of sight.
  QRect cellRect(size_t map, size_t reference) const;
  /// Where a row's or column's name stands; clicked, all of it is chosen.
  QRect rowNameRect(size_t row) const;
  QRect columnNameRect(size_t column) const;
  QString cellText(size_t map, size_t reference) const;
  /// One side is kWhole where a row or column is chosen, both where nothing is.
  QPair<int, int> chosen() const { return chosen_; }
  void choose(int map, int reference);
  QAccessible::Role role() const override { return QAccessible::Table; }
  QAccessible::Role partRole() const override { return QAccessible::Cell; }
  QList<SpokenPart> parts() const override;

 Q_SIGNALS:
  void cellChosen(int map, int reference);

 protected:
  void paintEvent(QPaintEvent*) override;
  void mousePressEvent(QMouseEvent*) override;
  void keyPressEvent(QKeyEvent*) override;
  void wheelEvent(QWheelEvent*) override;
  void resizeEvent(QResizeEvent*) override;

 private:
  /// The rows or columns that are in sight: the first, and one after the last.
  struct Shown {
    size_t first, end;
    bool has(size_t at) const { return at >= first && at < end; }
  };
  Shown shownBy(const QScrollBar& bar, int room) const;
  Shown rows() const;
  Shown columns() const;
  void fitBars();
  void bringIntoSight();
  void paintHeads(QPainter& p) const;
  void paintRow(QPainter& p, size_t row) const;
  void paintRowMargin(QPainter& p, size_t row) const;
  void paintFoot(QPainter& p) const;
  void paintChosen(QPainter& p) const;
  const Estimate& rowAccuracy(size_t row) const;
  const Estimate& columnAccuracy(size_t column) const;
  double share(size_t map, size_t reference) const;
  double rowShare(size_t row) const;
  double columnShare(size_t column) const;
  QString marginText(bool ofRow, size_t at) const;
  QColor colourOf(size_t i) const;
  QRect gridRect(size_t row, size_t column) const;
  size_t size() const { return matrix_.codes.size(); }
  int right() const;   // of the cells
  int bottom() const;  // of the cells
  int cellWidth() const;
  int cellHeight() const;
  ConfusionMatrix matrix_;
  Assessment assessment_;
  Legend legend_;
  Show show_ = Show::Counts;
  bool turned_ = false, intervals_ = true;
  QPair<int, int> chosen_{kWhole, kWhole};
  int names_ = 0;  // pixels
  QScrollBar *down_, *across_;
};

}  // namespace zp
