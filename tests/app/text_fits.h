#pragma once
#include <gtest/gtest.h>

#include <QtWidgets>

#include "look/parts.h"

namespace zp::testing {

/// What is written on a widget and does not fit on it.
inline QString cutText(const QWidget& w) {
  const QFontMetrics m(w.font());
  if (const auto* l = qobject_cast<const QLabel*>(&w)) {
    if (l->text().isEmpty() || l->textFormat() == Qt::RichText || l->text().contains('<'))
      return {};
    const QRect r = l->contentsRect();
    if (l->wordWrap()) {
      for (const auto& word : l->text().split(QRegularExpression("[\\s/\u00AD-]")))
        if (m.horizontalAdvance(word) > r.width() + 1) return word;
      return l->heightForWidth(l->width()) > l->height() + 1 ? l->text() : "";
    }
    return m.horizontalAdvance(l->text()) > r.width() + 1 ? l->text() : "";
  }
  if (const auto* b = qobject_cast<const QPushButton*>(&w))
    return m.horizontalAdvance(b->text()) > b->width() ? b->text() : "";
  if (dynamic_cast<const LongChoice*>(&w) != nullptr) return {};  // tells the whole as a hint
  if (const auto* c = qobject_cast<const QComboBox*>(&w))
    return m.horizontalAdvance(c->currentText()) > c->width() - 24 ? c->currentText() : "";
  if (const auto* t = qobject_cast<const QTableWidget*>(&w)) {
    for (int c = 0; c < t->columnCount(); ++c)
      for (int r = 0; r < t->rowCount(); ++r) {
        const auto* item = t->item(r, c);
        if (item == nullptr || t->columnSpan(r, c) > 1 || t->isColumnHidden(c)) continue;
        const int icon = item->icon().isNull() ? 0 : t->iconSize().width() + 4;
        const int need = QFontMetrics(t->font()).horizontalAdvance(item->text()) + icon;
        if (need > t->columnWidth(c)) return item->text();
      }
  }
  return {};
}

/// Every pair of visible widgets of one parent stands beside, not over, each other.
inline void expectNothingOverlaps(QWidget* within) {
  for (auto* parent : within->findChildren<QWidget*>()) {
    QList<QWidget*> shown;
    for (auto* child : parent->children())
      if (auto* one = qobject_cast<QWidget*>(child);
          one != nullptr && one->isVisible() && !one->isWindow())
        shown << one;
    if (qobject_cast<QAbstractScrollArea*>(parent) != nullptr ||
        qobject_cast<QStackedWidget*>(parent) != nullptr || parent->layout() == nullptr)
      continue;
    for (int i = 0; i < shown.size(); ++i)
      for (int j = i + 1; j < shown.size(); ++j) {
        const QRect both = shown[i]->geometry() & shown[j]->geometry();
        EXPECT_TRUE(both.width() < 2 || both.height() < 2)
            << shown[i]->metaObject()->className() << " " << shown[i]->objectName().toStdString()
            << " over " << shown[j]->metaObject()->className() << " "
            << shown[j]->objectName().toStdString();
      }
  }
  // And a text has the room it needs.
  for (auto* label : within->findChildren<QLabel*>()) {
    if (!label->isVisible() || label->text().isEmpty() || !label->wordWrap()) continue;
    EXPECT_GE(label->height() + 1, label->heightForWidth(label->width()))
        << label->text().toStdString();
  }
}

}  // namespace zp::testing
