#include "charts/reliability_chart.h"

#include "look/look.h"

namespace zp {

ReliabilityChart::ReliabilityChart(QWidget* parent) : Chart(parent) {
  setObjectName("reliability");
  setAccessibleName(txt("Share right against confidence"));
  setFixedSize(150, 104);
}

void ReliabilityChart::show(const HeldOut& told) {
  constexpr size_t kFew = 20;  // fewer pixels say nothing
  clearPlottables();
  auto* diagonal = addGraph();
  diagonal->setPen(QPen(tokens().second, 1, Qt::DashLine));
  diagonal->setData({0, 1}, {0, 1});
  QVector<double> given, right;
  QStringList rows;
  for (size_t i = 0; i < told.bySupport.size(); ++i) {
    const auto& bin = told.bySupport[i];
    if (bin.all < kFew) continue;
    const double from = static_cast<double>(i) / 10;
    given << from + 0.05;
    right << bin.share();
    rows << txt("%1 to %2: %3 % right of %4 pixels")
                .arg(decimal(from, 1), decimal(from + 0.1, 1), decimal(bin.share() * 100, 0),
                     grouped(bin.all));
  }
  auto* line = addGraph();
  line->setPen(QPen(tokens().accent, 1.8));
  line->setScatterStyle(QCPScatterStyle(QCPScatterStyle::ssDisc, tokens().accent, 5));
  line->setData(given, right);
  setToolTip(rows.join("\n"));
  setAccessibleDescription(rows.join("; "));
  setTitles(txt("confidence"), txt("right"));
  xAxis->setRange(0, 1.02);
  yAxis->setRange(0, 1.05);
  for (auto* axis : {xAxis, yAxis}) axis->ticker()->setTickCount(2);
  replot();
}

}  // namespace zp
