#pragma once
#include <QWidget>

namespace zp {

/// What Tab goes through within a widget, in the order in which it is read: that of the layouts.
QWidgetList inReadingOrder(QWidget* within);

/// Gives the next (or previous) of them the focus, from where it is, and brings it into sight.
/// False where there is none.
bool focusNext(QWidget* within, bool next);

}  // namespace zp
