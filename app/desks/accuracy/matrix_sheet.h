#pragma once
#include "desks/accuracy/label_book.h"
#include "desks/accuracy/matrix_view.h"
#include "desks/panel.h"

namespace zp {

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
  QLayout* buildMatrix();
  QLayout* buildShows();
  QWidget* buildSentence();
  QWidget* buildSide();
  QWidget* buildMeasures();
  QLayout* buildFoot();
  void tellAccuracy(const std::optional<StratifiedEstimate>& weighted);
  void tellWithoutInterval(const std::string& plan);
  void tellLimits(bool weighted);
  void chooseWorst();
  void showPoints();
  void say(const QString& sentence);
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
