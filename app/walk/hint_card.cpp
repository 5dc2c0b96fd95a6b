#include "walk/hint_card.h"

#include "look/look.h"
#include "look/parts.h"
#include "walk/walk_steps.h"

namespace zp {
namespace {

constexpr int kWidth = 300, kGap = 14, kRing = 4;  // pixels

}  // namespace

/// The line around what is spoken of, and the one that leads there.
class HintCard::Ring : public QWidget {
 public:
  explicit Ring(QWidget* over) : QWidget(over) {
    setAttribute(Qt::WA_TransparentForMouseEvents);
    setFocusPolicy(Qt::NoFocus);
    hide();
  }
  /// A line leads from the card to the edge of what stays clear.
  void around(const QRect& place, const QRect& card, const QRect& clear) {
    place_ = place.adjusted(-kRing, -kRing, kRing, kRing).intersected(parentWidget()->rect());
    card_ = card;
    edge_ = clear.left();
    setGeometry(parentWidget()->rect());
    show();
    raise();
    update();
  }

 protected:
  void paintEvent(QPaintEvent*) override {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(tokens().accent, 2));
    p.drawRoundedRect(QRectF(place_).adjusted(1, 1, -1, -1), 5, 5);
    const int y = std::clamp(place_.center().y(), card_.top() + 8, card_.bottom() - 8);
    if (card_.right() < edge_) p.drawLine(card_.right(), y, edge_, y);
  }

 private:
  QRect place_, card_;
  int edge_ = 0;
};

HintCard::HintCard(QWidget* over) : QFrame(over), ring_(new Ring(over)) {
  setObjectName("hintCard");
  setAttribute(Qt::WA_StyledBackground);
  setStyleSheet(QString("#hintCard { background: %1; border: 2px solid %2; border-radius: 6px; }")
                    .arg(tokens().panel.name(), tokens().accent.name()));
  setFixedWidth(kWidth);
  count_ = secondLabel("");
  title_ = headingLabel("");
  text_ = new QLabel;
  text_->setObjectName("hintText");
  text_->setWordWrap(true);
  skip_ = linkButton(txt("Skip this step"));
  skip_->setObjectName("walkSkip");
  leave_ = linkButton(txt("Leave the walk"));
  leave_->setObjectName("walkLeave");
  leave_->setToolTip(txt("It goes on where it was left, from the study menu"));
  connect(skip_, &QPushButton::clicked, this, [this] {
    // The second of two clicks is not meant for the next step.
    if (skippedAt_.isValid() && skippedAt_.elapsed() < QApplication::doubleClickInterval()) return;
    skippedAt_.start();
    Q_EMIT skipped();
  });
  connect(leave_, &QPushButton::clicked, this, &HintCard::left);
  auto* head = new QHBoxLayout;
  head->addWidget(title_, 1);
  head->addWidget(count_);
  auto* foot = new QHBoxLayout;
  foot->addWidget(skip_);
  foot->addStretch();
  foot->addWidget(leave_);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(16, 12, 16, 10);
  column->setSpacing(8);
  column->addLayout(head);
  column->addWidget(text_);
  column->addLayout(foot);
  hide();
}

void HintCard::tell(const QString& title, const QString& text, size_t step) {
  const size_t n = walkSteps().size();
  title_->setText(title);
  text_->setText(text);
  count_->setText(step < n ? txt("%1 of %2").arg(step + 1).arg(n) : QString());
  skip_->setVisible(step < n);
  leave_->setText(step < n ? txt("Leave the walk") : txt("Close"));
}

void HintCard::fit() {
  resize(kWidth, layout()->totalHeightForWidth(kWidth));
}

/// Left of what is to stay clear, else above or below the place, else beside it.
QPoint HintCard::cornerFor(const QRect& place, const QRect& clear) const {
  const QRect room = parentWidget()->rect().adjusted(8, 8, -8, -8);
  const QPoint middle = place.center();
  const int y = std::clamp(middle.y() - height() / 2, room.top(), room.bottom() - height());
  const int x = std::clamp(middle.x() - width() / 2, room.left(), room.right() - width());
  const int left = clear.left() - kGap - width();
  if (clear != place && left >= room.left()) return {left, y};
  if (place.top() - kGap - height() >= room.center().y() / 2)
    return {x, place.top() - kGap - height()};
  if (place.bottom() + kGap + height() <= room.bottom()) return {x, place.bottom() + kGap};
  return {left >= room.left() ? left : std::min(place.right() + kGap, room.right() - width()), y};
}

void HintCard::pointAt(const QRect& place, const QRect& clear) {
  fit();
  const QRect card(cornerFor(place, clear), size());
  if (isVisible() && ring_->isVisible() && place == place_ && card == geometry()) return;
  place_ = place;
  move(card.topLeft());
  ring_->around(place, card, clear);
  show();
  raise();
}

void HintCard::rest() {
  fit();
  ring_->hide();
  place_ = {};
  move((parentWidget()->width() - width()) / 2, parentWidget()->height() - height() - 6);
  show();
  raise();
}

void HintCard::hideEvent(QHideEvent* e) {
  ring_->hide();
  QFrame::hideEvent(e);
}

}  // namespace zp
