#include "desks/scenes/composite_card.h"

#include "look/look.h"

namespace zp {

CompositeCard::CompositeCard(const QString& title, const QString& shortTitle)
    : QPushButton(shortTitle) {
  setAccessibleName(title);
  setCheckable(true);
  setFixedSize(sizeHint());
  setCursor(Qt::PointingHandCursor);
  setToolTip(title);
}

void CompositeCard::setThumbnail(const QImage& image) {
  image_ = image;
  update();
}

void CompositeCard::paintEvent(QPaintEvent*) {
  constexpr int kPicture = 68;
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  p.setRenderHint(QPainter::SmoothPixmapTransform);
  const Tokens& t = tokens();
  QPainterPath shape;
  shape.addRoundedRect(QRectF(rect()).adjusted(1, 1, -1, -1), 4, 4);
  p.fillPath(shape, t.raised);
  p.save();
  p.setClipPath(shape);
  const QRectF box(0, 0, width(), kPicture);
  p.fillRect(box, t.around);
  if (!image_.isNull()) p.drawImage(box, image_);
  p.restore();
  p.setPen(t.text);
  p.setFont(textFont(9));
  p.drawText(QRectF(8, kPicture, width() - 12, height() - kPicture), Qt::AlignVCenter,
             p.fontMetrics().elidedText(text(), Qt::ElideRight, width() - 14));
  if (!isChecked() && !hasFocus()) return;
  p.setPen(QPen(t.accent, 2));
  p.setBrush(Qt::NoBrush);
  p.drawPath(shape);
}

}  // namespace zp
