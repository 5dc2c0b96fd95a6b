#include "shell/second_click.h"

#include <QApplication>
#include <QMouseEvent>

namespace zp {

SecondClick::SecondClick(QObject* parent) : QObject(parent) {
  qApp->installEventFilter(this);
}

void SecondClick::opened() {
  opening_ = last_;
}

bool SecondClick::eventFilter(QObject* o, QEvent* e) {
  const bool press =
      e->type() == QEvent::MouseButtonPress || e->type() == QEvent::MouseButtonDblClick;
  // Before it is given to a widget: that would get the focus with it.
  if (!o->isWindowType()) return false;
  if (e->type() == QEvent::MouseButtonRelease && taken_) return taken_ = false, true;
  if (!press) return false;
  const auto* mouse = static_cast<QMouseEvent*>(e);
  // By when it was pressed: opening the page may have taken longer than two clicks.
  last_ = {mouse->globalPosition().toPoint(), mouse->timestamp()};
  if (!opening_) return false;
  const auto interval = static_cast<unsigned long>(QApplication::doubleClickInterval());
  taken_ = last_->time - opening_->time <= interval &&
           (last_->place - opening_->place).manhattanLength() < QApplication::startDragDistance();
  return taken_;
}

}  // namespace zp
