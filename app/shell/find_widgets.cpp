#include "shell/find_widgets.h"

#include "look/words.h"

namespace zp {
namespace {

constexpr char kOpenedBy[] = "openedBy";

/// "Polygons…" → "Polygons".
QString plain(QString text) {
  return text.remove("…").remove("→").remove('&').trimmed();
}

QString nameOf(const QWidget& w) {
  if (const auto* b = qobject_cast<const QAbstractButton*>(&w)) {
    const QString text = plain(b->text());
    if (text.size() > 2) return text;
  }
  return plain(w.accessibleName());
}

/// Its page, and those around it, are opened by their buttons, the outermost first.
void reveal(QWidget* desk, QWidget* part) {
  QList<QWidget*> pages;
  for (QWidget* w = part; w != nullptr && w != desk; w = w->parentWidget())
    if (w->property(kOpenedBy).isValid()) pages.prepend(w);
  for (auto* page : pages)
    if (auto* opener = desk->findChild<QPushButton*>(page->property(kOpenedBy).toString()))
      if (!page->isVisible() && opener->isEnabled()) opener->click();
}

void reach(QWidget* desk, const QPointer<QWidget>& part) {
  if (!part) return;
  reveal(desk, part);
  if (!part || !part->isVisible()) return;
  part->setFocus(Qt::OtherFocusReason);
  if (auto* button = qobject_cast<QAbstractButton*>(part.data());
      button != nullptr && button->isEnabled())
    button->click();
}

/// Those that are made anew all the time are offered elsewhere: bands, indices, classes.
bool ofTheMoment(const QWidget& w) {
  const QString name = w.objectName();
  for (const char* start : {"index-", "feature-", "group-", "sceneFeatures", "added-", "name-",
                            "polygonsOf-", "composite-", "role-", "placeIs-", "doubtfulArea-"})
    if (name.startsWith(start)) return true;
  return name.isEmpty() && qobject_cast<const QScrollBar*>(&w) != nullptr;
}

void addEntries(const QMenu& menu, const QString& path, const std::function<QMenu*()>& open,
                std::vector<FindOffer>& all) {
  for (const auto* action : menu.actions()) {
    if (action->isSeparator() || !action->isEnabled() || action->text().isEmpty()) continue;
    const QString name = path + plain(action->text());
    if (action->menu() != nullptr) {
      addEntries(*action->menu(), name + ": ", open, all);
      continue;
    }
    all.push_back({name,
                   txt("command"),
                   [open, text = action->text()] {
                     // The menu may have been filled anew since.
                     for (auto* now : open()->findChildren<QAction*>())
                       if (now->text() == text && now->isEnabled()) return now->trigger();
                   },
                   {}});
  }
}

}  // namespace

std::vector<FindOffer> offersOfDesk(QWidget* desk, const QString& stage,
                                    const std::function<void()>& go) {
  std::vector<FindOffer> all;
  QSet<QString> taken;
  for (auto* w : desk->findChildren<QWidget*>()) {
    const bool button = qobject_cast<QAbstractButton*>(w) != nullptr,
               field = qobject_cast<QComboBox*>(w) != nullptr ||
                       qobject_cast<QAbstractSpinBox*>(w) != nullptr ||
                       (qobject_cast<QLineEdit*>(w) != nullptr &&
                        qobject_cast<QAbstractSpinBox*>(w->parentWidget()) == nullptr);
    const QString name = nameOf(*w);
    if ((!button && !field) || name.size() < 3 || ofTheMoment(*w) || taken.contains(name)) continue;
    taken.insert(name);
    all.push_back({name, (field ? txt("field in %1") : txt("in %1")).arg(stage),
                   [desk, go, part = QPointer<QWidget>(w)] {
                     go();
                     reach(desk, part);
                   },
                   w->toolTip()});
  }
  return all;
}

std::vector<FindOffer> offersOfMenu(const std::function<QMenu*()>& menu) {
  std::vector<FindOffer> all;
  addEntries(*menu(), "", menu, all);
  return all;
}

void openedBy(QWidget* page, const QString& button) {
  page->setProperty(kOpenedBy, button);
}

}  // namespace zp
