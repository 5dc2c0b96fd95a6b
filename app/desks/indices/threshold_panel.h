#pragma once
#include "charts/chart.h"
#include "desks/panel.h"
#include "index/index_book.h"
#include "background/latest.h"

namespace zp {

/// The histogram of an index that was made, and the thresholds that cut it into classes.
class ThresholdPanel : public Panel {
  Q_OBJECT
 public:
  ThresholdPanel(Workbench& bench, MapView& view);

  /// Of this index, or hidden without one. Classes take the ends of the ramp and are called as the
  /// reading calls its ends.
  void show(const Product* index, const std::string& ramp, const IndexEntry::Ends& ends);
  void refresh() override;
  void leave() override { chart_->clearBrush(); }
  void forget() override;
  QString action() const override;
  Json step() const override;

  const std::vector<double>& cuts() const { return cuts_; }
  Json classes() const;
  /// Where to cut is found anew.
  void startOver() { cuts_.clear(); }
  /// Another index: the names of its classes are not those of the one before.
  void forgetNames() { classes_.clear(); }

 Q_SIGNALS:
  void ranged(const zp::Statistics& statistics);

 private:
  struct ClassRow {
    QString name;
    QColor colour;
  };
  void buildTools();
  void buildTable();
  void setCuts(const std::vector<double>& cuts);
  void addCut();
  void setValley();
  QStringList suggestedNames(size_t parts) const;
  std::vector<double> counts() const;
  void fillAreas();
  void take(const Histogram& histogram, const std::vector<double>& kept);
  void askAgain();
  void lightUp(double low, double high);
  const Product* index() const;

  MapView& view_;
  std::string index_, ramp_ = "grey";
  IndexEntry::Ends ends_;
  Latest job_;
  QComboBox* from_;
  ThresholdChart* chart_;
  QTableWidget* table_;
  QTimer moved_;
  QString histogramOf_;
  Histogram histogram_;
  std::vector<double> cuts_;
  std::vector<ClassRow> classes_;
  QStringList suggested_;
  double pixelArea_ = 0;
  bool filling_ = false;
};

}  // namespace zp
