#pragma once
#include <qcustomplot.h>

#include <QSvgGenerator>
#include <QtWidgets>
#include <functional>

namespace zp::testing {

struct Drawing {
  QByteArray svg;
  QImage seen;
};

/// What painting a widget with all within it draws: itself, and each chart, which paints into a
/// picture of its own.
inline QList<Drawing> drawingsOf(QWidget* widget) {
  const auto drawn = [](QWidget& of, const std::function<void(QSvgGenerator&)>& draw) {
    Drawing drawing{{}, of.grab().toImage().scaled(of.size())};
    QBuffer buffer(&drawing.svg);
    QSvgGenerator svg;
    svg.setOutputDevice(&buffer);
    svg.setSize(of.size());
    svg.setViewBox(QRect(QPoint(), of.size()));
    draw(svg);
    return drawing;
  };
  QList<Drawing> all{drawn(*widget, [&](QSvgGenerator& svg) {
    QPainter painter(&svg);
    widget->render(&painter);
  })};
  for (auto* plot : widget->findChildren<QCustomPlot*>())
    if (plot->isVisible() && plot->width() >= 20)
      all << drawn(*plot, [&](QSvgGenerator& svg) {
        QCPPainter painter;
        painter.begin(&svg);
        plot->toPainter(&painter, plot->width(), plot->height());
      });
  return all;
}

/// Every run of text in them.
inline QStringList textsIn(const QList<Drawing>& drawings) {
  QByteArray bytes;
  for (const auto& one : drawings) bytes += one.svg;
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

inline QStringList paintedTexts(QWidget* widget) {
  return textsIn(drawingsOf(widget));
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
