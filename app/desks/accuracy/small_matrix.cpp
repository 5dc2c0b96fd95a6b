#include "desks/accuracy/small_matrix.h"

#include <cmath>

#include "desks/accuracy/percent.h"
#include "desks/accuracy/tint.h"

namespace zp {
namespace {

constexpr int kName = 100, kAccuracy = 52, kHigh = 22, kLine = 23;

}  // namespace

SmallMatrix::SmallMatrix(QWidget* parent) : QWidget(parent) {
  setAccessibleName(txt("Confusion matrix"));
}

void SmallMatrix::set(const ConfusionMatrix& m, const Assessment& a, const Legend& legend) {
  matrix_ = m;
  assessment_ = a;
  legend_ = legend;
  setFixedHeight(static_cast<int>(m.codes.size()) * kHigh + 2);
  update();
}

void SmallMatrix::paintEvent(QPaintEvent*) {
  const auto k = static_cast<int>(matrix_.codes.size());
  if (k == 0) return;
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  for (int r = 0; r < k; ++r) {
    const auto i = static_cast<size_t>(r);
    const int y = r * kHigh;
    const auto* c = legend_.find(matrix_.codes[i]);
    p.setPen(Qt::NoPen);
    p.setBrush(c != nullptr ? toQt(c->colour) : tokens().second);
    p.drawRoundedRect(QRectF(0, y + 5, 11, 11), 2, 2);
    p.setPen(tokens().text);
    p.setFont(textFont(9));
    p.drawText(QRect(17, y, kName - 20, kHigh), Qt::AlignVCenter,
               p.fontMetrics().elidedText(q(matrix_.names[i]), Qt::ElideRight, kName - 20));
    p.setFont(figureFont(8));
    for (int column = 0; column < k; ++column) {
      const auto j = static_cast<size_t>(column);
      const bool any = matrix_.counts[i][j] > 0;
      if (any) p.fillRect(cellRect(i, j), matrixTint(assessment_, i, j));
      p.setPen(any ? tokens().text : tokens().second);
      p.drawText(cellRect(i, j), Qt::AlignCenter, cellText(i, j));
    }
    p.setPen(tokens().second);
    p.setFont(figureFont(9));
    p.drawText(QRect(cellRect(i, 0).left() + k * (cellRect(i, 0).width() + 1), y, kAccuracy, kHigh),
               Qt::AlignRight | Qt::AlignVCenter, percent(assessment_.users[i].value));
  }
}

QString SmallMatrix::cellText(size_t i, size_t j) const {
  if (matrix_.counts[i][j] == 0) return "·";
  const double share = 100 * assessment_.shares[i][j];
  return assessment_.weighted ? decimal(share, share < 9.95 ? 1 : 0)
                              : grouped(matrix_.counts[i][j]);
}

QRect SmallMatrix::cellRect(size_t i, size_t j) const {
  const auto k = static_cast<int>(matrix_.codes.size());
  const int wide = std::clamp((width() - kName - kAccuracy) / std::max(1, k), 16, 40);
  return QRect(kName + static_cast<int>(j) * wide, static_cast<int>(i) * kHigh, wide - 1,
               kHigh - 1);
}

QList<SpokenPart> SmallMatrix::parts() const {
  QList<SpokenPart> all;
  for (size_t i = 0; i < matrix_.codes.size(); ++i)
    for (size_t j = 0; j < matrix_.codes.size(); ++j)
      all << SpokenPart{txt("map %1, reference %2: %3")
                            .arg(q(matrix_.names[i]), q(matrix_.names[j]), cellText(i, j)),
                        cellRect(i, j)};
  return all;
}

AccuracyDots::AccuracyDots(QWidget* parent) : QWidget(parent) {
  setAccessibleName(txt("User's accuracy of both maps, class by class"));
}

void AccuracyDots::set(std::vector<Line> lines) {
  lines_ = std::move(lines);
  setFixedHeight(static_cast<int>(lines_.size()) * 23 + 2);
  update();
}

QList<SpokenPart> AccuracyDots::parts() const {
  QList<SpokenPart> all;
  for (size_t i = 0; i < lines_.size(); ++i)
    all << SpokenPart{
        lines_[i].name + ": " + percent(lines_[i].first) + ", " + percent(lines_[i].second),
        QRect(0, static_cast<int>(i) * kLine, width(), kLine)};
  return all;
}

void AccuracyDots::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const Tokens& t = tokens();
  constexpr int kFigure = 50;
  const double x = 130, w = width() - x - kFigure - 12;
  for (size_t i = 0; i < lines_.size(); ++i) {
    const Line& line = lines_[i];
    const double top = static_cast<double>(i) * kLine, y = top + kLine / 2.0;
    p.setPen(Qt::NoPen);
    p.setBrush(line.colour);
    p.drawRoundedRect(QRectF(0, y - 5.5, 11, 11), 2, 2);
    p.setPen(t.text);
    p.setFont(textFont(9.5));
    p.drawText(QRectF(18, top, x - 26, kLine), Qt::AlignVCenter,
               p.fontMetrics().elidedText(line.name, Qt::ElideRight, static_cast<int>(x - 26)));
    p.setPen(QPen(t.hairline, 2));
    p.drawLine(QPointF(x, y), QPointF(x + w, y));
    const bool both = !std::isnan(line.first) && !std::isnan(line.second);
    p.setPen(QPen(t.accent, 2));
    if (both) p.drawLine(QPointF(x + w * line.first, y), QPointF(x + w * line.second, y));
    p.setPen(QPen(t.second, 1.5));
    p.setBrush(t.panel);
    if (!std::isnan(line.first)) p.drawEllipse(QPointF(x + w * line.first, y), 4.5, 4.5);
    p.setPen(Qt::NoPen);
    p.setBrush(t.accent);
    if (!std::isnan(line.second)) p.drawEllipse(QPointF(x + w * line.second, y), 4.5, 4.5);
    p.setPen(t.text);
    p.setFont(figureFont(9.5));
    const double points = 100 * (line.second - line.first);
    const QString figure = !both                    ? QString("–")
                           : std::abs(points) < 0.5 ? QString("·")
                           : points > 0             ? "+" + decimal(points, 0)
                                                    : decimal(points, 0);
    p.drawText(QRectF(width() - kFigure, top, kFigure, kLine), Qt::AlignRight | Qt::AlignVCenter,
               figure);
  }
}

}  // namespace zp
