#include "charts/values_chart.h"

#include "look/look.h"
#include "sampling/group_rows.h"

namespace zp {

ValuesChart::ValuesChart(QWidget* parent) : BrushedChart(parent) {
  setObjectName("valuesChart");
  setAccessibleName(txt("How often values occur"));
}

QCPBars* ValuesChart::bars(const QColor& colour) {
  auto* b = new QCPBars(xAxis, yAxis);
  b->setPen(Qt::NoPen);
  b->setBrush(colour);
  b->setWidth(width_ * 0.92);
  return b;
}

void ValuesChart::count(QCPBars* into, const std::vector<bool>* chosen) const {
  QVector<double> xs(bins_), counts(bins_, 0.0);
  for (int b = 0; b < bins_; ++b) xs[b] = low_ + (b + 0.5) * width_;
  for (size_t i = 0; i < values_.size(); ++i)
    if (!std::isnan(values_[i]) && (chosen == nullptr || (i < chosen->size() && (*chosen)[i])))
      ++counts[std::clamp(static_cast<int>((values_[i] - low_) / width_), 0, bins_ - 1)];
  into->setData(xs, counts, true);
}

/// As wide as Freedman and Diaconis (1981) advise, within what can be seen.
void ValuesChart::show(const std::vector<double>& values) {
  clearPlottables();
  all_ = some_ = nullptr;
  values_ = values;
  std::vector<double> sorted;
  for (const double v : values)
    if (!std::isnan(v)) sorted.push_back(v);
  std::sort(sorted.begin(), sorted.end());
  bins_ = 0;
  if (!sorted.empty()) {
    const double range = sorted.back() - sorted.front(),
                 box = quantileOf(sorted, 0.75) - quantileOf(sorted, 0.25),
                 advised = 2 * box / std::cbrt(static_cast<double>(sorted.size()));
    const double fewest = sorted.size() < 50 ? 6 : 12;  // where two humps stand far apart
    bins_ = range > 0 && advised > 0 ? static_cast<int>(std::clamp(range / advised, fewest, 80.0))
            : range > 0              ? 30
                                     : 1;
    width_ = range > 0 ? range / bins_ : 1;
    low_ = range > 0 ? sorted.front() : sorted.front() - 0.5;
    all_ = bars(tokens().second);
    some_ = bars(tokens().accent);
    count(all_, nullptr);
    rescaleAxes();
    yAxis->setRangeLower(0);
    yAxis->setRangeUpper(yAxis->range().upper * 1.08);
    xAxis->scaleRange(1.04);
  }
  mark({});
}

void ValuesChart::choose(const std::vector<bool>& chosen) {
  if (some_ != nullptr) count(some_, &chosen);
  replot();
}

BoxChart::BoxChart(QWidget* parent) : BrushedChart(parent) {
  setObjectName("boxChart");
  setAccessibleName(txt("The spread in each group"));
}

int BoxChart::groupAt(double x) const {
  const int group = static_cast<int>(std::lround(x));
  return group >= 0 && group < groups_ && std::abs(x - group) < 0.4 ? group : -1;
}

void BoxChart::show(const std::vector<BoxGroup>& groups) {
  clearPlottables();
  groups_ = static_cast<int>(groups.size());
  QSharedPointer<QCPAxisTickerText> names(new QCPAxisTickerText);
  const QFontMetrics metrics(xAxis->tickLabelFont());
  const int room = std::max(40, axisRect()->width() / std::max(1, groups_) - 8);
  for (int g = 0; g < groups_; ++g) {
    const auto& group = groups[static_cast<size_t>(g)];
    names->addTick(g, metrics.elidedText(group.name, Qt::ElideRight, room) + "\n" +
                          grouped(group.values.size()));
    if (group.values.empty()) continue;
    const auto& v = group.values;
    const double q1 = quantileOf(v, 0.25), q3 = quantileOf(v, 0.75), reach = 1.5 * (q3 - q1);
    QVector<double> beyond;
    double low = q1, high = q3;
    for (const double one : v)
      if (one < q1 - reach || one > q3 + reach)
        beyond << one;
      else
        low = std::min(low, one), high = std::max(high, one);
    auto* box = new QCPStatisticalBox(xAxis, yAxis);
    QColor fill = group.colour;
    fill.setAlpha(150);
    box->setWidth(0.5);
    box->setBrush(fill);
    box->setPen(QPen(tokens().second));
    box->setMedianPen(QPen(tokens().text, 2));
    box->setWhiskerPen(QPen(tokens().second));
    box->setWhiskerBarPen(QPen(tokens().second));
    box->setOutlierStyle(QCPScatterStyle(QCPScatterStyle::ssDisc, group.colour, 3));
    box->addData(g, low, q1, quantileOf(v, 0.5), q3, high, beyond);
  }
  xAxis->setTicker(names);
  rescaleAxes();
  xAxis->setRange(-0.6, std::max(0.6, groups_ - 0.4));
  yAxis->scaleRange(1.08);
  mark({});
}

}  // namespace zp
