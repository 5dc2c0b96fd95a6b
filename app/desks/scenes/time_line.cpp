#include "desks/scenes/time_line.h"

#include "look/look.h"

namespace zp {

namespace {
constexpr int kTop = 22, kRow = 28, kNames = 58, kUndated = 20;
}

TimeLine::TimeLine(QWidget* parent) : QWidget(parent) {
  setObjectName("timeLine");
  setAccessibleName(txt("Scenes by date"));
  setFocusPolicy(Qt::StrongFocus);
  setMouseTracking(true);
  setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

QSize TimeLine::sizeHint() const {
  return {300, kTop + kRow * static_cast<int>(std::max<qsizetype>(1, rows_.size())) + 4};
}

void TimeLine::setMarks(std::vector<Mark> marks) {
  std::stable_sort(marks.begin(), marks.end(),
                   [](const Mark& a, const Mark& b) { return a.date < b.date; });
  marks_ = std::move(marks);
  rows_.clear();
  for (const auto& m : marks_)
    if (!rows_.contains(m.row)) rows_ << m.row;
  rows_.sort();
  setFixedHeight(sizeHint().height());
  layOut();
  update();
}

void TimeLine::setChosen(const QString& id) {
  chosen_ = id;
  update();
  spokenChanged(this);
}

QPoint TimeLine::markOf(const QString& id) const {
  const auto at = places_.find(id);
  return at == places_.end() ? QPoint() : at->second.toPoint();
}

/// Seasons share the width by their months; two of them are parted by a fold.
void TimeLine::layOut() {
  seasons_.clear();
  bool undated = false;
  for (const auto& m : marks_) {
    if (!m.date.isValid()) {
      undated = true;
      continue;
    }
    const QDate month(m.date.year(), m.date.month(), 1);
    if (seasons_.empty() || month > seasons_.back().to.addMonths(7))
      seasons_.push_back({month, month});
    seasons_.back().to = month;
  }
  constexpr double kFold = 18;
  double left = kNames + (undated ? kUndated : 0), months = 0;
  for (const auto& s : seasons_)
    months += (s.to.year() - s.from.year()) * 12 + s.to.month() - s.from.month() + 1;
  const double room =
      width() - 8 - left - kFold * std::max(0.0, static_cast<double>(seasons_.size()) - 1);
  for (auto& s : seasons_) {
    s.left = left;
    const double n = (s.to.year() - s.from.year()) * 12 + s.to.month() - s.from.month() + 1;
    s.right = left + room * n / std::max(1.0, months);
    left = s.right + kFold;
  }
  places_.clear();
  std::map<QString, double> last;  // of each row
  for (const auto& m : marks_) {
    const auto row = static_cast<double>(rows_.indexOf(m.row));
    double x = m.date.isValid() ? xOf(m.date) : kNames + kUndated / 2.0;
    // Two of one day stand beside each other.
    if (last.count(m.row) > 0 && x < last[m.row] + 9) x = last[m.row] + 9;
    last[m.row] = x;
    places_[m.id] = QPointF(std::min(x, width() - 8.0), kTop + (row + 0.5) * kRow);
  }
}

double TimeLine::xOf(const QDate& date) const {
  for (const auto& s : seasons_)
    if (date >= s.from && date < s.to.addMonths(1)) {
      const double all = static_cast<double>(s.from.daysTo(s.to.addMonths(1)));
      return s.left + (s.right - s.left) * static_cast<double>(s.from.daysTo(date)) / all;
    }
  return kNames;
}

void TimeLine::paintSeasons(QPainter& p) const {
  const Tokens& t = tokens();
  const QLocale language = languageOfWords();
  p.setFont(textFont(8.5));
  int year = 0;
  double free = 0;  // where the next name has room
  for (size_t i = 0; i < seasons_.size(); ++i) {
    const Season& s = seasons_[i];
    if (i > 0) {
      p.setPen(QPen(t.hairline, 1, Qt::DashLine));
      p.drawLine(QPointF(s.left - 9, 4), QPointF(s.left - 9, height()));
    }
    for (QDate m = s.from; m <= s.to; m = m.addMonths(1)) {
      const double x = xOf(m);
      p.setPen(QPen(t.hairline, 1));
      p.drawLine(QPointF(x, kTop - 2), QPointF(x, height()));
      const QString name = m.year() != year ? QString::number(m.year())
                                            : language.monthName(m.month(), QLocale::ShortFormat);
      if (x < free) continue;
      p.setPen(m.year() != year ? t.text : t.second);
      p.drawText(QPointF(x + 2, 13), name);
      free = x + 8 + p.fontMetrics().horizontalAdvance(name);
      year = m.year();
    }
  }
}

void TimeLine::paintMark(QPainter& p, const Mark& m, QPointF at) const {
  const Tokens& t = tokens();
  const bool here = m.id == chosen_;
  p.setPen(here ? QPen(t.text, 1.6) : Qt::NoPen);
  p.setBrush(here ? t.accent : t.second);
  const double r = here ? 6 : 5;
  if (m.sign == Sign::Optical)
    p.drawEllipse(at, r, r);
  else if (m.sign == Sign::Radar)
    p.drawPolygon(QPolygonF({at + QPointF(0, -r - 1), at + QPointF(r + 1, 0),
                             at + QPointF(0, r + 1), at + QPointF(-r - 1, 0)}));
  else
    p.drawRect(QRectF(at.x() - r, at.y() - r, 2 * r, 2 * r));
  if (m.setAside <= 0) return;
  p.setPen(Qt::NoPen);
  p.setBrush(t.hairline);
  p.drawRect(QRectF(at.x() - 8, at.y() + 9, 16, 2.5));
  p.setBrush(t.warning);
  p.drawRect(QRectF(at.x() - 8, at.y() + 9, std::max(1.5, 16 * m.setAside), 2.5));
}

QStringList TimeLine::told(const Mark& m) const {
  QStringList all{m.name, m.date.isValid() ? niceDate(m.date.toString(Qt::ISODate).toStdString())
                                           : txt("without a date")};
  if (m.setAside > 0) all << txt("%1 % set aside").arg(decimal(100 * m.setAside, 1));
  return all;
}

QList<SpokenPart> TimeLine::parts() const {
  QList<SpokenPart> all;
  for (const auto& m : marks_)
    all << SpokenPart{told(m).join(", "), QRect(markOf(m.id) - QPoint(6, 6), QSize(12, 12)),
                      m.id == chosen_};
  return all;
}

void TimeLine::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const Tokens& t = tokens();
  paintSeasons(p);
  p.setFont(textFont(9.5, QFont::Medium));
  for (int r = 0; r < rows_.size(); ++r) {
    const double y = kTop + (r + 0.5) * kRow;
    p.setPen(t.text);
    p.drawText(QRectF(0, y - 10, kNames - 6, 20), Qt::AlignVCenter,
               p.fontMetrics().elidedText(rows_[r], Qt::ElideRight, kNames - 8));
    p.setPen(QPen(t.hairline, 1));
    p.drawLine(QPointF(kNames, y), QPointF(width() - 4, y));
  }
  for (const auto& m : marks_) paintMark(p, m, places_.at(m.id));
  if (!hasFocus()) return;
  p.setPen(QPen(t.accent, 1));
  p.setBrush(Qt::NoBrush);
  p.drawRoundedRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5), 4, 4);
}

const TimeLine::Mark* TimeLine::markAt(QPoint at) const {
  const Mark* best = nullptr;
  double nearest = 12;
  for (const auto& m : marks_) {
    const QPointF d = places_.at(m.id) - at;
    if (const double far = std::hypot(d.x(), d.y()); far < nearest) nearest = far, best = &m;
  }
  return best;
}

void TimeLine::mousePressEvent(QMouseEvent* e) {
  // A copy: whoever hears of it may fill the line anew.
  if (const auto* m = markAt(e->position().toPoint())) Q_EMIT chose(QString(m->id));
}

void TimeLine::mouseMoveEvent(QMouseEvent* e) {
  setCursor(markAt(e->position().toPoint()) != nullptr ? Qt::PointingHandCursor : Qt::ArrowCursor);
}

void TimeLine::keyPressEvent(QKeyEvent* e) {
  const int step = e->key() == Qt::Key_Right || e->key() == Qt::Key_Down ? 1
                   : e->key() == Qt::Key_Left || e->key() == Qt::Key_Up  ? -1
                                                                         : 0;
  const auto here =
      std::find_if(marks_.begin(), marks_.end(), [&](const Mark& m) { return m.id == chosen_; });
  if (step == 0 || marks_.empty()) return QWidget::keyPressEvent(e);
  const auto at = here == marks_.end() ? 0 : here - marks_.begin() + step;
  const auto last = static_cast<std::ptrdiff_t>(marks_.size()) - 1;
  Q_EMIT chose(QString(marks_[static_cast<size_t>(std::clamp<std::ptrdiff_t>(at, 0, last))].id));
}

bool TimeLine::event(QEvent* e) {
  if (e->type() == QEvent::ToolTip) {
    const auto* help = static_cast<QHelpEvent*>(e);
    const Mark* m = markAt(help->pos());
    if (m == nullptr) {
      QToolTip::hideText();
    } else {
      QToolTip::showText(help->globalPos(), told(*m).join("\n"), this);
    }
    return true;
  }
  return QWidget::event(e);
}

}  // namespace zp
