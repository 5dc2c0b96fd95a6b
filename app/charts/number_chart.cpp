#include "charts/number_chart.h"

#include "look/look.h"

namespace zp {

NumberChart::NumberChart(QWidget* parent) : Chart(parent) {
  setAccessibleName(txt("Spread and separation against the number of clusters"));
  setFixedHeight(140);
}

/// Separation is drawn against its own best, on the same axis: only where it is highest counts.
void NumberChart::show(const std::vector<NumberTrial>& trials) {
  clearPlottables();
  QVector<double> number, within, separation;
  double best = 0;
  for (const auto& t : trials)
    if (!std::isnan(t.separation)) best = std::max(best, t.separation);
  for (const auto& t : trials) {
    number << static_cast<double>(t.clusters);
    within << t.within;
    separation << (best > 0 ? t.separation / best : 0);
  }
  const auto add = [&](const QVector<double>& y, const QColor& colour, const QString& name) {
    auto* line = addGraph();
    line->setPen(QPen(colour, 1.8));
    line->setScatterStyle(QCPScatterStyle(QCPScatterStyle::ssDisc, colour, 4));
    line->setData(number, y);
    line->setName(name);
  };
  add(within, tokens().second, txt("spread within"));
  add(separation, tokens().accent, txt("separation"));
  legend->setVisible(!trials.empty());
  legend->setBrush(Qt::NoBrush);
  legend->setBorderPen(Qt::NoPen);
  legend->setTextColor(tokens().text);
  legend->setFont(textFont(9));
  setTitles(txt("clusters"), txt("of the most"));
  xAxis->setRange(1.5, trials.empty() ? 20.5 : number.back() + 0.5);
  yAxis->setRange(0, 1.08);
  yAxis->ticker()->setTickCount(3);
  replot();
}

}  // namespace zp
