// What the keys of the labelling desk do.
#include <utility>

#include "desks/accuracy/labelling_sheet.h"
#include "desks/class_key.h"

namespace zp {

/// A class was named: the whole label, or a part of it.
void LabellingSheet::label(int code) {
  if (book_.ofChange()) {
    if (was_ == 0) {
      was_ = code;
      return showPoint();
    }
    const int earlier = std::exchange(was_, 0);
    return give(book_.labelOfChange(earlier, code));
  }
  if (mixing_ == kFirstToCome) {
    mixing_ = code;
    return showPoint();
  }
  const int first = std::exchange(mixing_, kNotMixed);
  give(first == kNotMixed ? Label(code) : Label(first, code));
}

void LabellingSheet::give(const Label& label) {
  if (settling()) return settle(label);
  if (book_.worked().closed()) return askWhy(label);
  book_.worked().label(label, now());
  labelled();
}

void LabellingSheet::labelled() {
  ++paced_;
  if (paced_ >= 5)
    bench_.setPlace("label-pace",
                    static_cast<double>(pace_.elapsed()) / 1000 / static_cast<double>(paced_));
  showPoint();  // its pictures are being read while the label is written
  book_.changed();
}

/// The next class given is the first of two; once more, and it is not.
void LabellingSheet::mix() {
  const bool can = !settling() && !book_.worked().closed() && !book_.ofChange();
  mixing_ = can && mixing_ == kNotMixed ? kFirstToCome : kNotMixed;
  showPoint();
}

/// Disagreements that are still open.
void LabellingSheet::findOpen() {
  open_.clear();
  const auto agreement = settling() ? book_.agreement() : std::nullopt;
  if (!agreement) return;
  for (const auto& d : agreement->disagreements)
    if (d.settled == 0) open_.insert(d.id);
}

/// And on to the next that is open; after the last of them the desk is left.
void LabellingSheet::settle(const Label& to) {
  const int id = book_.labelling().current().id;
  book_.settle(id, to, now());
  findOpen();
  if (open_.empty()) return Q_EMIT leaveAsked();
  step(1);
}

void LabellingSheet::askWhy(const Label& to) {
  const int before = book_.labelling().current().reference;
  showPoint();  // the key of the class it has stays pressed
  if (to.code == before) return;
  lateLabel_ = to;
  const Json who = bench_.place("labeller");
  hints_->hide();
  late_->ask(txt("%1 becomes %2.").arg(book_.className(before), book_.className(to.code)),
             who.is_string() ? q(who.get<std::string>()) : QString());
}

void LabellingSheet::recordChange(const QString& who, const QString& why) {
  bench_.setPlace("labeller", who.toStdString());
  book_.labelling().change(lateLabel_, now(), who.toStdString(), why.toStdString());
  book_.changed();
  endChange();
}

void LabellingSheet::endChange() {
  lateLabel_ = {};
  late_->hide();
  hints_->show();
  setFocus();
  showPoint();
}

/// Points of a cell of the matrix are looked at, one by one.
bool LabellingSheet::looking() const {
  return book_.task() == LabelBook::Task::Label && book_.labelling().closed() && book_.anyChosen();
}

/// While points are looked at or settled: those that are stepped through.
bool LabellingSheet::wanted(const ValidationPoint& p) const {
  return settling() ? open_.count(p.id) > 0 : book_.inCell(p);
}

/// To the next or last point of those looked at, round and round.
void LabellingSheet::step(int way) {
  Labelling& l = book_.labelling();
  const size_t n = l.points().size();
  for (size_t i = 1; i <= n; ++i) {
    const size_t at = (l.position() + (way > 0 ? i : n - i)) % n;
    if (wanted(l.points()[at])) {
      l.goTo(at);
      break;
    }
  }
  dropHalf();
  book_.changed();
  showPoint();
}

void LabellingSheet::zoom(double factor) {
  zoom_ = std::clamp(zoom_ * factor, 0.1, 10.0);
  showPoint();
}

void LabellingSheet::closeLabelling() {
  const bool second = book_.task() == LabelBook::Task::Second;
  if (settling()) return Q_EMIT leaveAsked();
  book_.worked().close(now());
  book_.changed();
  if (second) return Q_EMIT leaveAsked();
  Q_EMIT closed();
}

/// What was named so far of a label of two classes.
void LabellingSheet::dropHalf() {
  mixing_ = kNotMixed;
  was_ = 0;
}

/// To another point.
bool LabellingSheet::moveByKey(int key) {
  Labelling& l = book_.worked();
  const bool some = looking() || settling();
  if (key == Qt::Key_Backspace && half()) return dropHalf(), showPoint(), true;
  switch (key) {
    case Qt::Key_Space:
      if (some) return step(1), true;
      l.skip();
      break;
    case Qt::Key_Backspace:
      if (some) return step(-1), true;
      l.back();
      break;
    case Qt::Key_Return:
    case Qt::Key_Enter:
      if (some) return step(1), true;
      l.nextOpen();
      break;
    default:
      return false;
  }
  dropHalf();
  book_.changed();
  showPoint();
  return true;
}

/// Something of the desk.
bool LabellingSheet::turnByKey(int key) {
  switch (key) {
    case Qt::Key_U:
      return unsure_->click(), true;
    case Qt::Key_M:
      return mixed_->click(), true;
    case Qt::Key_N:
      return note_->setFocus(), true;
    case Qt::Key_Plus:
    case Qt::Key_Equal:
      return zoom(1 / 1.4), true;
    case Qt::Key_Minus:
      return zoom(1.4), true;
    case Qt::Key_Escape:
      if (half()) return dropHalf(), showPoint(), true;
      Q_EMIT leaveAsked();
      return true;
    case Qt::Key_QuoteLeft:
      if (pictures_.size() > 1)
        setPicture(panes_[0],
                   (panes_[0].picture->currentIndex() + 1) % static_cast<int>(pictures_.size()));
      return true;
    default:
      return false;
  }
}

void LabellingSheet::keyPressEvent(QKeyEvent* e) {
  if (book_.none() || moveByKey(e->key()) || turnByKey(e->key())) return;
  const auto classes = book_.keys().classes;
  const QString key = e->text().toLower();
  for (size_t i = 0; i < classes.size(); ++i)
    if (!key.isEmpty() && key == keyOfClass(i)) return label(classes[i].code);
  QWidget::keyPressEvent(e);
}

bool LabellingSheet::eventFilter(QObject* o, QEvent* e) {
  if (o == note_ && e->type() == QEvent::FocusOut) {
    book_.worked().setNote(note_->toPlainText().trimmed().toStdString());
    book_.changed();
  }
  if (o == note_ && e->type() == QEvent::KeyPress &&
      static_cast<QKeyEvent*>(e)->key() == Qt::Key_Escape) {
    setFocus();
    return true;
  }
  return QWidget::eventFilter(o, e);
}

}  // namespace zp
