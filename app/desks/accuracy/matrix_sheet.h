#pragma once
#include "desks/accuracy/errors_side.h"
#include "desks/accuracy/label_book.h"
#include "desks/accuracy/matrix_view.h"
#include "desks/accuracy/measures_side.h"
#include "desks/accuracy/report_part.h"
#include "desks/panel.h"

namespace zp {

/// The matrix with what it says in words, and the measures beside it.
class MatrixSheet : public QWidget {
  Q_OBJECT
 public:
  MatrixSheet(Workbench& bench, LabelBook& book);
  void open();
  /// Writes the matrix as it is shown; the same as the button.
  void writeCsv(const QString& file);
  ReportPart& report() { return *report_; }
  ErrorsSide& errors() { return *errors_; }

 Q_SIGNALS:
  void leaveAsked();
  void pointsAsked();
  void comparisonAsked();
  /// The chosen points are to be looked at one by one on the labelling desk.
  void labellingAsked();
  /// How far apart a class is from others, and its training areas.
  void signaturesAsked(int code);

 private:
  QLayout* buildMatrix();
  QLayout* buildShows();
  QWidget* buildSentence();
  QWidget* buildSide();
  QLayout* buildSideChips();
  void showSide(int side);
  QLayout* buildFoot();
  QPushButton* link(const char* name, const QString& text, void (MatrixSheet::*act)());
  const Assessment& shown() const;
  void refresh();
  void setShow(MatrixView::Show show);
  void tellAbout();
  void chooseWorst();
  void setCell();
  void showPoints();
  void lookAtEach();
  void askSignatures();
  void merge();
  void takeApart();
  void tellGroups();
  void explain(int map, int reference);
  void explainCell(size_t map, size_t reference);
  void explainRow(size_t map);
  void explainColumn(size_t reference);
  Workbench& bench_;
  LabelBook& book_;
  QLabel *title_, *about_, *sentence_, *said_, *grouped_;
  MatrixView* view_;
  MeasuresSide* measures_;
  ErrorsSide* errors_;
  QStackedWidget* sides_;
  QPushButton *goodChip_, *whereChip_;
  ReportPart* report_;
  QButtonGroup* shows_;
  QPushButton *turned_, *either_, *changes_, *show_, *each_, *why_, *merge_, *apart_;
};

}  // namespace zp
