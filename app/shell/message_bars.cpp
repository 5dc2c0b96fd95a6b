#include "shell/message_bars.h"

#include "look/look.h"
#include "look/parts.h"

namespace zp {
namespace {
constexpr int kToldFor = 9000;  // milliseconds
}

NoticeBar::NoticeBar() {
  text_ = new QLabel;
  text_->setObjectName("notice");
  text_->setWordWrap(true);
  text_->setTextInteractionFlags(Qt::LinksAccessibleByMouse | Qt::LinksAccessibleByKeyboard);
  auto* close = new QToolButton;
  close->setIcon(icon("close"));
  close->setAccessibleName(txt("Close this line"));
  auto* row = new QHBoxLayout(this);
  row->setContentsMargins(14, 4, 8, 4);
  row->addWidget(text_, 1);
  row->addWidget(close);
  setVisible(false);
  timer_.setSingleShot(true);
  connect(text_, &QLabel::linkActivated, this, [this](const QString& to) {
    hide();
    Q_EMIT linkActivated(to);
  });
  connect(close, &QToolButton::clicked, this, &QWidget::hide);
  connect(&timer_, &QTimer::timeout, this, &QWidget::hide);
}

void NoticeBar::tell(const QString& sentence, bool warning) {
  text_->setText(sentence);
  setTone(text_, warning ? "warning" : "second");
  setVisible(true);
  if (warning)
    timer_.stop();
  else
    timer_.start(kToldFor);
}

JobBar::JobBar(JobRunner& jobs) : jobs_(jobs) {
  text_ = new QLabel;
  text_->setObjectName("jobText");
  share_ = new QProgressBar;
  share_->setAccessibleName(txt("How far the job is"));
  share_->setTextVisible(false);
  share_->setRange(0, 1000);
  auto* cancel = quietButton(txt("Cancel"));
  cancel->setObjectName("cancelJob");
  auto* row = new QHBoxLayout(this);
  row->setContentsMargins(14, 4, 14, 4);
  row->addWidget(text_);
  row->addWidget(share_, 1);
  row->addWidget(cancel);
  setVisible(false);
  connect(cancel, &QPushButton::clicked, this, [this] { jobs_.cancel(); });
  connect(&jobs_, &JobRunner::changed, this, &JobBar::refresh);
}

void JobBar::refresh() {
  setVisible(jobs_.busy());
  if (!jobs_.busy()) return;
  const double left = jobs_.secondsLeft();
  QString time;
  if (left >= 60)
    time = txt(", about %1 min left").arg(static_cast<int>(left / 60) + 1);
  else if (left >= 0)
    time = txt(", about %1 s left").arg(static_cast<int>(left) + 1);
  text_->setText(jobs_.title() + time);
  share_->setValue(static_cast<int>(jobs_.share() * 1000));
}

}  // namespace zp
