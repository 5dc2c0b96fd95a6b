#include "scene/kept_bands.h"

namespace zp {
namespace {

size_t sizeOf(const KeptBands::Values& values) {
  return values->size() * sizeof(float);
}

}  // namespace

KeptBands::Values KeptBands::find(const std::string& band, Window w, int width, int height) {
  const std::lock_guard lock(mutex_);
  const auto at = found_.find(keyOf(band, w, width, height));
  if (at == found_.end()) return nullptr;
  kept_.splice(kept_.begin(), kept_, at->second);
  return at->second->values;
}

void KeptBands::keep(const std::string& band, Window w, int width, int height, Values values) {
  const std::lock_guard lock(mutex_);
  Key key = keyOf(band, w, width, height);
  if (found_.count(key) > 0) return;
  bytes_ += sizeOf(values);
  kept_.push_front({key, std::move(values)});
  found_.emplace(std::move(key), kept_.begin());
  while (bytes_ > most_) {
    bytes_ -= sizeOf(kept_.back().values);
    found_.erase(kept_.back().key);
    kept_.pop_back();
  }
}

size_t KeptBands::bytes() const {
  const std::lock_guard lock(mutex_);
  return bytes_;
}

}  // namespace zp
