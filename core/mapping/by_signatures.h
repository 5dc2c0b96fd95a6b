#pragma once
#include <optional>

#include "mapping/method.h"
#include "mapping/winners.h"
#include "training/signature.h"

namespace zp {

/// What the methods that learn nothing but signatures have in common; the setting `reject` is the
/// distance beyond which a pixel gets no class.
class BySignatures : public Classifier {
 public:
  BySignatures(SignatureSet set, const Json& settings)
      : signatures_(std::move(set)), reject_(rejectOf(settings)) {}
  size_t features() const override { return signatures_.bands.size(); }
  std::vector<int> classes() const override { return signatures_.codes(); }
  Json toJson() const override { return zp::toJson(signatures_); }

  // For the Method of such a one, made from a SignatureSet and settings.
  template <class M>
  static std::unique_ptr<Classifier> train(const Samples& samples, const Json& settings,
                                           const Progress&) {
    return std::make_unique<M>(signaturesOf(samples), settings);
  }
  template <class M>
  static std::unique_ptr<Classifier> read(const Json& learned, const Json& settings) {
    return std::make_unique<M>(signaturesFrom(learned), settings);
  }

 protected:
  SignatureSet signatures_;
  std::optional<double> reject_;
};

}  // namespace zp
