#include "mapping/doubts.h"

#include <algorithm>
#include <cmath>
#include <numeric>

#include "base/nan.h"

namespace zp {
namespace {

constexpr double kLooked = 200'000;  // pixels

/// Of the neighbours that have a value; NaN where the pixel has none.
std::vector<float> meanAround(const std::vector<float>& values, int width, int height) {
  std::vector<float> means(values.size(), kNan);
  for (int y = 0; y < height; ++y)
    for (int x = 0; x < width; ++x) {
      const auto at = [&](int c, int r) {
        return values[static_cast<size_t>(r) * static_cast<size_t>(width) + static_cast<size_t>(c)];
      };
      if (std::isnan(at(x, y))) continue;
      float sum = 0, n = 0;
      for (int r = std::max(0, y - 1); r <= std::min(height - 1, y + 1); ++r)
        for (int c = std::max(0, x - 1); c <= std::min(width - 1, x + 1); ++c)
          if (const float v = at(c, r); !std::isnan(v)) sum += v, ++n;
      means[static_cast<size_t>(y) * static_cast<size_t>(width) + static_cast<size_t>(x)] = sum / n;
    }
  return means;
}

/// Pixels at a reduced size and what is known of each.
struct Looked {
  int width = 1, height = 1;
  std::vector<uint16_t> codes, other;
  std::vector<float> confidence, unlikeness, dispute;
};

Looked lookAt(const FeatureReader& reader, const Classifier& classifier,
              const Unlikeness& unlikeness, const Classifier* other, const Progress& progress) {
  const Grid& grid = reader.grid();
  Looked l;
  const double shrink = std::max(
      1.0, std::sqrt(static_cast<double>(grid.width) * static_cast<double>(grid.height) / kLooked));
  l.width = std::max(1, static_cast<int>(grid.width / shrink));
  l.height = std::max(1, static_cast<int>(grid.height / shrink));
  const auto values = reader.reduced({0, 0, grid.width, grid.height}, l.width, l.height);
  const size_t row = static_cast<size_t>(l.width), n = row * static_cast<size_t>(l.height);
  l.codes.resize(n);
  l.confidence.resize(n);
  l.unlikeness.resize(n);
  l.other.resize(n);
  l.dispute.assign(n, 0);
  std::vector<float> sure(row);
  std::vector<const float*> at(values.size());
  for (size_t from = 0; from < n; from += row) {
    progress.at(static_cast<double>(from) / static_cast<double>(n));
    for (size_t f = 0; f < values.size(); ++f) at[f] = values[f].data() + from;
    classifySurely(classifier, at, row, l.codes.data() + from, l.confidence.data() + from);
    unlikeness.of(at, row, l.unlikeness.data() + from);
    if (other == nullptr) continue;
    classifySurely(*other, at, row, l.other.data() + from, sure.data());
    for (size_t i = 0; i < row; ++i)
      if (const size_t p = from + i; l.codes[p] != 0 && l.other[p] != 0 && l.codes[p] != l.other[p])
        l.dispute[p] = std::min(l.confidence[p], sure[i]);
  }
  for (float& u : l.unlikeness) u = static_cast<float>(static_cast<double>(u) / unlikeness.limit());
  return l;
}

}  // namespace

std::vector<size_t> worstApart(const std::vector<float>& scores, int width, size_t most,
                               double apart) {
  std::vector<size_t> order;
  for (size_t i = 0; i < scores.size(); ++i)
    if (scores[i] != 0 && !std::isnan(scores[i])) order.push_back(i);
  std::stable_sort(order.begin(), order.end(),
                   [&](size_t a, size_t b) { return scores[a] > scores[b]; });
  std::vector<size_t> chosen;
  for (const size_t i : order) {
    if (chosen.size() == most) break;
    const auto near = [&](size_t other) {
      const auto across = static_cast<double>(i % static_cast<size_t>(width)) -
                          static_cast<double>(other % static_cast<size_t>(width)),
                 down = static_cast<double>(i / static_cast<size_t>(width)) -
                        static_cast<double>(other / static_cast<size_t>(width));
      return std::hypot(across, down) < apart;
    };
    if (std::none_of(chosen.begin(), chosen.end(), near)) chosen.push_back(i);
  }
  return chosen;
}

MapDoubts doubtsOf(const FeatureReader& reader, const Classifier& classifier,
                   const Unlikeness& unlikeness, size_t most, const Progress& progress,
                   const Classifier* other) {
  const Looked l = lookAt(reader, classifier, unlikeness, other, progress);
  MapDoubts doubts;
  std::vector<float> unsure(l.codes.size());
  for (size_t i = 0; i < l.codes.size(); ++i) {
    unsure[i] = 1 - l.confidence[i];
    if (l.codes[i] == 0) continue;
    const bool unlike = l.unlikeness[i] > 1;
    auto& of = doubts.classes[l.codes[i]];
    ++doubts.pixels, ++of.first;
    doubts.unlike += unlike, of.second += unlike;
  }
  const double apart = std::min(l.width, l.height) / 8.0;
  const Grid& grid = reader.grid();
  const auto told = [&](size_t i) {
    const double x = (static_cast<double>(i % static_cast<size_t>(l.width)) + 0.5) / l.width,
                 y = (static_cast<double>(i / static_cast<size_t>(l.width)) + 0.5) / l.height;
    return MapDoubts::At{grid.toMap(x * grid.width, y * grid.height), l.codes[i],
                         static_cast<double>(l.confidence[i]), static_cast<double>(l.unlikeness[i]),
                         l.other[i]};
  };
  for (const size_t i : worstApart(meanAround(unsure, l.width, l.height), l.width, most, apart))
    doubts.leastSure.push_back(told(i));
  for (const size_t i :
       worstApart(meanAround(l.unlikeness, l.width, l.height), l.width, most, apart))
    doubts.mostUnlike.push_back(told(i));
  for (const size_t i : worstApart(meanAround(l.dispute, l.width, l.height), l.width, most, apart))
    if (l.dispute[i] > 0) doubts.disagreed.push_back(told(i));
  return doubts;
}

}  // namespace zp
