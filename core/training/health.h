#pragma once
#include <optional>
#include <string>
#include <vector>

#include "base/sentence.h"
#include "training/signature.h"

namespace zp {

/// What is to be thought of the training of a class.
///   Thin    fewer than ten pixels a feature (Swain and Davis 1978)
///   Mixed   two peaks more than four of their spreads apart, in two features (in one, where there
///           are fewer than four) or along one of the two directions of most spread; within a
///           subclass, for that a class has several of them is known
///   Wide    its spreads are more than two and a half times those of the middle class, in the
///           geometric mean over the features
enum class Health { Good, Thin, Mixed, Wide };
const char* wordOf(Health health);

struct ClassHealth {
  int code = 0;
  Health word = Health::Good;
  Sentence reason{""};               // empty when it is good
  std::vector<std::string> peaks{};  // features with two peaks
  std::string subclass{};            // that is mixed; "" where the class has none
};

/// Of each class of `set`, in its order. `set`: the signatures of the samples.
std::vector<ClassHealth> healthOf(const Samples& samples, const SignatureSet& set);

/// How many samples of a class lie in each part of the range of a feature, mean ± 3 spreads of the
/// class, the highest being 1; empty for a class without spread.
/// `area`: of the samples of that training area alone.
std::vector<double> shapeOf(const Samples& samples, const Signature& signature, size_t feature,
                            size_t bars, std::optional<size_t> area = {});

/// Two classes and how well they can be told apart.
struct ConfusablePair {
  int a = 0, b = 0;
  double jeffriesMatusita = 0;  // 0…2
  std::string feature;          // that parts them best by itself
};

/// All pairs whose distance is known, the most alike first.
std::vector<ConfusablePair> confusablePairs(const SignatureSet& set);

}  // namespace zp
