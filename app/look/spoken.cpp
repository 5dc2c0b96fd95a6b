#include "look/spoken.h"

#include <QAccessibleWidget>
#include <QPointer>

namespace zp {
namespace {

/// A part as a child of its widget. It is asked anew each time, for parts come and go.
class PartTold : public QAccessibleInterface {
 public:
  PartTold(QWidget* widget, const Spoken& spoken, int at)
      : widget_(widget), spoken_(spoken), at_(at) {}
  bool isValid() const override { return widget_ != nullptr && at_ < spoken_.parts().size(); }
  QObject* object() const override { return nullptr; }
  QAccessibleInterface* parent() const override {
    return QAccessible::queryAccessibleInterface(widget_);
  }
  QAccessibleInterface* child(int) const override { return nullptr; }
  QAccessibleInterface* childAt(int, int) const override { return nullptr; }
  int childCount() const override { return 0; }
  int indexOfChild(const QAccessibleInterface*) const override { return -1; }
  QString text(QAccessible::Text kind) const override {
    return kind == QAccessible::Name ? part().name : QString();
  }
  void setText(QAccessible::Text, const QString&) override {}
  QRect rect() const override {
    const QRect place = part().place;
    return widget_ == nullptr ? QRect()
                              : QRect(widget_->mapToGlobal(place.topLeft()), place.size());
  }
  QAccessible::Role role() const override { return spoken_.partRole(); }
  QAccessible::State state() const override {
    QAccessible::State state;
    state.selectable = true;
    state.selected = part().chosen;
    state.focused = part().chosen && widget_ != nullptr && widget_->hasFocus();
    return state;
  }

 private:
  SpokenPart part() const { return widget_ == nullptr ? SpokenPart() : spoken_.parts().value(at_); }
  QPointer<QWidget> widget_;
  const Spoken& spoken_;
  int at_;
};

class PaintedTold : public QAccessibleWidget {
 public:
  PaintedTold(QWidget* widget, const Spoken& spoken)
      : QAccessibleWidget(widget, spoken.role()), spoken_(spoken) {}
  ~PaintedTold() override {
    for (const auto id : std::as_const(known_)) QAccessible::deleteAccessibleInterface(id);
  }
  int childCount() const override {
    return static_cast<int>(spoken_.parts().size()) + QAccessibleWidget::childCount();
  }
  /// Parts first, then the widgets that stand in it.
  QAccessibleInterface* child(int at) const override {
    const int parts = static_cast<int>(spoken_.parts().size());
    if (at < 0) return nullptr;
    if (at >= parts) return QAccessibleWidget::child(at - parts);
    while (known_.size() <= at)
      known_ << QAccessible::registerAccessibleInterface(
          new PartTold(widget(), spoken_, static_cast<int>(known_.size())));
    return QAccessible::accessibleInterface(known_[at]);
  }
  int indexOfChild(const QAccessibleInterface* child) const override {
    for (int at = 0; at < known_.size(); ++at)
      if (QAccessible::accessibleInterface(known_[at]) == child) return at;
    const int among = QAccessibleWidget::indexOfChild(child);
    return among < 0 ? -1 : among + static_cast<int>(spoken_.parts().size());
  }

 private:
  const Spoken& spoken_;
  mutable QList<QAccessible::Id> known_;
};

/// Asked for each class of an object in turn, from its own to the most general.
QAccessibleInterface* toldBy(const QString& asWhat, QObject* object) {
  auto* widget = qobject_cast<QWidget*>(object);
  if (widget == nullptr) return nullptr;
  if (const auto* spoken = dynamic_cast<const Spoken*>(object))
    return new PaintedTold(widget, *spoken);
  // What is nothing more special and takes keys is a sheet.
  if (asWhat == "QWidget" && (widget->focusPolicy() & Qt::TabFocus) != 0)
    return new QAccessibleWidget(widget, QAccessible::Grouping);
  return nullptr;
}

}  // namespace

void speakPainted() {
  QAccessible::installFactory(toldBy);
}

void spokenChanged(QWidget* widget) {
  if (!QAccessible::isActive()) return;
  const auto* spoken = dynamic_cast<const Spoken*>(widget);
  if (spoken == nullptr) return;
  const auto parts = spoken->parts();
  for (int at = 0; at < parts.size(); ++at)
    if (parts[at].chosen) {
      QAccessibleEvent event(widget,
                             widget->hasFocus() ? QAccessible::Focus : QAccessible::SelectionAdd);
      event.setChild(at);
      QAccessible::updateAccessibility(&event);
      return;
    }
  QAccessibleEvent event(widget, QAccessible::ObjectReorder);
  QAccessible::updateAccessibility(&event);
}

}  // namespace zp
