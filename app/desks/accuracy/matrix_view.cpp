#include "desks/accuracy/matrix_view.h"

#include "desks/accuracy/percent.h"

namespace zp {
namespace {

constexpr int kNames = 122, kHead = 92, kMargins = 250, kFoot = 34;

QColor mixed(const QColor& a, const QColor& b, double share) {
  const auto part = [share](float from, float to) {
    return static_cast<float>(from + share * (to - from));
  };
  return QColor::fromRgbF(part(a.redF(), b.redF()), part(a.greenF(), b.greenF()),
                          part(a.blueF(), b.blueF()));
}

}  // namespace

MatrixView::MatrixView(QWidget* parent) : QWidget(parent) {
  setObjectName("matrixView");
  setAccessibleName(txt("Confusion matrix"));
  setFocusPolicy(Qt::StrongFocus);
  setMinimumSize(520, 320);
}

void MatrixView::setMatrix(const ConfusionMatrix& m, const Legend& legend) {
  matrix_ = m;
  legend_ = legend;
  chosen_ = {-1, -1};
  update();
}

void MatrixView::setShow(Show show) {
  show_ = show;
  update();
}

void MatrixView::setIntervals(bool on) {
  intervals_ = on;
  update();
}

int MatrixView::cellWidth() const {
  return std::clamp(
      (width() - kNames - kMargins) / std::max(1, static_cast<int>(matrix_.codes.size())), 30, 72);
}

int MatrixView::cellHeight() const {
  return std::clamp(
      (height() - kHead - kFoot) / std::max(1, static_cast<int>(matrix_.codes.size())), 20, 40);
}

QRect MatrixView::cellRect(size_t map, size_t reference) const {
  return QRect(kNames + static_cast<int>(reference) * cellWidth(),
               kHead + static_cast<int>(map) * cellHeight(), cellWidth() - 1, cellHeight() - 1);
}

QString MatrixView::cellText(size_t i, size_t j) const {
  const size_t n = matrix_.counts[i][j];
  if (n == 0) return "·";
  if (show_ == Show::Counts) return grouped(n);
  const size_t all = show_ == Show::RowShares ? matrix_.rowTotal(i) : matrix_.columnTotal(j);
  return decimal(100.0 * static_cast<double>(n) / static_cast<double>(all), 0);
}

QColor MatrixView::colourOf(size_t i) const {
  const auto* c = legend_.find(matrix_.codes[i]);
  return c != nullptr ? toQt(c->colour) : tokens().second;
}

/// What agrees and what does not, the more the stronger.
QColor MatrixView::tint(size_t i, size_t j, size_t most) const {
  const bool light = currentLook() == "daylight";
  const auto n = static_cast<double>(matrix_.counts[i][j]);
  const size_t all = std::max(matrix_.rowTotal(i), matrix_.columnTotal(j));
  if (i == j)
    return mixed(tokens().panel, light ? QColor("#9c86d8") : QColor("#8a74c8"),
                 0.35 + 0.5 * n / static_cast<double>(std::max<size_t>(1, all)));
  return mixed(tokens().panel, light ? QColor("#d98a68") : QColor("#a8543c"),
               0.22 + 0.5 * n / static_cast<double>(most));
}

void MatrixView::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const size_t k = matrix_.codes.size();
  if (k == 0) return;
  size_t most = 1;
  for (size_t i = 0; i < k; ++i)
    for (size_t j = 0; j < k; ++j)
      if (i != j) most = std::max(most, matrix_.counts[i][j]);
  paintHeads(p);
  for (size_t i = 0; i < k; ++i) {
    paintRow(p, i, most);
    paintUsers(p, i);
  }
  paintProducers(p);
  if (chosen_.first < 0) return;
  p.setBrush(Qt::NoBrush);
  p.setPen(QPen(tokens().text, 2));
  p.drawRect(cellRect(static_cast<size_t>(chosen_.first), static_cast<size_t>(chosen_.second))
                 .adjusted(-1, -1, 1, 1));
}

/// Column heads, slanted, and those of the margins.
void MatrixView::paintHeads(QPainter& p) const {
  for (size_t j = 0; j < matrix_.codes.size(); ++j) {
    p.save();
    p.translate(cellRect(0, j).center().x() - 2, kHead - 8);
    p.rotate(-45);
    p.setFont(textFont(9.5));
    p.setPen(tokens().text);
    p.drawText(0, 0, p.fontMetrics().elidedText(q(matrix_.names[j]), Qt::ElideRight, 110));
    p.restore();
  }
  p.setFont(textFont(9));
  p.setPen(tokens().second);
  p.drawText(QRect(right() + 2, kHead - 24, 52, 18), Qt::AlignRight, txt("points"));
  p.drawText(QRect(right() + 70, kHead - 24, 160, 18), Qt::AlignLeft, txt("user's accuracy"));
}

void MatrixView::paintRow(QPainter& p, size_t i, size_t most) const {
  const Tokens& t = tokens();
  const QRect first = cellRect(i, 0);
  p.setPen(Qt::NoPen);
  p.setBrush(colourOf(i));
  p.drawRoundedRect(QRectF(2, first.center().y() - 5, 11, 11), 2, 2);
  p.setPen(t.text);
  p.setFont(textFont(9.5));
  p.drawText(QRect(21, first.top(), kNames - 26, first.height()), Qt::AlignVCenter,
             p.fontMetrics().elidedText(q(matrix_.names[i]), Qt::ElideRight, kNames - 26));
  p.setFont(figureFont(9.5));
  for (size_t j = 0; j < matrix_.codes.size(); ++j) {
    const bool any = matrix_.counts[i][j] > 0;
    if (any) p.fillRect(cellRect(i, j), tint(i, j, most));
    p.setPen(any ? t.text : t.second);
    p.drawText(cellRect(i, j), Qt::AlignCenter, cellText(i, j));
  }
}

/// How many points a row has, and its user's accuracy with the interval.
void MatrixView::paintUsers(QPainter& p, size_t i) const {
  const Tokens& t = tokens();
  const QRect row = cellRect(i, 0);
  const Estimate u = matrix_.users(i);
  p.setPen(t.text);
  p.setFont(figureFont(9.5));
  p.drawText(QRect(right() + 2, row.top(), 52, row.height()), Qt::AlignRight | Qt::AlignVCenter,
             grouped(matrix_.rowTotal(i)));
  if (std::isnan(u.value)) return;
  const double x = right() + 70, w = 104, y = row.center().y() + 0.5;
  p.setPen(QPen(t.hairline, 2));
  p.drawLine(QPointF(x, y), QPointF(x + w, y));
  p.setPen(QPen(t.accent, 4, Qt::SolidLine, Qt::RoundCap));
  if (intervals_) p.drawLine(QPointF(x + w * u.low, y), QPointF(x + w * u.high, y));
  p.setPen(QPen(t.panel, 1));
  p.setBrush(t.text);
  p.drawEllipse(QPointF(x + w * u.value, y), 4.5, 4.5);
  p.setPen(t.text);
  p.drawText(QRect(right() + 180, row.top(), 60, row.height()), Qt::AlignRight | Qt::AlignVCenter,
             percent(u.value));
}

void MatrixView::paintProducers(QPainter& p) const {
  const int foot = kHead + static_cast<int>(matrix_.codes.size()) * cellHeight() + 4;
  p.setPen(tokens().second);
  p.setFont(textFont(9));
  p.drawText(QRect(0, foot - 4, kNames - 6, 30), Qt::AlignVCenter | Qt::TextWordWrap,
             txt("producer's accuracy"));
  p.setPen(tokens().text);
  p.setFont(figureFont(9));
  for (size_t j = 0; j < matrix_.codes.size(); ++j) {
    const QRect c = cellRect(0, j);
    p.drawText(QRect(c.left() - 6, foot, c.width() + 12, 20), Qt::AlignCenter,
               percent(matrix_.producers(j).value));
  }
}

void MatrixView::choose(int map, int reference) {
  const int last = static_cast<int>(matrix_.codes.size()) - 1;
  if (last < 0) return;
  chosen_ = {std::clamp(map, 0, last), std::clamp(reference, 0, last)};
  update();
  Q_EMIT cellChosen(chosen_.first, chosen_.second);
}

void MatrixView::mousePressEvent(QMouseEvent* e) {
  for (size_t i = 0; i < matrix_.codes.size(); ++i)
    for (size_t j = 0; j < matrix_.codes.size(); ++j)
      if (cellRect(i, j).contains(e->position().toPoint()))
        return choose(static_cast<int>(i), static_cast<int>(j));
}

void MatrixView::keyPressEvent(QKeyEvent* e) {
  const auto [i, j] = chosen_;
  switch (e->key()) {
    case Qt::Key_Up:
      return choose(i - 1, j);
    case Qt::Key_Down:
      return choose(i + 1, j);
    case Qt::Key_Left:
      return choose(i, j - 1);
    case Qt::Key_Right:
      return choose(i, j + 1);
    default:
      QWidget::keyPressEvent(e);
  }
}

int MatrixView::right() const {
  return kNames + static_cast<int>(matrix_.codes.size()) * cellWidth();
}

}  // namespace zp
