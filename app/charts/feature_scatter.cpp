#include "charts/feature_scatter.h"

#include "look/look.h"
#include "training/ellipse.h"

namespace zp {

FeatureScatter::FeatureScatter(QWidget* parent) : Chart(parent) {
  setObjectName("featureScatter");
  setAccessibleName(txt("Training pixels in two features"));
  setSelectionRectMode(QCP::srmCustom);
  selectionRect()->setPen(QPen(tokens().accent, 1));
  QColor fill = tokens().accent;
  fill.setAlpha(40);
  selectionRect()->setBrush(fill);
  connect(selectionRect(), &QCPSelectionRect::accepted, this, [this](const QRect& drawn) {
    QRectF values;
    if (drawn.width() > 3 && drawn.height() > 3)
      values =
          QRectF(QPointF(xAxis->pixelToCoord(drawn.left()), yAxis->pixelToCoord(drawn.bottom())),
                 QPointF(xAxis->pixelToCoord(drawn.right()), yAxis->pixelToCoord(drawn.top())));
    mark(values);
    Q_EMIT brushed(values);
  });
}

void FeatureScatter::mousePressEvent(QMouseEvent* e) {
  pressed_ = e->position().toPoint();
  Chart::mousePressEvent(e);
}

/// A mere click takes back what was chosen.
void FeatureScatter::mouseReleaseEvent(QMouseEvent* e) {
  Chart::mouseReleaseEvent(e);
  if (mark_ == nullptr || (e->position().toPoint() - pressed_).manhattanLength() > 3) return;
  mark({});
  Q_EMIT brushed({});
}

QPoint FeatureScatter::pointOf(double x, double y) const {
  return {static_cast<int>(xAxis->coordToPixel(x)), static_cast<int>(yAxis->coordToPixel(y))};
}

void FeatureScatter::mark(const QRectF& values) {
  if (mark_ != nullptr) removeItem(std::exchange(mark_, nullptr));
  if (!values.isEmpty()) {
    mark_ = new QCPItemRect(this);
    mark_->setPen(QPen(tokens().accent, 1.4));
    mark_->topLeft->setCoords(values.left(), values.bottom());
    mark_->bottomRight->setCoords(values.right(), values.top());
  }
  replot();
}

/// Of a class with more, evenly many are drawn.
void FeatureScatter::addDots(const Samples& samples, int code, size_t x, size_t y,
                             const QColor& colour, bool strong) {
  constexpr size_t kDots = 1500;
  size_t count = 0;
  for (const int c : samples.codes) count += c == code ? 1 : 0;
  const size_t step = count / kDots + 1;
  QVector<double> xs, ys;
  size_t n = 0;
  for (size_t i = 0; i < samples.size(); ++i)
    if (samples.codes[i] == code && n++ % step == 0) {
      xs << static_cast<double>(samples.sample(i)[x]);
      ys << static_cast<double>(samples.sample(i)[y]);
    }
  auto* dots = addGraph();
  dots->setLineStyle(QCPGraph::lsNone);
  QColor dim = colour;
  dim.setAlpha(strong ? 200 : 90);
  dots->setScatterStyle(QCPScatterStyle(QCPScatterStyle::ssDisc, dim, strong ? 3.4 : 2.4));
  dots->setData(xs, ys);
}

void FeatureScatter::addEllipse(const Signature& s, size_t x, size_t y, const QColor& colour,
                                bool strong) {
  auto* curve = new QCPCurve(xAxis, yAxis);
  QVector<double> xs, ys;
  for (const Place& p : ellipseOf(s, x, y)) xs << p.x, ys << p.y;
  curve->setData(xs, ys);
  curve->setPen(QPen(strong ? tokens().text : colour, strong ? 2 : 1.4));
}

void FeatureScatter::show(const Samples& samples, const SignatureSet& set, const Legend& colours,
                          size_t x, size_t y, int chosen) {
  clearPlottables();
  mark({});
  const auto colourOf = [&](int code) {
    const auto* known = colours.find(code);
    return known == nullptr ? tokens().second : toQt(known->colour);
  };
  for (const bool strong : {false, true})  // the chosen one over the others
    for (const auto& c : set.classes)
      if ((c.code == chosen) == strong) addDots(samples, c.code, x, y, colourOf(c.code), strong);
  for (const bool strong : {false, true})
    for (const auto& c : set.classes)
      if ((c.code == chosen) == strong) addEllipse(c, x, y, colourOf(c.code), strong);
  setTitles(q(set.bands[x]), q(set.bands[y]));
  rescaleAxes();
  xAxis->scaleRange(1.08);
  yAxis->scaleRange(1.08);
  for (auto* axis : {xAxis, yAxis}) axis->ticker()->setTickCount(4);
  replot();
}

}  // namespace zp
