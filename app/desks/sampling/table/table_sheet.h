#pragma once
#include "desks/sampling/table/chart_panel.h"
#include "desks/sampling/table/column_panel.h"
#include "desks/sampling/table/join_panel.h"
#include "desks/sampling/table/out_panel.h"
#include "desks/sampling/table/places_view.h"
#include "desks/sampling/table/sheet_view.h"
#include "desks/sampling/table/summary_panel.h"

namespace zp {

/// A table over the whole window: its rows below, above them where they lie and what they tell as a
/// chart, or the view alone. One selection runs through all three.
class TableSheet : public QWidget {
  Q_OBJECT
 public:
  explicit TableSheet(Workbench& bench);
  /// `front`: the picture the places are shown over.
  void open(const QString& product, const Picture& front);
  /// The study changed.
  void refresh();
  void forget();
  bool ready() const;
  void say(const QString& sentence, bool wrong = true);
  TableBook& book() { return book_; }
  SheetView& rows() { return *rows_; }
  ChartPanel& chart() { return *chart_; }
  PlacesView& places() { return *places_; }
  OutPanel& out() { return *out_; }

 Q_SIGNALS:
  void leaveAsked();
  void tableAsked(const QString& product);
  void pictureAsked(const QString& product);

 protected:
  void keyPressEvent(QKeyEvent* e) override;

 private:
  enum Side { kChart, kColumn, kSummary, kJoin, kOut };
  QWidget* buildAbove();
  QWidget* buildBelow();
  QLayout* buildHead();
  void showSide(Side side);
  void showCharts(bool shown);
  void tell();
  void tellChoice();
  void tellMatches();
  void look();

  Workbench& bench_;
  TableBook book_;
  PlacesView* places_;
  SheetView* rows_;
  ChartPanel* chart_;
  ColumnPanel* column_;
  SummaryPanel* summary_;
  JoinPanel* join_;
  OutPanel* out_;
  QStackedWidget* side_;
  QSplitter* above_;
  QLabel *title_, *count_, *trouble_;
  QLineEdit* where_;
  QList<QPushButton*> sides_;
  bool wrong_ = false;  // what is said is that something is wrong
};

}  // namespace zp
