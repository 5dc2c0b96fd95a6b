#pragma once
#include "desks/accuracy/accuracy_desk.h"

namespace zp {

/// The confusion matrix as a grid of tinted cells with its margins.
class MatrixView : public QWidget {
  Q_OBJECT
 public:
  enum class Show { Counts, RowShares, ColumnShares };
  explicit MatrixView(QWidget* parent = nullptr);
  void setMatrix(const ConfusionMatrix& m, const Legend& legend);
  void setShow(Show show);
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
  QString cellText(size_t i, size_t j) const;
  int cellWidth() const;
  int cellHeight() const;
  ConfusionMatrix matrix_;
  Legend legend_;
  Show show_ = Show::Counts;
  QPair<int, int> chosen_{-1, -1};
};

/// The matrix with what it says in words, and the measures beside it.
class MatrixSheet : public QWidget {
  Q_OBJECT
 public:
  MatrixSheet(Workbench& bench, LabelBook& book);
  void open();
  /// Writes the matrix; the same as the button.
  void writeCsv(const QString& file);

 Q_SIGNALS:
  void leaveAsked();
  void pointsAsked();
  void placeAsked(zp::Place place);

 private:
  void explain(int map, int reference);
  void fillAreas(const std::optional<StratifiedEstimate>& weighted);
  Workbench& bench_;
  LabelBook& book_;
  std::optional<ConfusionMatrix> matrix_;
  QLabel *title_, *about_, *sentence_, *overall_, *interval_, *kappa_, *counts_, *said_,
      *areaTitle_;
  QTableWidget* areas_;
  MatrixView* view_;
  QPushButton* show_;
};

}  // namespace zp
