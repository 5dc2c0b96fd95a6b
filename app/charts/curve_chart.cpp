#include "charts/curve_chart.h"

#include "look/look.h"

namespace zp {

namespace {
constexpr double kDay = 86'400;
}

CurveChart::CurveChart(QWidget* parent) : BrushedChart(parent) {
  edges_ = new QCPMarginGroup(this);
  setObjectName("curveChart");
  setAccessibleName(txt("Values through time"));
  axisRect()->setMinimumMargins(QMargins(0, 0, kEndNameWidth, 0));
}

/// Dates stand on the axis as seconds; days of a year as those of one.
double CurveChart::across(double at) const {
  return along_ == Along::Date ? at * kDay : along_ == Along::DayOfYear ? (at - 1) * kDay : at;
}

QCPGraph* CurveChart::line(const DrawnCurve& drawn, QCPAxisRect* in) {
  QVector<double> xs, ys;
  for (const auto& p : drawn.curve.points) xs << across(p.at), ys << p.mean;
  auto* graph = addGraph(in->axis(QCPAxis::atBottom), in->axis(QCPAxis::atLeft));
  graph->setData(xs, ys, true);
  graph->setPen(
      QPen(drawn.colour, drawn.strong ? 2.4 : 1.6, drawn.dashed ? Qt::DashLine : Qt::SolidLine));
  graph->setScatterStyle(QCPScatterStyle(QCPScatterStyle::ssDisc, drawn.colour, 4));
  return graph;
}

void CurveChart::band(const DrawnCurve& drawn) {
  QVector<double> xs, low, high;
  bool any = false;
  for (const auto& p : drawn.curve.points) {
    xs << across(p.at);
    low << (std::isnan(p.low) ? p.mean : p.low);
    high << p.high;
    any = any || p.n > 1;
  }
  if (!any) return;
  auto* below = addGraph();
  auto* above = addGraph();
  below->setData(xs, low, true);
  above->setData(xs, high, true);
  for (auto* edge : {below, above}) edge->setPen(Qt::NoPen);
  QColor fill = drawn.colour;
  fill.setAlpha(curves_.size() > 4 ? 25 : 45);
  above->setBrush(fill);
  above->setChannelFillGraph(below);
}

void CurveChart::setTitles(const QString& x, const QString& y, const QString& below) {
  across_ = x, up_ = y, below_ = below;
}

/// The dates stand below the lower of both.
void CurveChart::setStrip(bool on) {
  constexpr double kHeight = 0.6;  // of the other's
  if (on && strip_ == nullptr) {
    strip_ = new QCPAxisRect(this);
    plotLayout()->addElement(1, 0, strip_);
    plotLayout()->setRowStretchFactor(1, kHeight);
    for (auto* rect : {axisRect(), strip_})
      rect->setMarginGroup(QCP::msLeft | QCP::msRight, edges_);
    strip_->setMinimumMargins(axisRect()->minimumMargins());
    restyle();
  }
  if (!on && strip_ != nullptr) {
    plotLayout()->remove(std::exchange(strip_, nullptr));
    plotLayout()->simplify();
  }
  xAxis->setTickLabels(!on);
  Chart::setTitles(on ? QString() : across_, up_);
  if (!on) return;
  strip_->axis(QCPAxis::atBottom)->setLabel(across_);
  strip_->axis(QCPAxis::atLeft)->setLabel(below_);
}

/// Both along the same dates.
void CurveChart::scaleAxes() {
  constexpr double kRoom = 1.08;
  rescaleAxes();
  yAxis->scaleRange(kRoom);
  yAxis->ticker()->setTickCount(strip_ == nullptr ? 5 : 4);
  if (strip_ == nullptr) return;
  auto *x = strip_->axis(QCPAxis::atBottom), *y = strip_->axis(QCPAxis::atLeft);
  xAxis->setRange(xAxis->range().expanded(x->range()));
  x->setRange(xAxis->range());
  y->scaleRange(kRoom);
  y->ticker()->setTickCount(3);
}

void CurveChart::show(const std::vector<DrawnCurve>& curves, Along along,
                      const std::vector<DrawnCurve>& below) {
  clearPlottables();
  setStrip(!below.empty());
  curves_ = curves;
  along_ = along;
  laid_.reset();
  for (const auto& c : curves_) band(c);
  for (const auto& c : curves_) line(c, axisRect());
  for (const auto& c : below) line(c, strip_);
  if (graphCount() > 0) scaleAxes();
  auto ticker = QSharedPointer<QCPAxisTicker>(new QCPAxisTicker);
  if (along != Along::DaysSince) {
    QSharedPointer<QCPAxisTickerDateTime> dates(new QCPAxisTickerDateTime);
    dates->setDateTimeSpec(Qt::UTC);
    const bool years = along == Along::Date && xAxis->range().size() > 400 * kDay;
    dates->setDateTimeFormat(years ? "MMM yyyy" : "d MMM");
    ticker = dates;
  }
  ticker->setTickCount(6);
  for (auto* rect : axisRects()) rect->axis(QCPAxis::atBottom)->setTicker(ticker);
  mark({});
  nameCurves();
}

void CurveChart::lay(const std::optional<DrawnCurve>& curve) {
  if (laid_) removeGraph(graphCount() - 1);
  laid_ = curve;
  if (laid_) line(*laid_, axisRect());
  nameCurves();
}

void CurveChart::nameCurves() {
  for (auto* name : names_) removeItem(name);
  std::vector<EndName> ends;
  const auto end = [&](const DrawnCurve& c) {
    const auto& points = c.curve.points;
    const auto last = std::find_if(points.rbegin(), points.rend(),
                                   [](const CurvePoint& p) { return !std::isnan(p.mean); });
    if (last != points.rend()) ends.push_back({yAxis->coordToPixel(last->mean), c.name, c.colour});
  };
  for (const auto& c : curves_) end(c);
  if (laid_) end(*laid_);
  names_ = nameEnds(*this, std::move(ends));
  replot();
  if (strip_ == nullptr) return;
  // No longer than the strip is high; the layout tells how high that is.
  auto* up = strip_->axis(QCPAxis::atLeft);
  const QString title =
      QFontMetrics(up->labelFont()).elidedText(below_, Qt::ElideMiddle, strip_->height());
  if (title == up->label()) return;
  up->setLabel(title);
  replot();
}

void CurveChart::resizeEvent(QResizeEvent* e) {
  BrushedChart::resizeEvent(e);
  nameCurves();
}

int CurveChart::curveAt(const QPointF& values) const {
  constexpr double kNear = 14;  // pixels
  const double x = xAxis->coordToPixel(values.x()), y = yAxis->coordToPixel(values.y());
  int found = -1;
  double least = kNear;
  for (size_t c = 0; c < curves_.size(); ++c) {
    const auto& points = curves_[c].curve.points;
    for (size_t i = 0; i + 1 < points.size(); ++i) {
      const double x0 = xAxis->coordToPixel(across(points[i].at)),
                   x1 = xAxis->coordToPixel(across(points[i + 1].at));
      if (x < x0 || x > x1 || x0 == x1) continue;
      const double line = std::lerp(yAxis->coordToPixel(points[i].mean),
                                    yAxis->coordToPixel(points[i + 1].mean), (x - x0) / (x1 - x0));
      if (const double d = std::abs(line - y); d < least) least = d, found = static_cast<int>(c);
    }
  }
  return found;
}

}  // namespace zp
