#pragma once
#include <QCache>
#include <QImage>
#include <QObject>
#include <condition_variable>
#include <deque>
#include <map>
#include <mutex>
#include <set>
#include <thread>

#include "view/picture.h"

namespace zp {

/// A tile of 256 x 256 pixels at a resolution of 2^level map units a pixel; (0, 0) touches the
/// map's origin from the upper right.
struct TileId {
  int level = 0;
  int64_t x = 0, y = 0;
  auto operator<=>(const TileId&) const = default;
};

/// Paints tiles of pictures on threads of its own and keeps the last few hundred. Everything public
/// is for the window's thread.
class TileStore : public QObject {
  Q_OBJECT
 public:
  explicit TileStore(int threads = 2, QObject* parent = nullptr);
  ~TileStore() override;

  /// Forgets what was asked before; the first of `wanted` is painted first.
  void want(const std::vector<std::pair<Picture, TileId>>& wanted, const std::string& crs);
  /// Null while it is not there.
  const QImage* tile(const QString& pictureKey, TileId id);
  /// Null until the picture has been looked over.
  const Overview* overview(const QString& pictureKey) const;
  bool has(const QString& pictureKey) const;
  bool idle() const;
  void forget(const QString& pictureKey);

  static MapPiece pieceOf(TileId id);
  static constexpr int kSize = 256;

 Q_SIGNALS:
  void arrived();
  void overviewArrived(const QString& pictureKey);
  /// A picture could not be read; the sentence says why.
  void failed(const QString& pictureKey, const QString& sentence);

 private:
  using Key = std::pair<QString, TileId>;
  void work(std::stop_token stop);
  void take(const Key& key, const QImage& image);

  std::map<Key, std::pair<QImage, uint64_t>> tiles_;  // with when they were last asked for
  std::map<QString, Overview> overviews_;
  const std::shared_ptr<KeptBands> kept_ = std::make_shared<KeptBands>();
  std::set<QString> broken_;
  uint64_t clock_ = 0;

  mutable std::mutex mutex_;
  std::condition_variable_any wake_;
  std::deque<std::pair<Picture, TileId>> queue_;
  std::map<QString, Stretch> stretches_;
  std::set<QString> unreadable_;
  std::string crs_;
  int working_ = 0;
  int generation_ = 0;
  std::vector<std::jthread> threads_;
};

}  // namespace zp
