#pragma once
#include "shell/find_box.h"

namespace zp {

/// Everything on a desk that has a button, a tick or a field, as find reaches it: the desk is gone
/// to, its page is opened, and the button pressed or the field taken. `go` shows the desk.
std::vector<FindOffer> offersOfDesk(QWidget* desk, const QString& stage,
                                    const std::function<void()>& go);

/// The entries of a menu and of those below it.
std::vector<FindOffer> offersOfMenu(const std::function<QMenu*()>& menu);

/// Marks a page of a desk that a button opens, for find.
void openedBy(QWidget* page, const QString& button);

}  // namespace zp
