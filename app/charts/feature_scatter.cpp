#include "charts/feature_scatter.h"

#include "look/look.h"
#include "training/ellipse.h"

namespace zp {

FeatureScatter::FeatureScatter(QWidget* parent) : BrushedChart(parent) {
  setObjectName("featureScatter");
  setAccessibleName(txt("Training pixels in two features"));
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
