#pragma once
#include <QImage>
#include <QObject>
#include <QTimer>
#include <map>
#include <mutex>
#include <set>

#include "background/background.h"
#include "view/picture.h"

namespace zp {

/// A tile of 256 x 256 pixels at a resolution of 2^level map units a pixel; (0, 0) touches the
/// map's origin from the upper right.
struct TileId {
  int level = 0;
  int64_t x = 0, y = 0;
  auto operator<=>(const TileId&) const = default;
};

/// Paints tiles of pictures in the background and keeps the last few hundred. Everything public is
/// for the window's thread.
class TileStore : public QObject {
  Q_OBJECT
 public:
  explicit TileStore(size_t threads = 2, QObject* parent = nullptr);

  /// Forgets what was asked before; the first of `wanted` is painted first.
  void want(const std::vector<std::pair<Picture, TileId>>& wanted, const std::string& crs);
  /// Null while it is not there.
  const QImage* tile(const QString& pictureKey, TileId id);
  /// Null until the picture has been looked over.
  const Overview* overview(const QString& pictureKey) const;
  bool has(const QString& pictureKey) const;
  bool idle() const { return background_.idle(); }
  void forget(const QString& pictureKey);

  static MapPiece pieceOf(TileId id);
  static constexpr int kSize = 256;

 Q_SIGNALS:
  void arrived();
  void overviewArrived(const QString& pictureKey);
  /// A picture could not be read; the sentence says why. It is tried again every few seconds,
  /// without a word, while it is wanted.
  void failed(const QString& pictureKey, const QString& sentence);

 private:
  using Key = std::pair<QString, TileId>;
  using SharedPicture = std::shared_ptr<const Picture>;
  /// The rest is for the threads: each paints one tile with its own painter.
  Answer paint(const SharedPicture& picture, TileId id, const std::string& crs, size_t thread);
  Stretch stretchOf(const Picture& picture, PicturePainter& painter);
  std::optional<Stretch> knownStretch(const QString& key) const;
  bool unreadable(const QString& key) const;
  void take(const Key& key, const QImage& image);
  void notRead(const QString& key, const QString& sentence);
  void tryAgain();

  std::map<Key, std::pair<QImage, uint64_t>> tiles_;  // with when they were last asked for
  std::map<QString, Overview> overviews_;
  std::set<QString> told_;  // of whose not being read was told
  QTimer again_;
  uint64_t clock_ = 0;
  std::string crs_;

  std::vector<PicturePainter> painters_;  // one a thread
  mutable std::mutex mutex_;              // of what the threads know of pictures:
  std::map<QString, Stretch> stretches_;
  std::set<QString> unreadable_;
  std::mutex looking_;  // one thread looks a picture over; the others wait for what it finds
  Background background_;
};

}  // namespace zp
