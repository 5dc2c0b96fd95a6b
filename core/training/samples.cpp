#include "training/samples.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <map>

#include "base/error.h"
#include "base/random.h"
#include "grid/block_pipeline.h"

namespace zp {
namespace {

using Run = LabelledPixels::Run;

/// Draws as many of a class as the limit allows, while its pixels pass by.
class Drawing {
 public:
  Drawing(size_t pixels, size_t most, uint64_t seed)
      : left_(pixels), wanted_(std::min(pixels, most)), all_(pixels <= most), random_(seed) {}
  bool takes() {
    if (all_) return true;
    const bool taken =
        random_.uniform() * static_cast<double>(left_--) < static_cast<double>(wanted_);
    wanted_ -= taken ? 1 : 0;
    return taken;
  }

 private:
  size_t left_, wanted_;
  bool all_;
  Random random_;
};

/// The part of a run that lies in a window.
Run within(Run run, Window w) {
  run.from = std::max(run.from, w.x);
  run.to = std::min(run.to, w.x + w.width);
  return run;
}

/// Calls for every run of a window that has pixels in it, `first` being the first that can.
template <class Visit>
void eachRun(const std::vector<Run>& runs, Window w, Visit visit) {
  const auto byRow = [](const Run& run, int row) { return run.row < row; };
  for (auto run = std::lower_bound(runs.begin(), runs.end(), w.y, byRow);
       run != runs.end() && run->row < w.y + w.height; ++run)
    if (const Run part = within(*run, w); part.from < part.to) visit(part);
}

class Collector {
 public:
  Collector(Samples& samples, const LabelledPixels& labels, const SampleLimit& limit)
      : samples_(samples) {
    std::map<int, size_t> pixels;
    for (const auto& r : labels.runs) pixels[r.code] += static_cast<size_t>(r.to - r.from);
    for (const auto& [code, n] : pixels)
      drawings_.emplace(code,
                        Drawing(n, limit.perClass, mix(limit.seed, static_cast<uint64_t>(code))));
  }

  void add(const Run& run, const FeatureBlock& block) {
    const Window& w = block.window;
    Drawing& drawing = drawings_.at(run.code);
    size_t valid = 0;
    for (int c = run.from; c < run.to; ++c) {
      const size_t p = static_cast<size_t>(run.row - w.y) * static_cast<size_t>(w.width) +
                       static_cast<size_t>(c - w.x);
      const bool drawn = drawing.takes();
      bool all = true;
      for (size_t f = 0; f < block.features && all; ++f) all = std::isfinite(block.feature(f)[p]);
      if (!all) continue;
      ++valid;
      if (!drawn) continue;
      for (size_t f = 0; f < block.features; ++f) samples_.values.push_back(block.feature(f)[p]);
      samples_.codes.push_back(run.code);
      samples_.areas.push_back(run.area);
      samples_.pixels.push_back({c, run.row});
    }
    labelled_[run.code] += valid;
  }

  const std::map<int, size_t>& labelled() const { return labelled_; }

 private:
  Samples& samples_;
  std::map<int, Drawing> drawings_;
  std::map<int, size_t> labelled_;
};

}  // namespace

Samples drawSamples(const FeatureReader& reader, const std::vector<TrainingArea>& areas,
                    const Legend& legend, const SampleLimit& limit, const Progress& progress) {
  const LabelledPixels labels = labelPixels(areas, reader.grid());
  if (labels.pixels == 0)
    throw Error(
        "No training area covers a pixel of the scene; check that they lie on it and are larger "
        "than a pixel.");
  Samples samples;
  samples.conflicts = labels.conflicts;
  for (const auto& a : areas) samples.subclasses.push_back(a.subclass);
  for (const auto& f : reader.features()) samples.features.push_back(f->name());
  auto windows = reader.windows();
  std::erase_if(windows, [&](const Window& w) {
    bool any = false;
    eachRun(labels.runs, w, [&](const Run&) { any = true; });
    return !any;
  });
  Collector collector(samples, labels, limit);
  forEachBlock<FeatureBlock>(
      windows, progress, [&](Window w, FeatureBlock& b) { reader.read(w, b); },
      [&](FeatureBlock& b) {
        eachRun(labels.runs, b.window, [&](const Run& run) { collector.add(run, b); });
      });
  for (const auto& [code, n] : collector.labelled()) {
    if (n == 0) continue;
    const LegendClass* known = legend.find(code);
    samples.classes.push_back({code, known ? known->name : fmt::format("class {}", code), n});
  }
  if (samples.size() == 0)
    throw Error("All training pixels are empty; draw areas where the scene has values.");
  return samples;
}

std::vector<size_t> drawnPerClass(const Samples& samples, size_t most, uint64_t seed) {
  std::map<int, std::vector<std::pair<uint64_t, size_t>>> keyed;
  for (size_t i = 0; i < samples.size(); ++i) keyed[samples.codes[i]].push_back({mix(seed, i), i});
  std::vector<size_t> drawn;
  for (auto& [code, all] : keyed) {
    if (all.size() > most)
      std::nth_element(all.begin(), all.begin() + static_cast<std::ptrdiff_t>(most), all.end());
    all.resize(std::min(most, all.size()));
    for (const auto& [key, i] : all) drawn.push_back(i);
  }
  std::sort(drawn.begin(), drawn.end());
  return drawn;
}

}  // namespace zp
