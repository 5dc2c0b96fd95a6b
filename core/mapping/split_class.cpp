#include "mapping/split_class.h"

#include <algorithm>
#include <set>

#include "base/error.h"
#include "mapping/k_means.h"
#include "mapping/standard.h"
#include "outline/cut.h"

namespace zp {
namespace {

/// Which of two clusters each sample named is in, the larger one first.
std::vector<size_t> twoClusters(const Samples& samples, const std::vector<size_t>& which) {
  constexpr int kPasses = 100;
  constexpr uint64_t kStart = 1;
  const Standard scale = standardOf(samples, which);
  Columns columns(samples.features.size());
  for (size_t f = 0; f < columns.size(); ++f)
    for (const size_t i : which) columns[f].push_back(scale.of(samples.sample(i)[f], f));
  const Clusters found = kMeans(HeldPixels(columns), spreadStart(columns, 2, kStart), kPasses);
  if (found.count() < 2)
    throw Error("The training pixels of the class are all alike; there is nothing to split.");
  std::vector<const float*> at;
  for (const auto& c : columns) at.push_back(c.data());
  std::vector<int16_t> nearest(which.size());
  std::vector<float> squared(which.size());
  NearestMean(found.means, columns.size())
      .assign(at.data(), which.size(), nearest.data(), squared.data());
  const auto first = std::count(nearest.begin(), nearest.end(), 0);
  const bool turned = 2 * first < std::ssize(nearest);
  std::vector<size_t> part;
  for (const int16_t n : nearest) part.push_back((n == 0) != turned ? 0 : 1);
  return part;
}

class Splitting {
 public:
  Splitting(const Samples& samples, const std::vector<size_t>& which, ClassSplit& split)
      : split_(split) {
    const auto part = twoClusters(samples, which);
    for (auto& p : split.parts) p.mean.assign(samples.features.size(), 0);
    for (size_t k = 0; k < which.size(); ++k) {
      auto& p = split.parts[part[k]];
      ++p.pixels;
      for (size_t f = 0; f < p.mean.size(); ++f)
        p.mean[f] += static_cast<double>(samples.sample(which[k])[f]);
      const auto& at = samples.pixels[which[k]];
      pixels_[samples.areas[which[k]]][part[k]].push_back({at.row, at.column, at.column + 1});
    }
    for (auto& p : split.parts)
      for (double& m : p.mean) m /= static_cast<double>(p.pixels);
  }

  void add(size_t place, const TrainingArea& area, const Grid& grid,
           const std::array<std::string, 2>& names) {
    constexpr size_t kWhole = 10;
    const auto& own = pixels_[place];
    const size_t all = own[0].size() + own[1].size();
    for (const size_t part : {0, 1}) {
      const bool whole = own[1 - part].size() * kWhole < all || all == 0;
      if (own[part].size() * kWhole < all || (all == 0 && part == 1)) continue;
      TrainingArea piece = area;
      piece.subclass = names[part];
      if (!whole) piece.shape = cutTo(area.shape, own[part], grid);
      split_.parts[part].areas.push_back(split_.areas.size());
      split_.areas.push_back(std::move(piece));
    }
  }

 private:
  ClassSplit& split_;
  std::map<size_t, std::array<std::vector<Span>, 2>> pixels_;  // of each area, by part
};

}  // namespace

ClassSplit splitClass(const Samples& samples, const std::vector<TrainingArea>& areas,
                      const Grid& grid, int code, const std::string& subclass,
                      const std::array<std::string, 2>& names) {
  std::vector<size_t> which;
  for (size_t i = 0; i < samples.size(); ++i)
    if (samples.codes[i] == code && samples.subclass(i) == subclass) which.push_back(i);
  if (which.size() < 2)
    throw Error("The class has fewer than two training pixels; there is nothing to split.");
  ClassSplit split{code, subclass, {}, {}};
  Splitting parts(samples, which, split);
  for (size_t a = 0; a < areas.size(); ++a) {
    if (areas[a].code == code && areas[a].subclass == subclass)
      parts.add(a, areas[a], grid, names);
    else
      split.areas.push_back(areas[a]);
  }
  return split;
}

std::vector<TrainingArea> withoutPart(const ClassSplit& split, size_t part) {
  const std::set<size_t> gone(split.parts[part].areas.begin(), split.parts[part].areas.end()),
      kept(split.parts[1 - part].areas.begin(), split.parts[1 - part].areas.end());
  std::vector<TrainingArea> left;
  for (size_t a = 0; a < split.areas.size(); ++a) {
    if (gone.count(a) > 0) continue;
    left.push_back(split.areas[a]);
    if (kept.count(a) > 0) left.back().subclass = split.subclass;
  }
  return left;
}

}  // namespace zp
