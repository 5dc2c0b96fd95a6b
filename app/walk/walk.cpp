#include "walk/walk.h"

#include "walk/hint_card.h"

namespace zp {
namespace {

constexpr int kLook = 150;  // milliseconds

}  // namespace

Walk::Walk(MainWindow& window) : QObject(&window), window_(window) {
  // Over all pages of the window.
  card_ = new HintCard(window.centralWidget());
  connect(card_, &HintCard::left, this, &Walk::leave);
  connect(card_, &HintCard::skipped, this, &Walk::goOn);
  connect(&timer_, &QTimer::timeout, this, &Walk::look);
  connect(&window.bench(), &Workbench::studyChanged, this, [this] {
    card_->hide();
    if (on()) timer_.start(kLook);
  });
  qApp->installEventFilter(this);
}

bool Walk::on() const {
  if (!window_.bench().hasStudy()) return false;
  const Json kept = window_.bench().place("walk");
  return kept.is_object() && kept.value("on", false);
}

size_t Walk::at() const {
  const Json kept = window_.bench().hasStudy() ? window_.bench().place("walk") : Json();
  const Json step = kept.is_object() ? kept.value("at", Json()) : Json();
  return step.is_number_integer() ? std::min<size_t>(step.get<size_t>(), walkSteps().size()) : 0;
}

void Walk::keep(size_t at, bool on) {
  window_.bench().setPlace("walk", {{"at", at}, {"on", on}});
}

void Walk::begin() {
  if (!window_.bench().hasStudy()) return;
  keep(at() == walkSteps().size() ? 0 : at(), true);
  timer_.start(kLook);
  look();
}

void Walk::offer() {
  if (window_.bench().hasStudy() && window_.bench().place("walk").is_null()) begin();
}

void Walk::leave() {
  card_->hide();
  timer_.stop();
  if (window_.bench().hasStudy()) keep(at(), false);
}

void Walk::goOn() {
  target_ = nullptr;
  keep(std::min(at() + 1, walkSteps().size()), true);
  look();
}

QWidget* Walk::visibleControl(const QString& name) const {
  for (auto* w : window_.findChildren<QWidget*>(name))
    if (w->isVisible()) return w;
  return nullptr;
}

/// Where the step's hint of now is, and what it says; nullptr when it is not where one is.
QWidget* Walk::control(QString* says) const {
  for (const auto& hint : walkSteps()[at()].hints) {
    if (hint.now != nullptr && !hint.now(window_)) continue;
    if (auto* w = visibleControl(hint.at)) {
      *says = txt(hint.says);
      return w;
    }
  }
  return nullptr;
}

void Walk::look() {
  if (!on()) {
    card_->hide();
    return timer_.stop();
  }
  if (at() == walkSteps().size()) {
    card_->tell(txt("The whole job"),
                txt("Every map goes this way. “?” tells the keys of where you are, Ctrl K finds "
                    "everything; begin with scenes of your own from the study menu."),
                at());
    return card_->rest();
  }
  const WalkStep& step = walkSteps()[at()];
  if (step.done != nullptr && step.done(window_)) return goOn();
  if (QApplication::activeModalWidget() != nullptr || window_.bench().jobs().busy())
    return card_->hide();  // nothing is to be done meanwhile
  const bool elsewhere = window_.stage() != step.stage;
  QString says;
  auto* at = elsewhere ? nullptr : control(&says);
  if (at != nullptr) return show(at, says);
  if (!elsewhere && !window_.trail().isVisible()) return card_->hide();
  card_->tell(txt(step.title),
              txt("This is done at %1. Press it in the strip above, or F%2.")
                  .arg(MainWindow::stageName(static_cast<size_t>(step.stage)))
                  .arg(step.stage + 1),
              this->at());
  target_ = nullptr;
  const QRect station = window_.trail().stationRect(step.stage);
  const QRect place(window_.trail().mapTo(card_->parentWidget(), station.topLeft()),
                    station.size());
  card_->pointAt(place, place);
}

void Walk::show(QWidget* at, const QString& says) {
  const auto placeOf = [&](QWidget* w) {
    return QRect(w->mapTo(card_->parentWidget(), QPoint()), w->size());
  };
  QRect clear = placeOf(at);
  for (auto* up = at->parentWidget(); up != nullptr; up = up->parentWidget()) {
    if (qobject_cast<Desk*>(up) != nullptr) clear = placeOf(up);
    if (auto* scroll = qobject_cast<QScrollArea*>(up); scroll != nullptr && at != target_)
      scroll->ensureWidgetVisible(at);
  }
  target_ = at;
  card_->tell(txt(walkSteps()[this->at()].title), says, this->at());
  card_->pointAt(placeOf(at), clear);
}

/// A step without a result of its own is done when its control was used.
bool Walk::eventFilter(QObject* watched, QEvent* event) {
  const bool used = event->type() == QEvent::MouseButtonRelease ||
                    (event->type() == QEvent::KeyRelease &&
                     static_cast<QKeyEvent*>(event)->key() == Qt::Key_Space);
  if (used && watched == target_ && target_ != nullptr && on() && at() < walkSteps().size() &&
      walkSteps()[at()].done == nullptr)
    QTimer::singleShot(0, this, [this, step = at()] {
      if (at() == step) goOn();
    });
  return QObject::eventFilter(watched, event);
}

}  // namespace zp
