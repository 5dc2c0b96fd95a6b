#include "shell/trail.h"

#include "look/look.h"
#include "look/parts.h"

namespace zp {

namespace {
constexpr double kLine = 17;
}

Trail::Trail(QWidget* parent) : QWidget(parent) {
  setObjectName("trail");
  setAccessibleName(txt("Stages"));
  setFixedHeight(64);
  setFocusPolicy(Qt::StrongFocus);
  study_ = new QToolButton;
  study_->setObjectName("studyMenu");
  study_->setFont(textFont(10.5, QFont::DemiBold));
  study_->setPopupMode(QToolButton::InstantPopup);
  study_->setToolButtonStyle(Qt::ToolButtonTextBesideIcon);
  study_->setIcon(icon("chevron"));
  study_->setLayoutDirection(Qt::RightToLeft);
  study_->setAccessibleName(txt("Study menu"));
  state_ = secondLabel("");
  state_->setWordWrap(false);
  find_ = new QLineEdit;
  find_->setObjectName("find");
  find_->setPlaceholderText(txt("Find anything   Ctrl K"));
  find_->setAccessibleName(txt("Find"));
  find_->setFixedWidth(
      std::max(150, find_->fontMetrics().horizontalAdvance(find_->placeholderText()) + 30));
  auto* left = new QVBoxLayout;
  left->setSpacing(0);
  left->addStretch();
  left->addWidget(study_, 0, Qt::AlignLeft);
  auto* indent = new QHBoxLayout;
  indent->setContentsMargins(6, 0, 0, 0);
  indent->addWidget(state_);
  left->addLayout(indent);
  left->addStretch();
  auto* layout = new QHBoxLayout(this);
  layout->setContentsMargins(10, 0, 16, 0);
  layout->addLayout(left);
  layout->addStretch();
  layout->addWidget(find_);
}

void Trail::setStations(const std::vector<Station>& stations) {
  stations_ = stations;
  update();
}

void Trail::setCurrent(int index) {
  current_ = index;
  setFocusPolicy(index < 0 ? Qt::NoFocus : Qt::StrongFocus);
  update();
  spokenChanged(this);
}

void Trail::setStudy(const QString& name, const QString& state, bool trouble) {
  study_->setText(fontMetrics().elidedText(name, Qt::ElideRight, 150));
  state_->setText(state);
  const char* tone = trouble ? "warning" : "second";
  if (state_->property("tone") != tone) setTone(state_, tone);
}

double Trail::stationX(int index) const {
  // Half a station from what stands beside.
  const double from = 246, to = width() - find_->width() - 96;
  const double n = std::max<double>(1, static_cast<double>(stations_.size()) - 1);
  return from + (to - from) * index / n;
}

QRect Trail::stationRect(int index) const {
  return QRect(static_cast<int>(stationX(index)) - 66, 0, 132, height());
}

QList<SpokenPart> Trail::parts() const {
  QList<SpokenPart> all;
  for (int i = 0; i < static_cast<int>(stations_.size()); ++i) {
    const Station& s = stations_[static_cast<size_t>(i)];
    QStringList told{s.name, s.figure};
    if (!s.tip.isEmpty()) told << s.tip;
    all << SpokenPart{told.join(", "), stationRect(i), i == current_};
  }
  return all;
}

void Trail::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const Tokens& t = tokens();
  p.fillRect(rect(), t.panel);
  p.fillRect(QRect(0, height() - 1, width(), 1), t.hairline);
  if (stations_.empty()) return;
  p.setPen(QPen(t.hairline, 1.5));
  p.drawLine(QPointF(stationX(0), kLine),
             QPointF(stationX(static_cast<int>(stations_.size()) - 1), kLine));
  for (int i = 0; i < static_cast<int>(stations_.size()); ++i) {
    const Station& s = stations_[static_cast<size_t>(i)];
    const QPointF c(stationX(i), kLine);
    const bool here = i == current_;
    const QColor mark = here ? t.accent : t.second;
    p.setPen(Qt::NoPen);
    p.setBrush(t.panel);
    p.drawEllipse(c, 12, 12);
    if (here) {
      p.setPen(QPen(t.accent, 1.4));
      p.drawEllipse(c, 11, 11);
    }
    p.setPen(QPen(mark, 1.6));
    p.setBrush(s.state == State::Filled || s.state == State::Notch ? QBrush(mark)
                                                                   : QBrush(t.panel));
    p.drawEllipse(c, 6, 6);
    if (s.state == State::Half) {
      p.setBrush(mark);
      p.drawPie(QRectF(c.x() - 6, c.y() - 6, 12, 12), 90 * 16, -180 * 16);
    } else if (s.state == State::Busy) {
      p.setPen(QPen(t.accent, 2.4));
      p.drawArc(QRectF(c.x() - 9, c.y() - 9, 18, 18), 90 * 16,
                -static_cast<int>(s.share * 360 * 16));
    } else if (s.state == State::Notch) {
      p.setPen(Qt::NoPen);
      p.setBrush(t.warning);
      p.drawPolygon(QPolygonF({c + QPointF(4, -10), c + QPointF(12, -10), c + QPointF(8, -3)}));
    }
    p.setPen(t.text);
    p.setFont(textFont(10, here ? QFont::DemiBold : QFont::Normal));
    const QRectF box(c.x() - 70, kLine + 10, 140, 18);
    p.drawText(box, Qt::AlignCenter, s.name);
    if (here && hasFocus()) {
      p.setPen(QPen(t.accent, 1));
      p.setBrush(Qt::NoBrush);
      p.drawRoundedRect(QRectF(stationRect(static_cast<int>(i))).adjusted(2.5, 2.5, -2.5, -3.5), 4,
                        4);
    }
    p.setPen(here ? t.accent : t.second);
    p.setFont(textFont(9));
    p.drawText(QRectF(c.x() - 74, kLine + 27, 148, 16), Qt::AlignCenter,
               p.fontMetrics().elidedText(s.figure, Qt::ElideRight, 146));
  }
}

void Trail::mousePressEvent(QMouseEvent* e) {
  for (int i = 0; i < static_cast<int>(stations_.size()); ++i)
    if (stationRect(i).contains(e->position().toPoint())) return Q_EMIT chosen(i);
}

void Trail::keyPressEvent(QKeyEvent* e) {
  const int last = static_cast<int>(stations_.size()) - 1;
  if (e->key() == Qt::Key_Left && current_ > 0) return Q_EMIT chosen(current_ - 1);
  if (e->key() == Qt::Key_Right && current_ < last) return Q_EMIT chosen(current_ + 1);
  QWidget::keyPressEvent(e);
}

bool Trail::event(QEvent* e) {
  if (e->type() == QEvent::ToolTip) {
    auto* help = static_cast<QHelpEvent*>(e);
    for (int i = 0; i < static_cast<int>(stations_.size()); ++i)
      if (stationRect(i).contains(help->pos())) {
        const Station& s = stations_[static_cast<size_t>(i)];
        QToolTip::showText(help->globalPos(),
                           s.tip.isEmpty() ? QString("%1 (F%2)").arg(s.name).arg(i + 1) : s.tip,
                           this);
        return true;
      }
  }
  return QWidget::event(e);
}

}  // namespace zp
