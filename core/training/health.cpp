#include "training/health.h"

#include <Eigen/Eigenvalues>
#include <algorithm>
#include <cmath>
#include <map>
#include <optional>

#include "base/text.h"
#include "base/words.h"
#include "training/two_peaks.h"

namespace zp {
namespace {

constexpr size_t kLooked = 3000;  // pixels of a class whose peaks are looked for

using Pixels = std::vector<const float*>;

Pixels thinned(const Pixels& all) {
  Pixels few;
  const size_t step = std::max<size_t>(1, (all.size() + kLooked - 1) / kLooked);
  for (size_t i = 0; i < all.size(); i += step) few.push_back(all[i]);
  return few;
}

bool clearPeaks(std::vector<double> values) {
  constexpr double kClear = 4, kShare = 0.15;
  const TwoPeaks p = twoPeaks(std::move(values));
  return p.found && p.apart > kClear && p.smaller >= kShare;
}

/// Along the two directions of most spread of the class.
bool peaksInComponents(const Pixels& pixels, const Signature& s) {
  if (s.mean.size() < 2) return false;
  const Eigen::SelfAdjointEigenSolver<Eigen::MatrixXd> eigen(s.covariance);
  if (eigen.info() != Eigen::Success) return false;
  for (Eigen::Index c = 1; c <= 2; ++c) {
    const Eigen::VectorXd way = eigen.eigenvectors().col(s.mean.size() - c);
    std::vector<double> along;
    for (const float* p : pixels)
      along.push_back(
          way.dot(Eigen::Map<const Eigen::VectorXf>(p, s.mean.size()).cast<double>() - s.mean));
    if (clearPeaks(std::move(along))) return true;
  }
  return false;
}

std::vector<std::string> featuresWithPeaks(const Pixels& pixels,
                                           const std::vector<std::string>& features) {
  std::vector<std::string> found;
  for (size_t f = 0; f < features.size(); ++f) {
    std::vector<double> values;
    for (const float* p : pixels) values.push_back(static_cast<double>(p[f]));
    if (clearPeaks(std::move(values))) found.push_back(features[f]);
  }
  return found.size() >= (features.size() < 4 ? 1u : 2u) ? found : std::vector<std::string>();
}

/// What is mixed in a class: features, or nothing but a direction.
struct Mixture {
  std::vector<std::string> features;
  bool direction = false;
  std::string subclass;
};

std::optional<Mixture> mixtureOf(const Samples& samples, const SignatureSet& set,
                                 const Signature& s) {
  std::map<std::string, Pixels> parts;
  for (size_t i = 0; i < samples.size(); ++i)
    if (samples.codes[i] == s.code) parts[samples.subclass(i)].push_back(samples.sample(i));
  for (const auto& [subclass, all] : parts) {
    if (all.size() < 10 * set.bands.size()) continue;
    const Pixels pixels = thinned(all);
    if (auto features = featuresWithPeaks(pixels, set.bands); !features.empty())
      return Mixture{std::move(features), false, subclass};
    if (peaksInComponents(pixels, s)) return Mixture{{}, true, subclass};
  }
  return {};
}

double median(std::vector<double> v) {
  if (v.empty()) return 0;
  std::nth_element(v.begin(), v.begin() + static_cast<std::ptrdiff_t>(v.size() / 2), v.end());
  return v[v.size() / 2];
}

/// Its spreads against those of the middle class.
double widthOf(const Signature& s, const SignatureSet& set) {
  const Eigen::VectorXd sd = s.sd();
  double sum = 0;
  int features = 0;
  for (Eigen::Index f = 0; f < sd.size(); ++f) {
    std::vector<double> all;
    for (const auto& c : set.classes) all.push_back(c.sd()[f]);
    const double middle = median(std::move(all));
    if (!(middle > 0) || !(sd[f] > 0)) continue;
    sum += std::log(sd[f] / middle);
    ++features;
  }
  return features == 0 ? 1 : std::exp(sum / features);
}

ClassHealth healthOfClass(const Samples& samples, const SignatureSet& set, const Signature& s) {
  constexpr double kWide = 2.5;
  ClassHealth h{.code = s.code};
  const size_t features = set.bands.size();
  if (s.pixels < 10 * features) {
    h.word = Health::Thin;
    h.reason = Sentence("{} pixels for {} features are fewer than ten a feature. Draw more areas.",
                        s.pixels, features);
    return h;
  }
  if (const auto mixture = mixtureOf(samples, set, s)) {
    h.word = Health::Mixed;
    h.peaks = mixture->features;
    h.subclass = mixture->subclass;
    const std::string where = mixture->subclass.empty() ? s.name : mixture->subclass;
    const std::vector<std::string> few(
        h.peaks.begin(), h.peaks.begin() + std::min<std::ptrdiff_t>(3, std::ssize(h.peaks)));
    h.reason = mixture->direction
                   ? Sentence(
                         "“{}” has two peaks over all features together: it seems to hold two "
                         "covers.",
                         where)
                   : Sentence("“{}” has two peaks in {}: it seems to hold two covers.", where,
                              listed(few));
  } else if (const double width = widthOf(s, set); width > kWide) {
    h.word = Health::Wide;
    h.reason =
        Sentence("Its values spread {:.1f} times as wide as those of the middle class.", width);
  }
  return h;
}

}  // namespace

const char* wordOf(Health health) {
  switch (health) {
    case Health::Thin:
      return words("thin");
    case Health::Mixed:
      return words("mixed");
    case Health::Wide:
      return words("wide");
    default:
      return words("good");
  }
}

std::vector<ClassHealth> healthOf(const Samples& samples, const SignatureSet& set) {
  std::vector<ClassHealth> all;
  for (const auto& s : set.classes) all.push_back(healthOfClass(samples, set, s));
  return all;
}

std::vector<double> shapeOf(const Samples& samples, const Signature& s, size_t feature, size_t bars,
                            std::optional<size_t> area) {
  const auto f = static_cast<Eigen::Index>(feature);
  const double sd = s.sd()[f], low = s.mean[f] - 3 * sd;
  if (!(sd > 0)) return {};
  std::vector<double> shape(bars);
  for (size_t i = 0; i < samples.size(); ++i) {
    if (samples.codes[i] != s.code || (area && samples.areas[i] != *area)) continue;
    const double at = (static_cast<double>(samples.sample(i)[feature]) - low) / (6 * sd) *
                      static_cast<double>(bars);
    if (at >= 0 && at < static_cast<double>(bars)) ++shape[static_cast<size_t>(at)];
  }
  const double most = *std::max_element(shape.begin(), shape.end());
  for (double& b : shape) b = most > 0 ? b / most : 0;
  return shape;
}

std::vector<ConfusablePair> confusablePairs(const SignatureSet& set) {
  std::vector<ConfusablePair> all;
  for (size_t i = 0; i < set.classes.size(); ++i)
    for (size_t j = i + 1; j < set.classes.size(); ++j) {
      const Signature &a = set.classes[i], &b = set.classes[j];
      const double distance = jeffriesMatusita(a, b);
      if (std::isnan(distance)) continue;
      double best = -1;
      std::string feature;
      for (Eigen::Index f = 0; f < a.mean.size(); ++f) {
        const auto one = [f](const Signature& s) {
          Signature alone;
          alone.mean = s.mean.segment(f, 1);
          alone.covariance = s.covariance.block(f, f, 1, 1);
          return alone;
        };
        if (const double by = jeffriesMatusita(one(a), one(b)); by > best)
          best = by, feature = set.bands[static_cast<size_t>(f)];
      }
      all.push_back({a.code, b.code, distance, feature});
    }
  std::stable_sort(all.begin(), all.end(), [](const ConfusablePair& x, const ConfusablePair& y) {
    return x.jeffriesMatusita < y.jeffriesMatusita;
  });
  return all;
}

}  // namespace zp
