#include "sampling/random_points.h"

#include <fmt/format.h>

#include <algorithm>
#include <memory>
#include <unordered_map>

#include "base/error.h"
#include "base/random.h"
#include "grid/pixel_area.h"
#include "sampling/block_draw.h"
#include "sampling/candidates.h"
#include "sampling/share_out.h"
#include "sampling/spacing.h"

namespace zp {
namespace {

constexpr int kAll = 1;  // the one stratum of a random plan

/// Points that are placed in a random order of pixels.
class Placing {
 public:
  Placing(const Ground& ground, const Bounds& bounds, const SamplingPlan& plan,
          const std::vector<Place>& before)
      : ground_(ground), grid_(ground.grid), plan_(plan), before_(before) {
    draw_.seed = plan.seed;
    draw_.anywhere = plan.kind != PlanKind::Stratified;
    draw_.bounds = &bounds;
    for (const auto& p : before) draw_.taken.insert(pixelOf(p));
    if (const auto metres = pixelAreas(grid_); ground.areas.empty() && !metres.empty())
      squareMetres_ = metres.front();
    chooseStrata();
  }

  PlannedPoints place(const Progress& progress) {
    wanted_ = wantedInEach(progress.part(0, 0.4));
    draw_.most = [this](int stratum) { return most(stratum); };
    // With a spacing, most of the nearest candidates may be refused: draw more and more of them.
    for (;; candidatesEach_ *= 8) {
      auto strata = drawCandidates(ground_, draw_, progress.part(0.4, 1));
      if (take(strata)) break;
    }
    return finished();
  }

 private:
  struct Taken {
    uint64_t order;
    SamplePoint point;
  };

  size_t pixelOf(Place p) const {
    const Place at = grid_.toPixel(p);
    if (!(at.x >= 0 && at.y >= 0 && at.x < grid_.width && at.y < grid_.height)) return SIZE_MAX;
    return static_cast<size_t>(at.y) * static_cast<size_t>(grid_.width) + static_cast<size_t>(at.x);
  }

  void chooseStrata() {
    if (plan_.kind == PlanKind::Random)
      draw_.stratumOf = [](uint16_t, int, int) { return kAll; };
    else if (plan_.kind == PlanKind::Stratified)
      draw_.stratumOf = [this](uint16_t code, int, int) -> std::optional<int> {
        if (plan_.leftOut.count(code) > 0 ||
            (plan_.split == Split::Given && plan_.given.count(code) == 0))
          return {};
        return code;
      };
    else
      blocks_ = std::make_unique<BlockLattice>(grid_, plan_.blockSize, plan_.seed);
  }

  std::map<int, Stratum> counted(const Progress& progress) {
    draw_.most = [](int) { return size_t{0}; };
    return drawCandidates(ground_, draw_, progress);
  }

  /// Nothing: as many in every stratum that there is.
  std::optional<std::map<int, size_t>> wantedInEach(const Progress& progress) {
    if (plan_.kind == PlanKind::Random) return {{{kAll, plan_.count}}};
    if (plan_.kind == PlanKind::Blocks) return inBlocks(progress);
    if (plan_.split == Split::Equal) return {};
    std::map<int, size_t> wanted;
    if (plan_.split == Split::Given) {
      for (const auto& [code, n] : plan_.given)
        if (plan_.leftOut.count(code) == 0) wanted[code] = n;
      return wanted;
    }
    std::map<int, double> areas;
    for (const auto& [code, stratum] : counted(progress)) areas[code] = stratum.area;
    return shareOut(plan_.count, areas);
  }

  std::map<int, size_t> inBlocks(const Progress& progress) {
    draw_.stratumOf = [this](uint16_t, int column, int row) {
      return blocks_->blockAt(column, row);
    };
    std::map<int, double> areas;
    for (const auto& [block, stratum] : counted(progress)) areas[block] = stratum.area;
    if (plan_.blocks > areas.size())
      throw Error("There are only {} blocks, not {}; ask for fewer or make them smaller.",
                  areas.size(), plan_.blocks);
    std::map<int, size_t> wanted;
    for (const auto& [block, times] : drawBlocks(areas, plan_.blocks, plan_.seed))
      wanted[block] = times * plan_.count;
    draw_.stratumOf = [this, drawn = wanted](uint16_t, int column, int row) -> std::optional<int> {
      const int block = blocks_->blockAt(column, row);
      if (drawn.count(block) == 0) return {};
      return block;
    };
    return wanted;
  }

  size_t wanted(int stratum) const {
    if (!wanted_) return plan_.count;
    const auto at = wanted_->find(stratum);
    return at == wanted_->end() ? 0 : at->second;
  }
  size_t most(int stratum) const {
    return plan_.apart ? wanted(stratum) * candidatesEach_ : wanted(stratum);
  }

  /// Takes candidates of every stratum in turn; false when one ran out of candidates although it
  /// has more pixels than were drawn.
  bool take(std::map<int, Stratum>& strata) {
    Spacing spacing(plan_.apart);
    for (const auto& p : before_) spacing.take(p);
    taken_.clear();
    reached_.clear();
    strata_.clear();
    stratumOfTaken_.clear();
    if (wanted_)
      for (const auto& [id, n] : *wanted_) strata[id];
    bool enough = true;
    for (auto& [id, stratum] : strata) {
      for (const size_t pixel : stratum.taken) stratumOfTaken_[pixel] = id;
      size_t count = stratum.taken.size();
      if (count > wanted(id)) throw tooManyBefore(count, id);
      const auto candidates = stratum.sorted();
      for (const auto& c : candidates) {
        if (count == wanted(id)) break;
        const Place at = placeIn(c.pixel, c.key, grid_, draw_.anywhere);
        const Place p = grid_.toMap(at.x, at.y);
        if (!spacing.take(p)) continue;
        taken_.push_back({mix(c.key, 3), pointIn(id, p)});
        ++count;
      }
      reached_[id] = count;
      strata_[id] = stratum.area * squareMetres_;
      if (count < wanted(id) && candidates.size() < stratum.pixels) enough = false;
    }
    return enough;
  }

  SamplePoint pointIn(int stratum, Place p) const {
    SamplePoint point{p};
    if (plan_.kind == PlanKind::Stratified) point.code = stratum;
    if (plan_.kind == PlanKind::Blocks) point.block = static_cast<size_t>(stratum);
    return point;
  }

  std::string where(int stratum) const {
    if (plan_.kind == PlanKind::Random) return "there";
    if (plan_.kind == PlanKind::Blocks) return "in one of the blocks";
    const auto* known = ground_.legend.find(stratum);
    return fmt::format("in “{}”",
                       known != nullptr ? known->name : fmt::format("class {}", stratum));
  }

  Error tooManyBefore(size_t count, int stratum) const {
    return Error("There are {} points {} already, and {} are asked for; ask for more.", count,
                 where(stratum), wanted(stratum));
  }

  void requireEnough() const {
    if (reached_.empty() ||
        std::all_of(reached_.begin(), reached_.end(), [](auto& r) { return r.second == 0; }))
      throw Error("There are no valid pixels to place points on; choose another raster or area.");
    if (stratumOfTaken_.size() < before_.size())
      throw Error(
          "{} of the {} points to be topped up lie where this plan places none; top them up by the "
          "plan that they were placed by.",
          before_.size() - stratumOfTaken_.size(), before_.size());
    if (plan_.takeFewer) return;
    for (const auto& [id, count] : reached_)
      if (count < wanted(id))
        throw Error("Only {} points fit {}, not {}; ask for fewer or set them closer together.",
                    count, where(id), wanted(id));
  }

  PlannedPoints finished() {
    requireEnough();
    PlannedPoints out;
    out.crs = grid_.crs;
    out.legend = ground_.legend;
    for (const auto& p : before_) out.points.push_back(pointIn(stratumOfTaken_.at(pixelOf(p)), p));
    std::sort(taken_.begin(), taken_.end(),
              [](const Taken& a, const Taken& b) { return a.order < b.order; });
    for (const auto& t : taken_) out.points.push_back(t.point);
    if (plan_.kind == PlanKind::Stratified) out.perClass = reached_, out.strata = strata_;
    tellTooFew(out);
    numberBlocks(out);
    return out;
  }

  /// Class by class, or what was asked for in all.
  void tellTooFew(PlannedPoints& out) const {
    size_t asked = 0;
    for (const auto& [id, count] : reached_) {
      asked += wanted(id);
      if (plan_.kind == PlanKind::Stratified && count < wanted(id)) out.tooFew[id] = wanted(id);
    }
    if (plan_.kind != PlanKind::Stratified && out.points.size() < asked) out.tooFew[0] = asked;
  }

  /// From 1, from the upper left.
  void numberBlocks(PlannedPoints& out) const {
    if (!blocks_) return;
    std::map<size_t, size_t> numbers;
    for (const auto& [block, n] : reached_) {
      numbers[static_cast<size_t>(block)] = numbers.size() + 1;
      out.blocks.push_back(blocks_->ring(block));
    }
    for (auto& p : out.points) p.block = numbers.at(p.block);
  }

  const Ground& ground_;
  const Grid& grid_;
  const SamplingPlan& plan_;
  const std::vector<Place>& before_;
  Draw draw_;
  std::unique_ptr<BlockLattice> blocks_;
  std::optional<std::map<int, size_t>> wanted_;
  size_t candidatesEach_ = 8;
  std::vector<Taken> taken_;
  std::map<int, size_t> reached_;
  std::map<int, double> strata_;
  double squareMetres_ = 1;  // of what a stratum's area is counted in
  std::unordered_map<size_t, int> stratumOfTaken_;
};

}  // namespace

PlannedPoints randomPoints(const Ground& ground, const Bounds& bounds, const SamplingPlan& plan,
                           const std::vector<Place>& before, const Progress& progress) {
  return Placing(ground, bounds, plan, before).place(progress);
}

}  // namespace zp
