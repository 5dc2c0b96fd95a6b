#include "charts/relation_chart.h"

#include "look/look.h"

namespace zp {

RelationChart::RelationChart(QWidget* parent) : BrushedChart(parent) {
  setObjectName("relationChart");
  setAccessibleName(txt("One quantity against another"));
}

QCPGraph* RelationChart::dots(const QColor& colour, double size) {
  auto* graph = addGraph();
  graph->setLineStyle(QCPGraph::lsNone);
  graph->setScatterStyle(QCPScatterStyle(QCPScatterStyle::ssDisc, colour, size));
  return graph;
}

/// The many dots of a big table are small ones.
void RelationChart::addDots() {
  constexpr size_t kMany = 5000;
  std::map<QRgb, std::pair<QVector<double>, QVector<double>>> byColour;
  for (size_t i = 0; i < x_.size(); ++i) {
    if (std::isnan(x_[i]) || std::isnan(y_[i])) continue;
    auto& [xs, ys] = byColour[colours_[i].rgba()];
    xs << x_[i];
    ys << y_[i];
  }
  for (const auto& [colour, places] : byColour)
    dots(QColor::fromRgba(colour), x_.size() > kMany ? 2.5 : 6)
        ->setData(places.first, places.second);
}

void RelationChart::addLine(const Line& line) {
  constexpr int kSteps = 60;
  QVector<double> xs, ys, low, high;
  for (int i = 0; i <= kSteps; ++i) {
    const double x = line.lowest + (line.highest - line.lowest) * i / kSteps;
    xs << x;
    ys << line.at(x);
    low << line.at(x) - line.halfBand(x);
    high << line.at(x) + line.halfBand(x);
  }
  auto* below = addGraph();
  auto* above = addGraph();
  auto* middle = addGraph();
  below->setData(xs, low, true);
  above->setData(xs, high, true);
  middle->setData(xs, ys, true);
  QColor band = tokens().text;
  band.setAlpha(45);
  for (auto* edge : {below, above}) edge->setPen(Qt::NoPen);
  above->setBrush(band);
  above->setChannelFillGraph(below);
  middle->setPen(QPen(tokens().text, 1.6));
}

void RelationChart::show(const std::vector<double>& x, const std::vector<double>& y,
                         const std::vector<QColor>& colours, const std::optional<Line>& line) {
  clearPlottables();
  x_ = x, y_ = y, colours_ = colours;
  addDots();
  if (graphCount() > 0) rescaleAxes();
  if (line) addLine(*line);
  rings_ = dots(tokens().text, 10);
  inner_ = dots(tokens().accent, 7);
  xAxis->scaleRange(1.06);
  yAxis->scaleRange(1.10);
  for (auto* axis : {xAxis, yAxis}) axis->ticker()->setTickCount(5);
  mark({});
}

void RelationChart::choose(const std::vector<bool>& chosen) {
  QVector<double> xs, ys;
  for (size_t i = 0; i < x_.size() && i < chosen.size(); ++i)
    if (chosen[i] && !std::isnan(x_[i]) && !std::isnan(y_[i])) {
      xs << x_[i];
      ys << y_[i];
    }
  for (auto* graph : {rings_, inner_})
    if (graph != nullptr) graph->setData(xs, ys);
  replot();
}

}  // namespace zp
