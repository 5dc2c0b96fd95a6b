#include "training/subclasses.h"

#include <algorithm>
#include <map>
#include <set>

#include "base/error.h"
#include "base/text.h"

namespace zp {
namespace {

constexpr Subclasses kWays[] = {Subclasses::Together, Subclasses::Apart, Subclasses::Kept};

std::string nameOf(const std::string& className, const SubclassCode& s) {
  return s.name.empty() ? className : className + ", " + s.name;
}

/// From darker to lighter, around the colour itself.
Colour shade(Colour c, size_t place, size_t count) {
  constexpr double kReach = 0.35;
  const double at = kReach * (2 * static_cast<double>(place) / static_cast<double>(count - 1) - 1);
  const auto moved = [at](uint8_t v) {
    return static_cast<uint8_t>(at < 0 ? v * (1 + at) : v + (255 - v) * at);
  };
  return {moved(c.r), moved(c.g), moved(c.b)};
}

}  // namespace

const char* idOf(Subclasses how) {
  return how == Subclasses::Together ? "together" : how == Subclasses::Apart ? "apart" : "kept";
}

Subclasses subclassesFrom(const std::string& id) {
  std::vector<std::string> ids;
  for (const auto way : kWays) {
    if (id == idOf(way)) return way;
    ids.push_back(idOf(way));
  }
  throw Error("Subclasses are trained {}; not “{}”.", listed(ids), id);
}

std::vector<SubclassCode> subclassesOf(const Samples& samples) {
  constexpr int kEach = 100, kHighest = 65535 / kEach - 1;
  std::map<int, std::set<std::string>> names;
  for (size_t i = 0; i < samples.size(); ++i) names[samples.codes[i]].insert(samples.subclass(i));
  std::vector<SubclassCode> all;
  for (const auto& [code, of] : names) {
    if (of.size() == 1) {
      all.push_back({code, code, ""});
      continue;
    }
    if (code > kHighest || of.size() >= kEach)
      throw Error(
          "The subclasses of class {} have no room for codes of their own; give the class a code "
          "up to {}.",
          code, kHighest);
    int next = code * kEach;
    for (const auto& name : of) all.push_back({++next, code, name});
  }
  std::stable_sort(all.begin(), all.end(),
                   [](const SubclassCode& a, const SubclassCode& b) { return a.code < b.code; });
  for (size_t i = 1; i < all.size(); ++i)
    if (all[i].code == all[i - 1].code)
      throw Error("The code {} is that of a class and of a subclass; renumber the class.",
                  all[i].code);
  return all;
}

Samples apart(const Samples& samples, const std::vector<SubclassCode>& subclasses) {
  std::map<std::pair<int, std::string>, int> codes;
  std::map<int, int> whole;
  for (const auto& s : subclasses) codes[{s.of, s.name}] = whole[s.of] = s.code;
  Samples parts = samples;
  std::map<int, size_t> pixels;
  for (size_t i = 0; i < samples.size(); ++i) {
    const auto own = codes.find({samples.codes[i], samples.subclass(i)});
    parts.codes[i] = own != codes.end() ? own->second : whole.at(samples.codes[i]);
    ++pixels[parts.codes[i]];
  }
  parts.classes.clear();
  for (const auto& s : subclasses) {
    const auto of = std::find_if(samples.classes.begin(), samples.classes.end(),
                                 [&](const Samples::Class& c) { return c.code == s.of; });
    parts.classes.push_back({s.code, nameOf(of->name, s), pixels[s.code]});
  }
  return parts;
}

Legend apart(const Legend& legend, const std::vector<SubclassCode>& subclasses) {
  Legend parts;
  for (const auto& c : legend.classes) {
    std::vector<const SubclassCode*> of;
    for (const auto& s : subclasses)
      if (s.of == c.code) of.push_back(&s);
    for (size_t i = 0; i < of.size(); ++i) {
      LegendClass part = c;
      part.code = of[i]->code;
      part.name = nameOf(c.name, *of[i]);
      if (of.size() > 1) part.colour = shade(c.colour, i, of.size());
      parts.add(part);
    }
    if (of.empty()) parts.add(c);
  }
  return parts;
}

}  // namespace zp
