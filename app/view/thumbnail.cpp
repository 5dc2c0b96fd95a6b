#include "view/thumbnail.h"

#include <QMetaObject>
#include <QPointer>

namespace zp {

QImage thumbnailOf(const Picture& picture, int width, int height) {
  PicturePainter painter;
  const Overview o = painter.overview(picture);
  const Grid g = gridOf(picture);
  const Extent e = g.extent();
  const double scale = std::min((e.right - e.left) / width, (e.top - e.bottom) / height);
  const MapPiece piece{(e.left + e.right) / 2 - scale * width / 2,
                       (e.top + e.bottom) / 2 + scale * height / 2, scale, width, height};
  return painter.paint(picture, o.stretch, piece, g.crs);
}

Thumbnails::Thumbnails(int width, int height, QObject* parent)
    : QObject(parent), width_(width), height_(height) {
  pool_.setMaxThreadCount(1);
}

void Thumbnails::ask(const Picture& picture, QObject* receiver,
                     std::function<void(const QImage&)> take) {
  if (const auto known = kept_.find(picture.key); known != kept_.end()) return take(*known);
  pool_.start([this, picture, take, guard = QPointer<QObject>(receiver), w = width_, h = height_] {
    QImage image;
    try {
      image = thumbnailOf(picture, w, h);
    } catch (const std::exception&) {
      return;
    }
    QMetaObject::invokeMethod(
        this,
        [this, image, take, guard, key = picture.key] {
          kept_[key] = image;
          if (guard) take(image);
        },
        Qt::QueuedConnection);
  });
}

}  // namespace zp
