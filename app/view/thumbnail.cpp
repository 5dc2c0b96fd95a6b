#include "view/thumbnail.h"

#include <QPointer>

namespace zp {

namespace {
constexpr int kRounds = 8;
}

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
    : QObject(parent), width_(width), height_(height) {}

void Thumbnails::ask(const Picture& picture, QObject* receiver,
                     std::function<void(const QImage&)> take) {
  if (const auto known = kept_.find(picture.key); known != kept_.end()) {
    known->round = round_;
    return take(known->image);
  }
  background_.add(asked(
      [picture, w = width_, h = height_](const Progress&) { return thumbnailOf(picture, w, h); },
      [this, take, guard = QPointer<QObject>(receiver), key = picture.key](const QImage& image) {
        kept_[key] = {image, round_};
        if (guard) take(image);
      },
      [](const QString&) {}));  // the view says why
}

void Thumbnails::startRound() {
  ++round_;
  kept_.removeIf([this](const auto& entry) { return entry->round + kRounds < round_; });
}

void Thumbnails::forget() {
  background_.stop();
  kept_.clear();
}

}  // namespace zp
