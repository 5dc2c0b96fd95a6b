#include "mapping/derived.h"

#include <algorithm>

namespace zp {

OfSubclasses::OfSubclasses(std::shared_ptr<const Classifier> parts,
                           const std::vector<SubclassCode>& of)
    : parts_(std::move(parts)) {
  for (const auto& s : of) classes_.push_back(s.of);
  std::sort(classes_.begin(), classes_.end());
  classes_.erase(std::unique(classes_.begin(), classes_.end()), classes_.end());
  codeOf_.assign(static_cast<size_t>(of.back().code) + 1, 0);
  for (const auto& s : of) {
    const auto place = std::lower_bound(classes_.begin(), classes_.end(), s.of) - classes_.begin();
    classOf_.push_back(static_cast<size_t>(place));
    codeOf_[static_cast<size_t>(s.code)] = static_cast<uint16_t>(s.of);
  }
}

void OfSubclasses::classify(const std::vector<const float*>& values, size_t n,
                            uint16_t* codes) const {
  parts_->classify(values, n, codes);
  for (size_t i = 0; i < n; ++i) codes[i] = codeOf_[codes[i]];
}

void OfSubclasses::support(const std::vector<const float*>& values, size_t n, float* out) const {
  std::vector<float> each(classOf_.size() * n);
  parts_->support(values, n, each.data());
  std::fill(out, out + classes_.size() * n, 0.0f);
  for (size_t part = 0; part < classOf_.size(); ++part)
    for (size_t i = 0; i < n; ++i) out[classOf_[part] * n + i] += each[part * n + i];
}

void OnlySure::classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const {
  std::vector<float> confidence(n);
  classifySurely(*all_, values, n, codes, confidence.data());
  for (size_t i = 0; i < n; ++i)
    if (confidence[i] < least_) codes[i] = 0;
}

}  // namespace zp
