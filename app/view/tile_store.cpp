#include "view/tile_store.h"

#include <cmath>

namespace zp {

namespace {
constexpr size_t kKept = 700;
constexpr int kAgain = 3000;
}  // namespace

TileStore::TileStore(size_t threads, QObject* parent)
    : QObject(parent), background_(nullptr, threads) {
  const auto kept = std::make_shared<KeptBands>();
  for (size_t i = 0; i < threads; ++i) painters_.emplace_back(kept);
  again_.setSingleShot(true);
  again_.setInterval(kAgain);
  connect(&again_, &QTimer::timeout, this, &TileStore::tryAgain);
}

MapPiece TileStore::pieceOf(TileId id) {
  const double unit = std::exp2(id.level);
  return {static_cast<double>(id.x) * kSize * unit, -static_cast<double>(id.y) * kSize * unit, unit,
          kSize, kSize};
}

void TileStore::want(const std::vector<std::pair<Picture, TileId>>& wanted,
                     const std::string& crs) {
  crs_ = crs;
  std::vector<Work> works;
  SharedPicture shared;
  for (const auto& [picture, id] : wanted) {
    if (!shared || shared->key != picture.key) shared = std::make_shared<const Picture>(picture);
    works.push_back([this, shared, id = id, crs](const Progress&, size_t thread) {
      return paint(shared, id, crs, thread);
    });
  }
  background_.replace(std::move(works));
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

void TileStore::forget(const QString& key) {
  std::erase_if(tiles_, [&](const auto& t) { return t.first.first == key; });
  overviews_.erase(key);
  told_.erase(key);
  const std::lock_guard lock(mutex_);
  stretches_.erase(key);
  unreadable_.erase(key);
}

void TileStore::notRead(const QString& key, const QString& sentence) {
  again_.start();
  if (told_.insert(key).second) Q_EMIT failed(key, sentence);
}

/// The disk may be back.
void TileStore::tryAgain() {
  {
    const std::lock_guard lock(mutex_);
    unreadable_.clear();
  }
  Q_EMIT arrived();
}

void TileStore::take(const Key& key, const QImage& image) {
  told_.erase(key.first);
  tiles_[key] = {image, ++clock_};
  while (tiles_.size() > kKept) {
    auto oldest = tiles_.begin();
    for (auto t = tiles_.begin(); t != tiles_.end(); ++t)
      if (t->second.second < oldest->second.second) oldest = t;
    const QString of = oldest->first.first;
    tiles_.erase(oldest);
    if (!has(of)) forget(of);
  }
  Q_EMIT arrived();
}

bool TileStore::unreadable(const QString& key) const {
  const std::lock_guard lock(mutex_);
  return unreadable_.count(key) > 0;
}

std::optional<Stretch> TileStore::knownStretch(const QString& key) const {
  const std::lock_guard lock(mutex_);
  const auto at = stretches_.find(key);
  return at == stretches_.end() ? std::nullopt : std::optional(at->second);
}

Stretch TileStore::stretchOf(const Picture& picture, PicturePainter& painter) {
  if (const auto known = knownStretch(picture.key)) return *known;
  const std::lock_guard look(looking_);
  if (const auto known = knownStretch(picture.key)) return *known;
  const Overview o = painter.overview(picture);
  {
    const std::lock_guard lock(mutex_);
    stretches_[picture.key] = o.stretch;
  }
  background_.post([this, key = picture.key, o] {
    overviews_[key] = o;
    Q_EMIT overviewArrived(key);
  });
  return o.stretch;
}

Answer TileStore::paint(const SharedPicture& picture, TileId id, const std::string& crs,
                        size_t thread) {
  const QString key = picture->key;
  if (unreadable(key)) return {};
  PicturePainter& painter = painters_[thread];
  try {
    const Stretch stretch = stretchOf(*picture, painter);
    const QImage image = painter.paint(*picture, stretch, pieceOf(id), crs);
    return [this, key, id, image, crs] {
      if (crs == crs_) take({key, id}, image);
    };
  } catch (const std::exception& e) {
    {
      const std::lock_guard lock(mutex_);
      unreadable_.insert(key);
    }
    return [this, key, sentence = sentenceOf(e)] { notRead(key, sentence); };
  }
}

}  // namespace zp
