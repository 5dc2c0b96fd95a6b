#pragma once
#include <gtest/gtest.h>

#include <QAccessible>
#include <QtWidgets>

#include "look/spoken.h"

namespace zp::testing {

/// Whether one acts on a widget, or it tells what is to be known.
inline bool isControl(const QWidget& w) {
  if (qobject_cast<const QScrollBar*>(&w) != nullptr ||
      qobject_cast<const QHeaderView*>(&w) != nullptr)
    return false;
  if (qobject_cast<const QLineEdit*>(&w) != nullptr &&
      (qobject_cast<const QAbstractSpinBox*>(w.parentWidget()) != nullptr ||
       qobject_cast<const QComboBox*>(w.parentWidget()) != nullptr))
    return false;  // a part of it
  return qobject_cast<const QAbstractButton*>(&w) != nullptr ||
         qobject_cast<const QComboBox*>(&w) != nullptr ||
         qobject_cast<const QLineEdit*>(&w) != nullptr ||
         qobject_cast<const QTextEdit*>(&w) != nullptr ||
         qobject_cast<const QPlainTextEdit*>(&w) != nullptr ||
         qobject_cast<const QAbstractSpinBox*>(&w) != nullptr ||
         qobject_cast<const QAbstractSlider*>(&w) != nullptr ||
         qobject_cast<const QAbstractItemView*>(&w) != nullptr ||
         qobject_cast<const QProgressBar*>(&w) != nullptr ||
         dynamic_cast<const Spoken*>(&w) != nullptr || (w.focusPolicy() & Qt::TabFocus) != 0;
}

/// Every control in sight has a name and a role, each part of a painted one too, and the keyboard
/// gets to it.
inline void expectSpoken(QWidget* within, const char* where) {
  for (auto* w : within->findChildren<QWidget*>()) {
    if (!w->isVisible() || !isControl(*w)) continue;
    const std::string what = std::string(where) + ": " + w->metaObject()->className() + " " +
                             w->objectName().toStdString() + " in " +
                             w->parentWidget()->objectName().toStdString();
    auto* told = QAccessible::queryAccessibleInterface(w);
    ASSERT_NE(told, nullptr) << what;
    EXPECT_FALSE(told->text(QAccessible::Name).trimmed().isEmpty()) << what << " has no name";
    EXPECT_NE(told->role(), QAccessible::NoRole) << what;
    EXPECT_NE(told->role(), QAccessible::Client) << what << " does not tell what it is";
    if (const auto* painted = dynamic_cast<const Spoken*>(w)) {
      const auto parts = painted->parts();
      for (int i = 0; i < std::min<qsizetype>(parts.size(), 40); ++i) {
        auto* part = told->child(i);
        ASSERT_NE(part, nullptr) << what;
        EXPECT_EQ(part->text(QAccessible::Name), parts[i].name) << what;
        EXPECT_FALSE(parts[i].name.isEmpty()) << what << ", part " << i;
        EXPECT_EQ(told->indexOfChild(part), i) << what;
      }
    }
    // Of a group of which one is on, arrows go from that one to the others; keys of the labelling
    // desk stand on its buttons.
    const auto* button = qobject_cast<const QAbstractButton*>(w);
    const bool grouped =
        button != nullptr && button->group() != nullptr && button->group()->exclusive();
    const bool hasKey = w->objectName().startsWith("key-") || w->objectName() == "unsure" ||
                        w->objectName() == "mixed";
    const bool acts = !grouped && !hasKey && dynamic_cast<const Spoken*>(w) == nullptr &&
                      qobject_cast<const QProgressBar*>(w) == nullptr &&
                      w->objectName() != "findList";  // arrows in the field go through it
    if (acts && w->isEnabled()) {
      EXPECT_NE(w->focusPolicy() & Qt::TabFocus, 0) << what << " is not reached by Tab";
    }
  }
}

}  // namespace zp::testing
