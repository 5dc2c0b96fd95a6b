#include "view/tile_store.h"

#include <QMetaObject>
#include <cmath>

#include "base/error.h"
#include "look/words.h"

namespace zp {

namespace {
constexpr size_t kKept = 700;
}

TileStore::TileStore(int threads, QObject* parent) : QObject(parent) {
  for (int i = 0; i < threads; ++i)
    threads_.emplace_back([this](std::stop_token stop) { work(stop); });
}

TileStore::~TileStore() {
  for (auto& t : threads_) t.request_stop();
  wake_.notify_all();
}

MapPiece TileStore::pieceOf(TileId id) {
  const double unit = std::exp2(id.level);
  return {static_cast<double>(id.x) * kSize * unit, -static_cast<double>(id.y) * kSize * unit, unit,
          kSize, kSize};
}

void TileStore::want(const std::vector<std::pair<Picture, TileId>>& wanted,
                     const std::string& crs) {
  {
    const std::lock_guard lock(mutex_);
    if (crs != crs_) ++generation_;
    crs_ = crs;
    queue_.assign(wanted.begin(), wanted.end());
  }
  wake_.notify_all();
}

const QImage* TileStore::tile(const QString& key, TileId id) {
  const auto at = tiles_.find({key, id});
  if (at == tiles_.end()) return nullptr;
  at->second.second = ++clock_;
  return &at->second.first;
}

const Overview* TileStore::overview(const QString& key) const {
  const auto at = overviews_.find(key);
  return at == overviews_.end() ? nullptr : &at->second;
}

bool TileStore::has(const QString& key) const {
  const auto at = tiles_.lower_bound({key, TileId{-10000, 0, 0}});
  return at != tiles_.end() && at->first.first == key;
}

bool TileStore::idle() const {
  const std::lock_guard lock(mutex_);
  return queue_.empty() && working_ == 0;
}

void TileStore::forget(const QString& key) {
  std::erase_if(tiles_, [&](const auto& t) { return t.first.first == key; });
  overviews_.erase(key);
  const std::lock_guard lock(mutex_);
  stretches_.erase(key);
  unreadable_.erase(key);
}

void TileStore::take(const Key& key, const QImage& image) {
  tiles_[key] = {image, ++clock_};
  while (tiles_.size() > kKept) {
    auto oldest = tiles_.begin();
    for (auto t = tiles_.begin(); t != tiles_.end(); ++t)
      if (t->second.second < oldest->second.second) oldest = t;
    tiles_.erase(oldest);
  }
  Q_EMIT arrived();
}

void TileStore::work(std::stop_token stop) {
  PicturePainter painter(kept_);
  while (true) {
    std::pair<Picture, TileId> job;
    std::optional<Stretch> stretch;
    std::string crs;
    int generation = 0;
    {
      std::unique_lock lock(mutex_);
      wake_.wait(lock, stop, [this] { return !queue_.empty(); });
      if (stop.stop_requested()) return;
      job = std::move(queue_.front());
      queue_.pop_front();
      if (unreadable_.count(job.first.key) > 0) continue;
      const auto known = stretches_.find(job.first.key);
      if (known != stretches_.end()) stretch = known->second;
      crs = crs_;
      generation = generation_;
      ++working_;
    }
    const QString key = job.first.key;
    try {
      // One thread looks a picture over; the others wait for what it finds.
      static std::mutex looking;
      std::unique_lock look(looking, std::defer_lock);
      if (!stretch) {
        look.lock();
        const std::lock_guard lock(mutex_);
        if (const auto known = stretches_.find(key); known != stretches_.end())
          stretch = known->second;
      }
      if (!stretch) {
        const Overview o = painter.overview(job.first);
        stretch = o.stretch;
        {
          const std::lock_guard lock(mutex_);
          stretches_[key] = o.stretch;
        }
        QMetaObject::invokeMethod(
            this,
            [this, key, o] {
              overviews_[key] = o;
              Q_EMIT overviewArrived(key);
            },
            Qt::QueuedConnection);
      }
      if (look.owns_lock()) look.unlock();
      const QImage image = painter.paint(job.first, *stretch, pieceOf(job.second), crs);
      QMetaObject::invokeMethod(
          this,
          [this, key, id = job.second, image, generation] {
            if (generation == generation_) take({key, id}, image);
          },
          Qt::QueuedConnection);
    } catch (const std::exception& e) {
      const QString sentence = sentenceOf(e);
      {
        const std::lock_guard lock(mutex_);
        unreadable_.insert(key);
      }
      QMetaObject::invokeMethod(
          this, [this, key, sentence] { Q_EMIT failed(key, sentence); }, Qt::QueuedConnection);
    }
    const std::lock_guard lock(mutex_);
    --working_;
  }
}

}  // namespace zp
