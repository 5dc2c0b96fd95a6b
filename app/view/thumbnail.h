#pragma once
#include <QHash>
#include <QObject>

#include "background/background.h"
#include "view/picture.h"

namespace zp {

/// All of a picture in a small one of `width` x `height`. Error when it cannot be read. For a
/// thread of its own.
QImage thumbnailOf(const Picture& picture, int width, int height);

/// Small pictures, made one after the other in the background and kept.
class Thumbnails : public QObject {
  Q_OBJECT
 public:
  Thumbnails(int width, int height, QObject* parent);

  /// Before all that are shown are asked for. What was not asked for in the last few rounds goes.
  void startRound();
  /// `take` gets it at once where it is kept, else when it is made, as long as `receiver` is there.
  /// Of what cannot be read nothing comes; the view says why.
  void ask(const Picture& picture, QObject* receiver, std::function<void(const QImage&)> take);
  /// What is being made does not arrive any more.
  void forget();
  qsizetype kept() const { return kept_.size(); }

 private:
  int width_, height_;
  struct Kept {
    QImage image;
    int round = 0;  // in which it was last asked for
  };
  QHash<QString, Kept> kept_;
  int round_ = 0;
  Background background_;
};

}  // namespace zp
