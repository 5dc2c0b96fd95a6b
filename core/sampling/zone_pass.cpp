#include "sampling/zone_pass.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <set>

#include "base/error.h"
#include "base/text.h"
#include "sampling/zone_percentiles.h"

namespace zp {
namespace {

constexpr size_t kMostClassesOfZones = 1024;
constexpr size_t kSearchesAtOnce = 128;  // each of half a megabyte
using Kind = ZoneStatistic::Kind;

double decibelsOf(double power) {
  return power > 0 ? 10 * std::log10(power) : std::numeric_limits<double>::quiet_NaN();
}

double told(const ZoneTally& tally, const ZoneStatistic& s, bool decibels) {
  const double value = tally.tell(s);
  return decibels && s.kind != Kind::Count && s.kind != Kind::Spread ? decibelsOf(value) : value;
}

/// What is known of the zones while their pixels come.
class Pass {
 public:
  Pass(const ZoneLayers& layers, const ZonePixels& zones, const ZoneQuestion& question)
      : layers_(layers),
        zones_(zones),
        question_(question),
        keep_(ZoneTally::keepFor(question.statistics, question.inclusion == Inclusion::Area)),
        tallies_(layers.names.size(), std::vector<ZoneTally>(zones.zones())),
        plain_(layers.names.size(),
               std::vector<std::vector<double>>(question.statistics.size(),
                                                std::vector<double>(zones.zones()))) {
    for (size_t z = 0; z < zones.zones(); ++z) byEnd_.push_back(z);
    std::stable_sort(byEnd_.begin(), byEnd_.end(),
                     [&](size_t a, size_t b) { return zones_.lastRow(a) < zones_.lastRow(b); });
  }

  void run(const Progress& progress) {
    auto windows = layers_.windows;
    std::erase_if(windows, [&](const Window& w) { return !zones_.anyIn(w); });
    // Most often, all is known after once.
    const Progress once = progress.part(0, keep_.values ? 0.5 : 1);
    forEachZoneBlock(layers_, windows, once, [&](const ZoneBlock& block) {
      finishBefore(block.window.y);
      add(block);
      while (kept_ > question_.mostKept) giveUpLargest();
    });
    finishBefore(layers_.grid.height);
    searchAgain(progress.part(0.5, 1));
  }

  ZoneSummary summary(size_t layer) const {
    ZoneSummary out{layers_.names[layer], {}, {}, 0};
    for (size_t z = 0; z < zones_.zones(); ++z) out.withoutPixels += zones_.lastRow(z) < 0 ? 1 : 0;
    for (size_t s = 0; s < question_.statistics.size(); ++s) {
      if (question_.statistics[s].kind == Kind::Share) {
        addShares(tallies_[layer], out);
        continue;
      }
      out.columns.push_back(question_.statistics[s].id);
      out.values.push_back(plain_[layer][s]);
    }
    return out;
  }

 private:
  void add(const ZoneBlock& block) {
    zones_.visit(block.window, [&](const ZoneRun& part, size_t at) {
      for (size_t b = 0; b < tallies_.size(); ++b) {
        ZoneTally& tally = tallies_[b][part.zone];
        kept_ -= tally.kept();
        tally.add(block.layer(b) + at, static_cast<size_t>(part.to - part.from),
                  static_cast<double>(part.share), keep_);
        kept_ += tally.kept();
      }
    });
  }

  void giveUpLargest() {
    ZoneTally* largest = &tallies_[0][0];
    for (auto& ofLayer : tallies_)
      for (auto& tally : ofLayer)
        if (tally.kept() > largest->kept()) largest = &tally;
    kept_ -= largest->kept();
    largest->giveUp();
  }

  /// Zones that end above a row have seen all their pixels.
  void finishBefore(int row) {
    for (; ended_ < byEnd_.size() && zones_.lastRow(byEnd_[ended_]) < row; ++ended_) {
      const size_t z = byEnd_[ended_];
      for (size_t b = 0; b < tallies_.size(); ++b) {
        ZoneTally& tally = tallies_[b][z];
        kept_ -= tally.kept();
        if (keep_.values) tally.close();
        for (size_t s = 0; s < question_.statistics.size(); ++s)
          plain_[b][s][z] = told(tally, question_.statistics[s], layers_.decibels[b]);
        tally.drop();
      }
    }
  }

  /// Percentiles of the zones that were given up.
  void searchAgain(const Progress& progress) {
    std::vector<SoughtPercentile> sought;
    std::vector<double*> into;
    for (size_t b = 0; b < tallies_.size(); ++b)
      for (size_t z = 0; z < zones_.zones(); ++z)
        for (size_t s = 0; tallies_[b][z].gaveUp() && s < question_.statistics.size(); ++s) {
          if (question_.statistics[s].kind != Kind::Percentile) continue;
          sought.push_back({b, z, tallies_[b][z].totals(), question_.statistics[s].percent});
          into.push_back(&plain_[b][s][z]);
        }
    const auto found = findPercentiles(layers_, zones_, sought, progress);
    for (size_t i = 0; i < found.size(); ++i)
      *into[i] = layers_.decibels[sought[i].layer] ? decibelsOf(found[i]) : found[i];
  }

  void addShares(const std::vector<ZoneTally>& tallies, ZoneSummary& out) const {
    std::set<double> codes;
    for (const auto& tally : tallies)
      for (const auto& [code, share] : tally.classes()) codes.insert(code);
    if (codes.size() > kMostClassesOfZones)
      throw Error("“{}” holds {} different numbers, more than the {} classes of a map.", out.layer,
                  codes.size(), kMostClassesOfZones);
    for (double code : codes) {
      out.columns.push_back("share_" + shortest(code));
      out.values.emplace_back();
      for (const auto& tally : tallies) out.values.back().push_back(tally.share(code));
    }
  }

  const ZoneLayers& layers_;
  const ZonePixels& zones_;
  const ZoneQuestion& question_;
  ZoneTally::Keep keep_;
  std::vector<std::vector<ZoneTally>> tallies_;          // layer by layer
  std::vector<std::vector<std::vector<double>>> plain_;  // layer, statistic, zone
  std::vector<size_t> byEnd_;                            // zones by their last row
  size_t ended_ = 0;
  size_t kept_ = 0;  // values, by all tallies together
};

}  // namespace

std::vector<ZoneSummary> passOver(const ZoneLayers& layers, const ZonePixels& zones,
                                  const ZoneQuestion& question, const Progress& progress) {
  Pass pass(layers, zones, question);
  pass.run(progress);
  std::vector<ZoneSummary> out;
  for (size_t l = 0; l < layers.names.size(); ++l) out.push_back(pass.summary(l));
  return out;
}

}  // namespace zp
