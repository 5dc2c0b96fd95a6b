#include "charts/relation_chart.h"

#include "look/look.h"

namespace zp {

RelationChart::RelationChart(QWidget* parent) : BrushedChart(parent) {
  setObjectName("relationChart");
  setAccessibleName(txt("One quantity against another"));
}

namespace {
constexpr qsizetype kMany = 5000;

/// The many dots of a big table are small squares, which are painted fast.
void drawDots(QCPGraph& graph, const QVector<double>& x, const QVector<double>& y,
              const QColor& colour, double size, bool many) {
  constexpr double kSmall = 2.5;
  graph.setAntialiasedScatters(!many);
  graph.setScatterStyle(many ? QCPScatterStyle(QCPScatterStyle::ssSquare, Qt::NoPen, colour, kSmall)
                             : QCPScatterStyle(QCPScatterStyle::ssDisc, colour, size));
  graph.setData(x, y);
}
}  // namespace

QCPGraph* RelationChart::dots() {
  auto* graph = addGraph();
  graph->setLineStyle(QCPGraph::lsNone);
  return graph;
}

void RelationChart::addDots() {
  std::map<QRgb, std::pair<QVector<double>, QVector<double>>> byColour;
  for (size_t i = 0; i < x_.size(); ++i) {
    if (std::isnan(x_[i]) || std::isnan(y_[i])) continue;
    auto& [xs, ys] = byColour[colours_[i].rgba()];
    xs << x_[i];
    ys << y_[i];
  }
  for (const auto& [colour, places] : byColour)
    drawDots(*dots(), places.first, places.second, QColor::fromRgba(colour), 6,
             static_cast<qsizetype>(x_.size()) > kMany);
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
  rings_ = dots();
  inner_ = dots();
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
  if (rings_ != nullptr) {
    const bool many = xs.size() > kMany;
    drawDots(*rings_, many ? QVector<double>() : xs, many ? QVector<double>() : ys, tokens().text,
             10, many);
    drawDots(*inner_, xs, ys, tokens().accent, 7, many);
  }
  replot();
}

}  // namespace zp
