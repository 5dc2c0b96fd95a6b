#pragma once
#include "charts/brushed_chart.h"
#include "charts/end_names.h"

namespace zp {

/// Of each of several groups the shares of the same classes, one upon the other up to the whole.
struct ClassShares {
  QString name;
  QColor colour;
  std::vector<double> shares;  // group by group, 0…1
};

class SharesChart : public BrushedChart {
  Q_OBJECT
 public:
  explicit SharesChart(QWidget* parent = nullptr);
  /// `groups`: the names below the bars.
  void show(const QStringList& groups, const std::vector<ClassShares>& classes);
  int groupAt(double x) const;

 protected:
  void resizeEvent(QResizeEvent* e) override;

 private:
  void nameClasses();
  int groups_ = 0;
  std::vector<ClassShares> classes_;
  std::vector<QCPItemText*> names_;
};

}  // namespace zp
