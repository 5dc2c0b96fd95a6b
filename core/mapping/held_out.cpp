#include "mapping/held_out.h"

#include <algorithm>
#include <map>
#include <set>

#include "base/error.h"
#include "training/folds.h"

namespace zp {
namespace {

constexpr int kTurns = 5;
constexpr uint64_t kHeldSeed = 1;

/// The samples named, with the classes that occur among them.
Samples someOf(const Samples& all, const std::vector<size_t>& which) {
  Samples some;
  some.features = all.features;
  some.subclasses = all.subclasses;
  std::map<int, size_t> pixels;
  for (const size_t i : which) {
    some.values.insert(some.values.end(), all.sample(i), all.sample(i) + all.features.size());
    some.codes.push_back(all.codes[i]);
    some.areas.push_back(all.areas[i]);
    ++pixels[all.codes[i]];
  }
  for (const auto& c : all.classes)
    if (pixels.count(c.code) > 0) some.classes.push_back({c.code, c.name, pixels[c.code]});
  return some;
}

struct Judged {
  int code, given;
  size_t area;
  float support;
};

void judge(const Classifier& classifier, const Samples& kept, std::vector<Judged>& all) {
  const size_t features = kept.features.size();
  std::vector<std::vector<float>> columns(features, std::vector<float>(kept.size()));
  std::vector<const float*> at;
  for (size_t f = 0; f < features; ++f) {
    for (size_t i = 0; i < kept.size(); ++i) columns[f][i] = kept.sample(i)[f];
    at.push_back(columns[f].data());
  }
  std::vector<uint16_t> given(kept.size());
  std::vector<float> support(kept.size());
  classifySurely(classifier, at, kept.size(), given.data(), support.data());
  for (size_t i = 0; i < kept.size(); ++i)
    all.push_back({kept.codes[i], given[i], kept.areas[i], support[i]});
}

void count(HeldOut::Share& share, const Judged& j) {
  ++share.all;
  share.right += j.given == j.code ? 1 : 0;
}

HeldOut counted(const std::vector<Judged>& judged) {
  HeldOut told;
  std::map<int, HeldOut::ClassShare> classes;
  std::map<int, std::map<int, size_t>> wrong;
  std::map<size_t, HeldOut::AreaShare> areas;
  for (const auto& j : judged) {
    count(told.total, j);
    count(classes[j.code], j);
    count(areas[j.area], j);
    if (j.given != j.code && j.given != 0) ++wrong[j.code][j.given];
    if (j.given != 0)
      count(told.bySupport[std::min<size_t>(9, static_cast<size_t>(j.support * 10))], j);
  }
  for (auto& [code, share] : classes) {
    share.code = code;
    const auto& others = wrong[code];
    if (!others.empty())
      share.takenFor = std::max_element(others.begin(), others.end(), [](auto& a, auto& b) {
                         return a.second < b.second;
                       })->first;
    told.classes.push_back(share);
  }
  for (auto& [area, share] : areas) {
    share.area = area;
    if (2 * share.right < share.all) told.areas.push_back(share);
  }
  std::stable_sort(told.areas.begin(), told.areas.end(),
                   [](const auto& a, const auto& b) { return a.share() < b.share(); });
  return told;
}

}  // namespace

HeldOut heldOut(const Samples& all, const MapPlan& plan, const Legend& legend,
                const Progress& progress, size_t perClass) {
  MapPlan classesOnly = plan;  // a kept subclass is judged by its class
  if (plan.subclasses == Subclasses::Kept) classesOnly.subclasses = Subclasses::Apart;
  classesOnly.least = 0;
  const Samples samples = someOf(all, drawnPerClass(all, perClass, kHeldSeed));
  const auto folds = foldsByArea(samples.codes, samples.areas, kTurns, kHeldSeed);
  std::vector<Judged> judged;
  for (int fold = 0; fold < kTurns; ++fold) {
    std::vector<size_t> kept, used;
    for (size_t i = 0; i < samples.size(); ++i) (folds[i] == fold ? kept : used).push_back(i);
    const Samples others = someOf(samples, used);
    if (kept.empty() || others.classes.size() < samples.classes.size()) continue;
    const auto part = progress.part(fold / double{kTurns}, (fold + 1) / double{kTurns});
    judge(*trainOn(others, classesOnly, legend, part).classifier, someOf(samples, kept), judged);
    progress.check();
  }
  if (judged.empty())
    throw Error(
        "There are too few training areas to keep some out; draw a second one of each class.");
  return counted(judged);
}

Json toJson(const HeldOut& told) {
  const auto share = [](const HeldOut::Share& s) {
    return Json{{"pixels", s.all}, {"right", s.right}};
  };
  Json json = share(told.total);
  json["classes"] = Json::array();
  for (const auto& c : told.classes) {
    Json one = share(c);
    one["code"] = c.code;
    if (c.takenFor != 0) one["taken_for"] = c.takenFor;
    json["classes"].push_back(one);
  }
  json["by_support"] = Json::array();
  for (const auto& bin : told.bySupport) json["by_support"].push_back(share(bin));
  json["areas"] = Json::array();
  for (const auto& a : told.areas) {
    Json one = share(a);
    one["area"] = a.area;
    json["areas"].push_back(one);
  }
  return json;
}

}  // namespace zp
