#include "charts/shares_chart.h"

#include "look/look.h"

namespace zp {

SharesChart::SharesChart(QWidget* parent) : BrushedChart(parent) {
  setObjectName("sharesChart");
  setAccessibleName(txt("Shares of classes"));
  axisRect()->setMinimumMargins(QMargins(0, 0, kEndNameWidth, 0));
}

int SharesChart::groupAt(double x) const {
  const int group = static_cast<int>(std::lround(x));
  return group >= 0 && group < groups_ && std::abs(x - group) < 0.4 ? group : -1;
}

void SharesChart::show(const QStringList& groups, const std::vector<ClassShares>& classes) {
  clearPlottables();
  groups_ = static_cast<int>(groups.size());
  classes_ = classes;
  QSharedPointer<QCPAxisTickerText> names(new QCPAxisTickerText);
  const int room = std::max(40, axisRect()->width() / std::max(1, groups_) - 8);
  QVector<double> at;
  for (int g = 0; g < groups_; ++g) {
    at << g;
    names->addTick(
        g, QFontMetrics(xAxis->tickLabelFont()).elidedText(groups[g], Qt::ElideRight, room));
  }
  QCPBars* below = nullptr;
  for (const auto& c : classes_) {
    auto* bars = new QCPBars(xAxis, yAxis);
    bars->setWidth(0.6);
    bars->setPen(Qt::NoPen);
    bars->setBrush(c.colour);
    QVector<double> percent;
    for (const double share : c.shares) percent << share * 100;
    bars->setData(at, percent, true);
    if (below != nullptr) bars->moveAbove(below);
    below = bars;
  }
  xAxis->setTicker(names);
  xAxis->setRange(-0.6, std::max(0.6, groups_ - 0.4));
  yAxis->setRange(0, 100);
  mark({});
  nameClasses();
}

/// At the height they have in the last group.
void SharesChart::nameClasses() {
  for (auto* name : names_) removeItem(name);
  std::vector<EndName> ends;
  double below = 0;
  for (const auto& c : classes_) {
    if (c.shares.empty()) continue;
    ends.push_back({yAxis->coordToPixel((below + c.shares.back() / 2) * 100),
                    QString("%1, %2 %").arg(c.name, decimal(c.shares.back() * 100, 1)),
                    tokens().text});
    below += c.shares.back();
  }
  names_ = nameEnds(*this, std::move(ends));
  replot();
}

void SharesChart::resizeEvent(QResizeEvent* e) {
  BrushedChart::resizeEvent(e);
  nameClasses();
}

}  // namespace zp
