#include "charts/bar_list.h"

#include "look/look.h"

namespace zp {

BarList::BarList(QWidget* parent) : QWidget(parent) {
  setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

int BarList::rowHeight() const {
  return QFontMetrics(textFont(9)).height() + 4;
}

QSize BarList::sizeHint() const {
  return {160, rowHeight() * static_cast<int>(bars_.size())};
}

void BarList::setBars(const QList<Bar>& bars) {
  bars_ = bars;
  updateGeometry();
  update();
}

QList<SpokenPart> BarList::parts() const {
  QList<SpokenPart> all;
  for (int i = 0; i < bars_.size(); ++i)
    all << SpokenPart{bars_[i].name + ": " + bars_[i].figure,
                      QRect(0, i * rowHeight(), width(), rowHeight())};
  return all;
}

void BarList::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const QFontMetrics words(textFont(9)), figures(figureFont(9));
  double most = 0;
  int wide = 0;
  for (const auto& b : bars_) {
    most = std::max(most, b.value);
    wide = std::max(wide, figures.horizontalAdvance(b.figure));
  }
  const int h = rowHeight(), names = width() * 2 / 5, room = width() - names - wide - 20;
  for (int i = 0; i < bars_.size(); ++i) {
    const Bar& b = bars_[i];
    const QRect row(0, i * h, width(), h);
    p.setFont(textFont(9));
    p.setPen(tokens().text);
    p.drawText(row.adjusted(0, 0, names - width() - 6, 0), Qt::AlignVCenter | Qt::AlignLeft,
               words.elidedText(b.name, Qt::ElideRight, names - 6));
    p.setPen(Qt::NoPen);
    p.setBrush(tokens().accent);
    const double length = most > 0 ? room * b.value / most : 0;
    p.drawRoundedRect(QRectF(names, row.center().y() - 2, std::max(2.0, length), 6), 3, 3);
    p.setFont(figureFont(9));
    p.setPen(tokens().text);
    p.drawText(row, Qt::AlignVCenter | Qt::AlignRight, b.figure);
  }
}

}  // namespace zp
