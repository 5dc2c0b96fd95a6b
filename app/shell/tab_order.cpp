#include "shell/tab_order.h"

#include <QtWidgets>

namespace zp {
namespace {

class Reading {
 public:
  QWidgetList stops;

  void widget(QWidget* w) {
    if (seen_.contains(w) || !w->isVisible() || w->isWindow()) return;
    seen_ << w;
    if ((w->focusPolicy() & Qt::TabFocus) != 0 && w->isEnabled() && w->focusProxy() == nullptr)
      stops << w;
    within(w);
  }

  void within(QWidget* w) {
    if (auto* layout = w->layout()) items(*layout);
    if (auto* area = qobject_cast<QScrollArea*>(w); area != nullptr && area->widget() != nullptr)
      widget(area->widget());
    // What lies over others or stands in a cell is in no layout.
    for (auto* child : w->children())
      if (auto* one = qobject_cast<QWidget*>(child)) widget(one);
  }

 private:
  void items(QLayout& layout) {
    for (int i = 0; i < layout.count(); ++i) {
      auto* item = layout.itemAt(i);
      if (auto* inner = item->layout())
        items(*inner);
      else if (item->widget() != nullptr)
        widget(item->widget());
    }
  }
  QSet<const QWidget*> seen_;
};

}  // namespace

QWidgetList inReadingOrder(QWidget* within) {
  Reading reading;
  reading.within(within);
  return reading.stops;
}

bool focusNext(QWidget* within, bool next) {
  const QWidgetList stops = inReadingOrder(within);
  if (stops.isEmpty()) return false;
  QWidget* from = QApplication::focusWidget();
  while (from != nullptr && from != within && !stops.contains(from)) from = from->parentWidget();
  const auto at = stops.indexOf(from), n = stops.size();
  auto* to = stops[at < 0 ? (next ? 0 : n - 1) : (at + (next ? 1 : n - 1)) % n];
  to->setFocus(next ? Qt::TabFocusReason : Qt::BacktabFocusReason);
  for (auto* up = to->parentWidget(); up != nullptr; up = up->parentWidget())
    if (auto* area = qobject_cast<QScrollArea*>(up)) area->ensureWidgetVisible(to);
  return true;
}

}  // namespace zp
