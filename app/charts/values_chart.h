#pragma once
#include "charts/brushed_chart.h"

namespace zp {

/// How often the values of a quantity occur, the chosen ones before all.
class ValuesChart : public BrushedChart {
  Q_OBJECT
 public:
  explicit ValuesChart(QWidget* parent = nullptr);
  /// NaN is left out.
  void show(const std::vector<double>& values);
  void choose(const std::vector<bool>& chosen);

 private:
  QCPBars* bars(const QColor& colour);
  void count(QCPBars* into, const std::vector<bool>* chosen) const;

  std::vector<double> values_;
  double low_ = 0, width_ = 1;
  int bins_ = 0;
  QCPBars *all_ = nullptr, *some_ = nullptr;
};

/// A group of values, drawn as a box.
struct BoxGroup {
  QString name;
  QColor colour;
  std::vector<double> values;  // sorted, without NaN
};

/// The spread of a quantity in each of several groups: box from quartile to quartile, line at the
/// median, whiskers to the last values within one and a half box lengths (Tukey 1977), dots beyond;
/// the number of cases below.
class BoxChart : public BrushedChart {
  Q_OBJECT
 public:
  explicit BoxChart(QWidget* parent = nullptr);
  void show(const std::vector<BoxGroup>& groups);
  /// Which group stands at a place of the axis across; -1 for none.
  int groupAt(double x) const;

 private:
  int groups_ = 0;
};

}  // namespace zp
