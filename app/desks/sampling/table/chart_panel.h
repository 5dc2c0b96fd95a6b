#pragma once
#include "desks/sampling/table/chart_page.h"

namespace zp {

/// What the rows that are shown tell as a chart, of the kind that is chosen; the charts go out as
/// pictures.
class ChartPanel : public QWidget {
  Q_OBJECT
 public:
  ChartPanel(Workbench& bench, TableBook& book, SheetModel& sheet, QWidget* parent = nullptr);
  QString said() const { return said_->text(); }
  ChartPage& page() const { return *all_[static_cast<size_t>(pages_->currentIndex())]; }
  /// As the ending says: PNG, SVG or PDF.
  void write(const QString& file);

 Q_SIGNALS:
  /// Of the rows, by their place in the file; none: all alike.
  void coloured(const std::vector<QColor>& colours);
  void pictureMade(const QString& product);

 private:
  void addPage(ChartPage* page, const char* name, const QString& title);
  QLayout* buildFoot();
  void show(int page);
  void refresh();
  bool redraw();
  bool draw(int kind, const Json& choices);
  void remember();
  void showChoice();
  void makePicture(Json step);
  void save();

  Workbench& bench_;
  std::string opened_;    // the table
  bool instead_ = false;  // of the last kind of chart, which tells nothing of this table
  TableBook& book_;
  QButtonGroup* kinds_;
  QWidget* chips_;
  QStackedWidget* pages_;
  std::vector<ChartPage*> all_;
  QLabel *title_, *said_;
  QPushButton* out_;
  QHBoxLayout* foot_;
};

}  // namespace zp
