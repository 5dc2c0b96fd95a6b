#include "charts/histogram_stack.h"

#include "look/look.h"

namespace zp {
namespace {

constexpr int kNarrowest = 84, kWidest = 150, kTallest = 52, kMark = 62;

}  // namespace

HistogramStack::HistogramStack(QWidget* parent) : QWidget(parent) {
  setObjectName("histogramStack");
  setAccessibleName(txt("Histograms of the class, one a feature"));
  setMinimumHeight(80);
}

void HistogramStack::show(std::vector<Row> rows, const QColor& colour) {
  rows_ = std::move(rows);
  const QFontMetrics font(textFont(9));
  names_ = kNarrowest;
  for (const auto& row : rows_)
    names_ = std::clamp(font.horizontalAdvance(row.name) + 12, names_, kWidest);
  colour_ = colour;
  update();
}

QRect HistogramStack::rowAt(int i) const {
  const int count = std::max(1, static_cast<int>(rows_.size()));
  const int high = std::clamp(height() / count, 6, kTallest);
  return {0, i * high, width(), high - 3};
}

void HistogramStack::paintRow(QPainter& p, const Row& row, QRect place) const {
  const Tokens& t = tokens();
  const bool roomy = place.height() >= 12;
  p.setFont(textFont(roomy ? 9 : 7));
  p.setPen(t.text);
  const QRect name(place.left(), place.top(), names_ - 8, place.height());
  p.drawText(name, Qt::AlignVCenter | Qt::AlignLeft,
             p.fontMetrics().elidedText(row.name, Qt::ElideMiddle, name.width()));
  const QRectF plot(names_, place.top(), place.width() - names_ - kMark, place.height());
  p.setPen(t.hairline);
  p.drawLine(plot.bottomLeft(), plot.bottomRight());
  const auto bars = static_cast<double>(row.shape.size());
  p.setPen(Qt::NoPen);
  p.setBrush(colour_);
  for (size_t b = 0; b < row.shape.size(); ++b) {
    const double high = row.shape[b] * (plot.height() - 1);
    p.drawRect(QRectF(plot.left() + plot.width() * static_cast<double>(b) / bars,
                      plot.bottom() - high, plot.width() / bars - 1, high));
  }
  if (!row.over.empty()) {
    QPolygonF line;
    const auto parts = static_cast<double>(row.over.size());
    for (size_t b = 0; b < row.over.size(); ++b)
      for (const double side : {0.0, 1.0})
        line << QPointF(plot.left() + plot.width() * (static_cast<double>(b) + side) / parts,
                        plot.bottom() - row.over[b] * (plot.height() - 1));
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(t.text, 1.4));
    p.drawPolyline(line);
  }
  const QRect mark(place.right() - kMark + 8, place.top(), kMark - 8, place.height());
  p.setFont(textFont(8));
  p.setPen(row.peaks ? t.warning : t.second);
  if (roomy && row.peaks) p.drawText(mark, Qt::AlignVCenter | Qt::AlignLeft, txt("two peaks"));
  if (roomy && row.shape.empty()) p.drawText(plot, Qt::AlignVCenter, txt("does not vary"));
}

QString HistogramStack::told(const Row& row) {
  return txt("%1, from %2 to %3").arg(row.name, row.low, row.high);
}

QList<SpokenPart> HistogramStack::parts() const {
  QList<SpokenPart> all;
  for (int i = 0; i < static_cast<int>(rows_.size()); ++i)
    all << SpokenPart{told(rows_[static_cast<size_t>(i)]), rowAt(i)};
  return all;
}

void HistogramStack::paintEvent(QPaintEvent*) {
  QPainter p(this);
  for (int i = 0; i < static_cast<int>(rows_.size()); ++i)
    paintRow(p, rows_[static_cast<size_t>(i)], rowAt(i));
}

bool HistogramStack::event(QEvent* e) {
  if (e->type() != QEvent::ToolTip) return QWidget::event(e);
  const auto* help = static_cast<QHelpEvent*>(e);
  for (int i = 0; i < static_cast<int>(rows_.size()); ++i) {
    const Row& row = rows_[static_cast<size_t>(i)];
    if (rowAt(i).contains(help->pos())) QToolTip::showText(help->globalPos(), told(row), this);
  }
  return true;
}

}  // namespace zp
