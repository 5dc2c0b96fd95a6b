#include "desks/class_key.h"

#include "look/look.h"

namespace zp {

QString keyOfClass(size_t i) {
  static const QString kKeys = "123456789abcdefghijklopqrstvwxyz";  // without m, n and u
  return i < static_cast<size_t>(kKeys.size()) ? QString(kKeys[static_cast<qsizetype>(i)])
                                               : QString();
}

ClassKey::ClassKey(const QString& key, const QString& name, const QColor& colour)
    : key_(key), name_(name), colour_(colour) {
  setStyleSheet("QPushButton { min-height: 52px; max-height: 52px; padding: 0; }");
  setMinimumWidth(60);
  setFocusPolicy(Qt::NoFocus);
  setAccessibleName(key + ", " + name);
  setCursor(Qt::PointingHandCursor);
  setCheckable(true);
}

void ClassKey::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const Tokens& t = tokens();
  QPainterPath shape;
  shape.addRoundedRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5), 4, 4);
  p.fillPath(shape, isChecked() ? t.chosen : underMouse() ? t.hairline : t.raised);
  if (colour_.isValid()) {
    p.setClipPath(shape);
    p.fillRect(QRect(0, height() - 4, width(), 4), colour_);
  } else {
    p.setPen(QPen(t.second, 1, Qt::DashLine));
    p.drawPath(shape);
  }
  p.setPen(isChecked() ? t.text : t.second);
  p.setFont(figureFont(9.5));
  p.drawText(QRect(10, 7, width() - 14, 18), Qt::AlignVCenter, key_);
  p.setPen(t.text);
  p.setFont(textFont(10));
  p.drawText(QRect(10, 25, width() - 14, 20), Qt::AlignVCenter,
             p.fontMetrics().elidedText(name_, Qt::ElideRight, width() - 14));
}

QLabel* keyHint(const QString& key, const QString& what) {
  auto* l =
      new QLabel(QString("<span style=\"font-family:'JetBrains Mono'\"><b>%1</b></span>&nbsp; %2")
                     .arg(key, what));
  l->setTextFormat(Qt::RichText);
  l->setFont(textFont(9.5));
  setTone(l, "second");
  return l;
}

}  // namespace zp
