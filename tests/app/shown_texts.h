#pragma once
#include <qcustomplot.h>

#include <QSvgGenerator>
#include <QtWidgets>

namespace zp::testing {

/// Every run of text that painting a widget with all within it writes.
inline QStringList paintedTexts(QWidget* widget) {
  QByteArray bytes;
  QBuffer buffer(&bytes);
  QSvgGenerator svg;
  svg.setOutputDevice(&buffer);
  svg.setSize(widget->size());
  {
    QPainter painter(&svg);
    widget->render(&painter);
  }
  // Charts paint into a picture of their own.
  for (auto* plot : widget->findChildren<QCustomPlot*>()) {
    if (!plot->isVisible() || plot->width() < 20) continue;
    QByteArray own;
    QBuffer into(&own);
    QSvgGenerator page;
    page.setOutputDevice(&into);
    page.setSize(plot->size());
    {
      QCPPainter painter;
      painter.begin(&page);
      plot->toPainter(&painter, plot->width(), plot->height());
    }
    bytes += own;
  }
  QStringList texts;
  static const QRegularExpression run("<text[^>]*>([^<]*)</text>");
  auto found = run.globalMatch(QString::fromUtf8(bytes));
  while (found.hasNext()) {
    QString text = found.next().captured(1).trimmed();
    text.replace("&lt;", "<").replace("&gt;", ">").replace("&quot;", "\"").replace("&amp;", "&");
    if (!text.isEmpty()) texts << text;
  }
  return texts;
}

/// What is told without being painted: hints, names for those who do not see, entries of menus.
inline QStringList toldTexts(QWidget* widget) {
  QStringList texts;
  QList<QWidget*> all = widget->findChildren<QWidget*>();
  for (auto* w : all) {
    if (!w->isVisible()) continue;
    texts << w->toolTip() << w->accessibleName();
    if (const auto* line = qobject_cast<QLineEdit*>(w)) texts << line->placeholderText();
    if (const auto* box = qobject_cast<QComboBox*>(w))
      for (int i = 0; i < box->count(); ++i) texts << box->itemText(i);
    if (const auto* list = qobject_cast<QListWidget*>(w))
      for (int i = 0; i < list->count(); ++i)
        texts << list->item(i)->text() << list->item(i)->toolTip();
    if (const auto* button = qobject_cast<QToolButton*>(w); button != nullptr && button->menu())
      for (const auto* action : button->menu()->actions()) texts << action->text();
  }
  for (auto& text : texts) text.remove(QRegularExpression("<[^>]*>"));
  texts.removeAll(QString());
  return texts;
}

}  // namespace zp::testing
