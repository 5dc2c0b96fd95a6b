#include "desks/accuracy/late_change_strip.h"

#include "look/parts.h"

namespace zp {

LateChangeStrip::LateChangeStrip() {
  told_ = new QLabel;
  told_->setObjectName("lateTold");
  why_ = lineEdit("lateWhy", txt("Why?"));
  why_->setAccessibleName(txt("Why"));
  who_ = lineEdit("lateWho", txt("Who?"));
  who_->setAccessibleName(txt("Who"));
  who_->setFixedWidth(150);
  auto* record = quietButton(txt("Record the change"));
  record->setObjectName("lateRecord");
  auto* drop = linkButton(txt("Leave it as it is"));
  drop->setObjectName("lateDrop");
  connect(record, &QPushButton::clicked, this, &LateChangeStrip::record);
  connect(drop, &QPushButton::clicked, this, &LateChangeStrip::dropped);
  for (auto* field : {why_, who_}) {
    connect(field, &QLineEdit::returnPressed, this, &LateChangeStrip::record);
    field->installEventFilter(this);
  }
  auto* row = new QHBoxLayout(this);
  row->setContentsMargins(0, 0, 0, 0);
  row->setSpacing(12);
  row->addWidget(told_);
  row->addWidget(why_, 1);
  row->addWidget(who_);
  row->addWidget(record);
  row->addWidget(drop);
}

void LateChangeStrip::ask(const QString& told, const QString& who) {
  told_->setText(told);
  why_->clear();
  who_->setText(who);
  show();
  why_->setFocus();
}

/// Nobody changes a closed label without saying why.
void LateChangeStrip::record() {
  const QString why = why_->text().trimmed(), who = who_->text().trimmed();
  if (why.isEmpty() || who.isEmpty()) return (why.isEmpty() ? why_ : who_)->setFocus();
  Q_EMIT recorded(who, why);
}

bool LateChangeStrip::eventFilter(QObject* o, QEvent* e) {
  if (e->type() == QEvent::KeyPress && static_cast<QKeyEvent*>(e)->key() == Qt::Key_Escape) {
    Q_EMIT dropped();
    return true;
  }
  return QWidget::eventFilter(o, e);
}

}  // namespace zp
