#include "charts/chart.h"

#include "look/look.h"

namespace zp {

Chart::Chart(QWidget* parent) : QCustomPlot(parent) {
  setMinimumHeight(80);
  restyle();
}

void Chart::restyle() {
  const Tokens& t = tokens();
  setBackground(QBrush(t.panel));
  for (auto* rect : axisRects()) {
    rect->setBackground(QBrush(Qt::NoBrush));
    auto *across = rect->axis(QCPAxis::atBottom), *up = rect->axis(QCPAxis::atLeft);
    for (auto* axis : {across, up}) {
      axis->setBasePen(QPen(t.hairline));
      axis->setTickPen(Qt::NoPen);
      axis->setSubTickPen(Qt::NoPen);
      axis->setTickLabelColor(t.second);
      axis->setTickLabelFont(textFont(8.5));
      axis->setLabelColor(t.second);
      axis->setLabelFont(textFont(8.5));
      axis->grid()->setPen(QPen(t.hairline, 1));
      axis->grid()->setZeroLinePen(Qt::NoPen);
    }
    across->grid()->setVisible(false);
    up->setBasePen(Qt::NoPen);
  }
  setNoAntialiasingOnDrag(true);
}

void Chart::setTitles(const QString& x, const QString& y) {
  xAxis->setLabel(x);
  yAxis->setLabel(y);
  if (accessibleName().isEmpty())
    setAccessibleName(x.isEmpty() ? y : y.isEmpty() ? x : txt("%1 by %2").arg(y, x));
}

ThresholdChart::ThresholdChart(QWidget* parent) : Chart(parent) {
  setObjectName("thresholdChart");
  setAccessibleName(txt("Histogram with thresholds"));
  setFocusPolicy(Qt::StrongFocus);
  setFixedHeight(118);
  yAxis->setTickLabels(false);
  yAxis->grid()->setVisible(false);
  setMouseTracking(true);
}

void ThresholdChart::setHistogram(const Histogram& h) {
  histogram_ = h;
  setToolTip(h.below + h.above == 0
                 ? QString()
                 : txt("%1 pixels lie below %2 and %3 above %4, beyond the axis; the areas count "
                       "them.")
                       .arg(grouped(h.below), compact(h.low), grouped(h.above), compact(h.high)));
  redraw();
}

void ThresholdChart::setCuts(const std::vector<double>& cuts, const std::vector<QColor>& colours) {
  cuts_ = cuts;
  colours_ = colours;
  redraw();
}

void ThresholdChart::redraw() {
  clearPlottables();
  clearItems();
  if (histogram_.bins.empty()) return replot();
  constexpr size_t kShown = 100;
  const size_t per = std::max<size_t>(1, histogram_.bins.size() / kShown);
  const double width = histogram_.binWidth() * static_cast<double>(per);
  const size_t parts = cuts_.size() + 1;
  std::vector<QVector<double>> xs(parts), ys(parts);
  double highest = 0;
  std::vector<double> heights;
  for (size_t i = 0; i + per <= histogram_.bins.size(); i += per) {
    double n = 0;
    for (size_t k = 0; k < per; ++k) n += static_cast<double>(histogram_.bins[i + k]);
    const double x = histogram_.low + (static_cast<double>(i / per) + 0.5) * width;
    size_t part = 0;
    for (double c : cuts_) part += x >= c ? 1 : 0;
    xs[part] << x;
    ys[part] << n;
    heights.push_back(n);
  }
  // One very tall bar (open water, say) must not flatten the rest.
  std::sort(heights.begin(), heights.end());
  if (!heights.empty())
    highest = std::min(heights.back(), 2.2 * heights[heights.size() * 95 / 100] + 1);
  for (size_t p = 0; p < parts; ++p) {
    auto* bars = new QCPBars(xAxis, yAxis);
    bars->setWidth(width * 0.86);
    bars->setPen(Qt::NoPen);
    bars->setBrush(p < colours_.size() ? colours_[p] : tokens().second);
    bars->setData(xs[p], ys[p], true);
  }
  xAxis->setRange(histogram_.low - width, histogram_.high + width);
  // Only the ends are named: the thresholds name themselves.
  QSharedPointer<QCPAxisTickerText> ends(new QCPAxisTickerText);
  const double span = histogram_.high - histogram_.low, inset = span * 0.04;
  for (const auto& [end, at] : {std::pair{histogram_.low, histogram_.low + inset},
                                {histogram_.high, histogram_.high - inset}})
    if (std::none_of(cuts_.begin(), cuts_.end(),
                     [&, at = at](double c) { return std::abs(c - at) < 0.18 * span; }))
      ends->addTick(at, compact(end));
  xAxis->setTicker(ends);
  yAxis->setRange(0, highest * 1.02);
  replot(rpQueuedReplot);
}

QList<SpokenPart> ThresholdChart::parts() const {
  QList<SpokenPart> all;
  for (size_t i = 0; i < cuts_.size(); ++i)
    all << SpokenPart{txt("Threshold %1").arg(compact(cuts_[i])),
                      QRect(cutPosition(i) - QPoint(6, 6), QSize(12, 12)),
                      static_cast<int>(i) == last_};
  return all;
}

QPoint ThresholdChart::cutPosition(size_t i) const {
  return {static_cast<int>(xAxis->coordToPixel(cuts_.at(i))), axisRect()->bottom()};
}

void ThresholdChart::paintEvent(QPaintEvent* e) {
  QCustomPlot::paintEvent(e);
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const Tokens& t = tokens();
  if (brushFrom_ != brushTo_) {
    const double a = xAxis->coordToPixel(brushFrom_), b = xAxis->coordToPixel(brushTo_);
    QColor band = t.accent;
    band.setAlpha(80);
    p.fillRect(QRectF(std::min(a, b), axisRect()->top(), std::abs(b - a), axisRect()->height()),
               band);
  }
  // What lies beyond the axis stands at its ends, counted.
  p.setFont(figureFont(8.5));
  p.setPen(t.second);
  const int top = axisRect()->top() + p.fontMetrics().ascent();
  if (histogram_.below > 0) p.drawText(4, top, "◂ " + grouped(histogram_.below));
  if (histogram_.above > 0) {
    const QString text = grouped(histogram_.above) + " ▸";
    p.drawText(width() - 4 - p.fontMetrics().horizontalAdvance(text), top, text);
  }
  for (size_t i = 0; i < cuts_.size(); ++i) {
    const QPoint foot = cutPosition(i);
    p.setPen(QPen(t.accent, 2));
    p.drawLine(foot.x(), axisRect()->top(), foot.x(), foot.y());
    p.setBrush(t.accent);
    const bool chosen = hasFocus() && static_cast<int>(i) == last_;
    p.setPen(chosen ? QPen(t.text, 2) : Qt::NoPen);
    p.drawEllipse(QPointF(foot), 5.5, 5.5);
    p.setPen(t.text);
    p.setFont(figureFont(9));
    const QString text = compact(cuts_[i]);
    const double w = p.fontMetrics().horizontalAdvance(text);
    const double x = std::clamp(foot.x() - w / 2, 0.0, width() - w);
    p.fillRect(QRectF(x - 3, foot.y() + 7, w + 6, 15), t.panel);
    p.drawText(QPointF(x, foot.y() + 19), text);
  }
}

void ThresholdChart::mousePressEvent(QMouseEvent* e) {
  held_ = -1;
  double nearest = 14;
  for (size_t i = 0; i < cuts_.size(); ++i) {
    const double d = std::abs(e->position().x() - cutPosition(i).x());
    if (d < nearest) nearest = d, held_ = last_ = static_cast<int>(i);
  }
  brushing_ = brushable_ && held_ < 0 && e->button() == Qt::LeftButton;
  if (brushing_) brushFrom_ = brushTo_ = xAxis->pixelToCoord(e->position().x());
  setFocus();
  update();
}

void ThresholdChart::mouseMoveEvent(QMouseEvent* e) {
  if (held_ >= 0)
    return moveCut(static_cast<size_t>(held_), xAxis->pixelToCoord(e->position().x()));
  if (brushing_) {
    brushTo_ = xAxis->pixelToCoord(e->position().x());
    update();
    return Q_EMIT brushed(std::min(brushFrom_, brushTo_), std::max(brushFrom_, brushTo_));
  }
  bool near = false;
  for (size_t i = 0; i < cuts_.size(); ++i)
    near = near || std::abs(e->position().x() - cutPosition(i).x()) < 8;
  setCursor(near ? Qt::SizeHorCursor : Qt::ArrowCursor);
}

void ThresholdChart::mouseReleaseEvent(QMouseEvent*) {
  held_ = -1;
  if (!brushing_) return;
  brushing_ = false;
  if (std::abs(xAxis->coordToPixel(brushTo_) - xAxis->coordToPixel(brushFrom_)) < 3) clearBrush();
}

void ThresholdChart::clearBrush() {
  if (brushFrom_ == 0 && brushTo_ == 0) return;
  brushFrom_ = brushTo_ = 0;
  update();
  Q_EMIT brushed(0, 0);
}

QPoint ThresholdChart::pointOf(double value) const {
  return {static_cast<int>(xAxis->coordToPixel(value)), axisRect()->center().y()};
}

void ThresholdChart::keyPressEvent(QKeyEvent* e) {
  const double step =
      (histogram_.high - histogram_.low) / (e->modifiers() & Qt::ShiftModifier ? 1000 : 200);
  const auto i = static_cast<size_t>(last_);
  if (i < cuts_.size() && e->key() == Qt::Key_Left) return moveCut(i, cuts_[i] - step);
  if (i < cuts_.size() && e->key() == Qt::Key_Right) return moveCut(i, cuts_[i] + step);
  if (e->key() == Qt::Key_Escape && brushFrom_ != brushTo_) return clearBrush();
  QCustomPlot::keyPressEvent(e);
}

void ThresholdChart::moveCut(size_t i, double value) {
  const double gap = (histogram_.high - histogram_.low) / 1000;
  const double low = i > 0 ? cuts_[i - 1] + gap : histogram_.low;
  const double high = i + 1 < cuts_.size() ? cuts_[i + 1] - gap : histogram_.high;
  // To as many digits as a pixel of the chart tells apart.
  const double grain = std::pow(10, std::floor(std::log10(gap)));
  cuts_[i] = std::clamp(std::round(value / grain) * grain, low, high);
  redraw();
  Q_EMIT dragged(cuts_);
}

constexpr double kWidestLabel = 84, kLabelGap = 8;  // of bands, below their axis

SignatureChart::SignatureChart(QWidget* parent) : Chart(parent) {
  setObjectName("signatureChart");
  setAccessibleName(txt("Signature curves"));
  setMinimumHeight(150);
}

void SignatureChart::show(const SignatureSet& set, const std::vector<double>& wavelengths,
                          const Legend& colours, int chosen, const QString& unit) {
  clearPlottables();
  along_ = QVector<double>(wavelengths.begin(), wavelengths.end());
  const auto n = static_cast<Eigen::Index>(wavelengths.size());
  double highest = 0, lowest = 1e30;
  for (const auto& c : set.classes) {
    const auto* known = colours.find(c.code);
    const QColor colour = known != nullptr ? toQt(known->colour) : tokens().second;
    const bool mine = c.code == chosen;
    QVector<double> x, mean, low, high;
    const Eigen::VectorXd sd = c.sd();
    for (Eigen::Index b = 0; b < n; ++b) {
      x << wavelengths[static_cast<size_t>(b)];
      mean << c.mean[b];
      low << c.mean[b] - sd[b];
      high << c.mean[b] + sd[b];
      highest = std::max(highest, c.mean[b] + sd[b]);
      lowest = std::min(lowest, c.mean[b] - sd[b]);
    }
    auto* bottom = addGraph();
    bottom->setPen(Qt::NoPen);
    bottom->setData(x, low);
    auto* top = addGraph();
    top->setPen(Qt::NoPen);
    top->setData(x, high);
    QColor band = colour;
    band.setAlpha(mine ? 90 : 22);
    top->setBrush(band);
    top->setChannelFillGraph(bottom);
    auto* line = addGraph();
    line->setPen(QPen(colour, mine ? 2.6 : 1.5));
    line->setData(x, mean);
  }
  QSharedPointer<QCPAxisTickerText> ticker(new QCPAxisTickerText);
  double last = -1e9;
  const double span = wavelengths.empty() ? 1 : wavelengths.back() - wavelengths.front();
  const QFontMetricsF font(xAxis->tickLabelFont());
  const double pixels = std::max(100, axisRect()->width()) / std::max(1e-9, span);
  double half = 0;
  for (size_t b = 0; b < wavelengths.size(); ++b) {
    const QString label = unit.isEmpty()
                              ? font.elidedText(q(set.bands[b]), Qt::ElideMiddle, kWidestLabel)
                              : QString::number(wavelengths[b], 'f', 0);
    const double needs = font.horizontalAdvance(label) / 2;
    if ((wavelengths[b] - last) * pixels < half + needs + kLabelGap) continue;
    last = wavelengths[b];
    half = needs;
    ticker->addTick(last, label);
  }
  xAxis->setTicker(ticker);
  setTitles(unit.isEmpty() ? txt("Band") : txt("Wavelength, nm"), "");
  if (!wavelengths.empty())
    xAxis->setRange(wavelengths.front() - span * 0.03, wavelengths.back() + span * 0.05);
  yAxis->setRange(std::min(0.0, lowest), highest * 1.05);
  yAxis->ticker()->setTickCount(4);
  replot();
}

void SignatureChart::lay(const Eigen::VectorXd& mean, const QColor& colour, Qt::PenStyle style) {
  if (mean.size() != along_.size()) return;
  auto* line = addGraph();
  line->setPen(QPen(colour, 2.2, style));
  line->setData(along_, QVector<double>(mean.begin(), mean.end()));
  replot();
}

LineChart::LineChart(QWidget* parent) : Chart(parent) {
  setMinimumHeight(90);
}

void LineChart::show(const QVector<double>& x, const QVector<double>& y, const QString& xTitle,
                     const QString& yTitle, bool dates, const QColor& colour) {
  clearPlottables();
  if (dates) {
    QSharedPointer<QCPAxisTickerText> ticker(new QCPAxisTickerText);
    const double range = x.isEmpty() ? 0 : x.back() - x.front();
    const bool years = range > 330 * 86400.0;  // the day alone would not tell them apart
    double next = 1e300;  // the newest date is labelled first; those without room before it are not
    for (auto day = x.rbegin(); day != x.rend(); ++day) {
      if (next - *day < range * (years ? 0.3 : 0.14)) continue;
      next = *day;
      ticker->addTick(*day,
                      languageOfWords().toString(
                          QDateTime::fromSecsSinceEpoch(static_cast<qint64>(*day), Qt::UTC).date(),
                          years ? "d MMM yyyy" : "d MMM"));
    }
    xAxis->setTicker(ticker);
  }
  setTitles(xTitle, yTitle);
  lay(x, y, colour);
}

void LineChart::nameTicks(const QVector<double>& x, const QStringList& names) {
  if (names.isEmpty()) return xAxis->setTicker(QSharedPointer<QCPAxisTicker>(new QCPAxisTicker));
  QSharedPointer<QCPAxisTickerText> ticker(new QCPAxisTickerText);
  for (qsizetype i = 0; i < names.size(); ++i) ticker->addTick(x[i], names[i]);
  xAxis->setTicker(ticker);
}

void LineChart::lay(const QVector<double>& x, const QVector<double>& y, const QColor& colour) {
  auto* line = addGraph();
  line->setPen(QPen(colour, 1.8));
  line->setScatterStyle(QCPScatterStyle(QCPScatterStyle::ssDisc, colour, 5));
  line->setData(x, y);
  rescaleAxes();
  xAxis->scaleRange(1.06, xAxis->range().center());
  yAxis->scaleRange(1.2, yAxis->range().center());
  yAxis->ticker()->setTickCount(3);
  replot();
}

}  // namespace zp
