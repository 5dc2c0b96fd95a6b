#pragma once
#include <QtWidgets>

#include "accuracy/confusion_matrix.h"

namespace zp {

/// The confusion matrix as a grid of tinted cells with its margins.
class MatrixView : public QWidget {
  Q_OBJECT
 public:
  enum class Show { Counts, RowShares, ColumnShares };
  explicit MatrixView(QWidget* parent = nullptr);
  void setMatrix(const ConfusionMatrix& m, const Legend& legend);
  void setShow(Show show);
  /// Whether user's accuracies have intervals.
  void setIntervals(bool on);
  QRect cellRect(size_t map, size_t reference) const;
  QPair<int, int> chosen() const { return chosen_; }
  void choose(int map, int reference);

 Q_SIGNALS:
  void cellChosen(int map, int reference);

 protected:
  void paintEvent(QPaintEvent*) override;
  void mousePressEvent(QMouseEvent*) override;
  void keyPressEvent(QKeyEvent*) override;

 private:
  void paintHeads(QPainter& p) const;
  void paintRow(QPainter& p, size_t i, size_t most) const;
  void paintUsers(QPainter& p, size_t i) const;
  void paintProducers(QPainter& p) const;
  QColor colourOf(size_t i) const;
  QColor tint(size_t i, size_t j, size_t most) const;
  QString cellText(size_t i, size_t j) const;
  int right() const;  // of the cells
  int cellWidth() const;
  int cellHeight() const;
  ConfusionMatrix matrix_;
  Legend legend_;
  Show show_ = Show::Counts;
  bool intervals_ = true;
  QPair<int, int> chosen_{-1, -1};
};

}  // namespace zp
