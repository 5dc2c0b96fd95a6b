#include "accuracy/second_labeller.h"

#include <algorithm>
#include <cmath>
#include <map>

#include "base/error.h"
#include "base/random.h"

namespace zp {

Labelling pointsForSecond(const Labelling& first, double share, uint64_t seed) {
  if (!(share > 0 && share <= 1))
    throw Error("A second labeller gets a share of the points above 0 and at most 1, not {}.",
                share);
  std::map<int, std::vector<ValidationPoint>> byStratum;
  for (const auto& p : first.points()) {
    ValidationPoint blank;
    blank.id = p.id;
    blank.place = p.place;
    byStratum[p.stratum].push_back(blank);
  }
  std::vector<ValidationPoint> drawn;
  for (const auto& [stratum, points] : byStratum) {
    const Labelling shuffled(points, mix(seed, static_cast<uint64_t>(stratum) + 1));
    const auto wanted =
        static_cast<size_t>(std::max(1.0, std::round(share * static_cast<double>(points.size()))));
    drawn.insert(drawn.end(), shuffled.points().begin(),
                 shuffled.points().begin() + static_cast<std::ptrdiff_t>(wanted));
  }
  return Labelling(std::move(drawn), mix(seed, 0x7365636f6e64ull));
}

size_t Agreement::open() const {
  return static_cast<size_t>(std::count_if(disagreements.begin(), disagreements.end(),
                                           [](const auto& d) { return d.settled == 0; }));
}

Agreement agreementOf(const Labelling& first, const SecondLabels& second, const Legend& legend) {
  std::map<int, int> seconds;
  std::map<int, const Settled*> settled;
  for (const auto& p : second.labelling.points()) seconds[p.id] = p.reference;
  for (const auto& s : second.settled) settled[s.id] = &s;
  std::vector<MapAndReference> pairs;
  Agreement a;
  for (const auto& p : first.points()) {
    const auto other = seconds.find(p.id);
    if (other == seconds.end() || other->second == 0) continue;
    const auto done = settled.find(p.id);
    const bool any = done != settled.end();
    const int said = any ? done->second->first : p.reference;
    if (said == 0) continue;
    pairs.push_back({said, other->second});
    if (said != other->second)
      a.disagreements.push_back({p.id, said, other->second, any ? done->second->to : 0});
  }
  if (pairs.empty()) throw Error("There is no point yet that both labelled.");
  a.matrix = confusionMatrix(pairs, legend);
  a.share = a.matrix.overall();
  a.kappa = a.matrix.kappa();
  return a;
}

void settle(Labelling& first, SecondLabels& second, int id, const Label& to, const std::string& now,
            const std::string& who, const std::string& why) {
  const auto is = [id](const ValidationPoint& p) { return p.id == id; };
  const auto& mine = first.points();
  const auto& theirs = second.labelling.points();
  const auto at = std::find_if(mine.begin(), mine.end(), is);
  const auto other = std::find_if(theirs.begin(), theirs.end(), is);
  if (at == mine.end() || other == theirs.end())
    throw Error("Point {} was not labelled by both.", id);
  const auto again = std::find_if(second.settled.begin(), second.settled.end(),
                                  [id](const Settled& s) { return s.id == id; });
  if (again != second.settled.end()) {
    again->to = to.code;
    again->when = now;
  } else {
    second.settled.push_back({id, at->reference, other->reference, to.code, now});
  }
  first.goTo(static_cast<size_t>(at - mine.begin()));
  first.change(to, now, who, why);
}

}  // namespace zp
