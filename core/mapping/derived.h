#pragma once
#include "mapping/method.h"
#include "training/subclasses.h"

namespace zp {

/// A classifier of subclasses that gives their classes: what speaks for a class is the sum of what
/// speaks for its subclasses, and its pixels are those of any of them.
class OfSubclasses : public Classifier {
 public:
  /// `of`: all that `parts` gives, rising.
  OfSubclasses(std::shared_ptr<const Classifier> parts, const std::vector<SubclassCode>& of);
  size_t features() const override { return parts_->features(); }
  std::vector<int> classes() const override { return classes_; }
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override;
  void support(const std::vector<const float*>& values, size_t n, float* out) const override;
  Json toJson() const override { return parts_->toJson(); }
  Json facts() const override { return parts_->facts(); }

 private:
  std::shared_ptr<const Classifier> parts_;
  std::vector<int> classes_;
  std::vector<size_t> classOf_;   // of each part: its place among the classes
  std::vector<uint16_t> codeOf_;  // of each code of a part
};

/// A classifier that gives no class where too little speaks for it.
class OnlySure : public Classifier {
 public:
  OnlySure(std::shared_ptr<const Classifier> all, double least)
      : all_(std::move(all)), least_(static_cast<float>(least)) {}
  size_t features() const override { return all_->features(); }
  std::vector<int> classes() const override { return all_->classes(); }
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override;
  void support(const std::vector<const float*>& values, size_t n, float* out) const override {
    all_->support(values, n, out);
  }
  Json toJson() const override { return all_->toJson(); }
  Json facts() const override { return all_->facts(); }

 private:
  std::shared_ptr<const Classifier> all_;
  float least_;
};

}  // namespace zp
