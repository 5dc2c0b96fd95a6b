#include "charts/tinted_grid.h"

#include "look/look.h"

namespace zp {
namespace {

constexpr int kNarrowCell = 62, kWidestName = 112, kHead = 18, kWideCell = 60, kTallCell = 26;
constexpr double kDarkest = 0.42;  // of a tint that figures still stand out from

}  // namespace

TintedGrid::TintedGrid(QWidget* parent) : QWidget(parent) {
  setMinimumSize(180, 120);
  setObjectName("tintedGrid");
}

void TintedGrid::show(const QStringList& names, const Eigen::MatrixXd& values,
                      const Eigen::MatrixXd& full, int decimals) {
  names_ = names;
  const QFontMetrics font(textFont(8.5));
  before_ = kNarrowCell;
  for (const auto& name : names)
    before_ = std::clamp(font.horizontalAdvance(name) + 8, before_, kWidestName);
  values_ = values;
  full_ = full;
  decimals_ = decimals;
  update();
}

QRect TintedGrid::cell(int row, int column) const {
  const int n = std::max(1, static_cast<int>(names_.size()));
  const int wide = std::clamp((width() - before_) / n, 3, kWideCell),
            high = std::clamp((height() - kHead) / n, 3, kTallCell);
  return {before_ + column * wide, kHead + row * high, wide - 1, high - 1};
}

/// Small figures in powers of ten, so that a cell holds them.
QString TintedGrid::figure(int row, int column) const {
  const double v = values_(row, column);
  if (std::isnan(v)) return {};
  return decimals_ > 0 ? decimal(v, decimals_) : QString::number(v, 'e', 0);
}

QString TintedGrid::told(int row, int column) const {
  return txt("%1 with %2: %3").arg(names_[row], names_[column], figure(row, column));
}

QList<SpokenPart> TintedGrid::parts() const {
  QList<SpokenPart> all;
  for (int i = 0; i < static_cast<int>(names_.size()); ++i)
    for (int j = 0; j < static_cast<int>(names_.size()); ++j)
      all << SpokenPart{told(i, j), cell(i, j)};
  return all;
}

void TintedGrid::paintEvent(QPaintEvent*) {
  const Tokens& t = tokens();
  QPainter p(this);
  const int n = static_cast<int>(names_.size());
  p.setFont(textFont(8.5));
  const QRect first = cell(0, 0);
  for (int i = 0; i < n; ++i) {
    p.setPen(t.second);
    const QRect row(0, cell(i, 0).top(), before_ - 6, first.height()),
        head(cell(0, i).left(), 0, first.width(), kHead);
    if (first.height() >= 10)
      p.drawText(row, Qt::AlignVCenter | Qt::AlignRight,
                 p.fontMetrics().elidedText(names_[i], Qt::ElideMiddle, row.width()));
    if (first.width() >= 34)
      p.drawText(head, Qt::AlignCenter,
                 p.fontMetrics().elidedText(names_[i], Qt::ElideMiddle, head.width()));
  }
  p.setFont(figureFont(8));
  for (int i = 0; i < n; ++i)
    for (int j = 0; j < n; ++j) {
      const double v = values_(i, j), full = full_(i, j);
      const QRect at = cell(i, j);
      QColor tint = v < 0 ? t.second : t.accent;
      tint.setAlphaF(static_cast<float>(
          full > 0 && !std::isnan(v) ? kDarkest * std::min(1.0, std::abs(v) / full) : 0));
      p.fillRect(at, t.raised);
      p.fillRect(at, tint);
      p.setPen(t.text);
      const QString text = figure(i, j);
      if (p.fontMetrics().horizontalAdvance(text) + 4 <= at.width() && at.height() >= 11)
        p.drawText(at, Qt::AlignCenter, text);
    }
}

bool TintedGrid::event(QEvent* e) {
  if (e->type() != QEvent::ToolTip) return QWidget::event(e);
  const auto* help = static_cast<QHelpEvent*>(e);
  const int n = static_cast<int>(names_.size());
  for (int i = 0; i < n; ++i)
    for (int j = 0; j < n; ++j)
      if (cell(i, j).contains(help->pos())) QToolTip::showText(help->globalPos(), told(i, j), this);
  return true;
}

}  // namespace zp
