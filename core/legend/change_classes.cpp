#include "legend/change_classes.h"

#include <fmt/format.h>

#include "base/error.h"

namespace zp {
namespace {

enum OfOneClass { kLost = 1, kGained = 2, kKept = 3, kNeither = 4 };

LegendClass classOf(int code, const std::string& name, Colour colour) {
  LegendClass c;
  c.code = code, c.name = name, c.colour = colour;
  return c;
}

/// Darker and greyer, so that one sees where one is and what stands out is the change.
Colour dimmed(Colour c) {
  const int grey = (c.r * 3 + c.g * 6 + c.b) / 10;
  const auto mix = [&](int v) { return static_cast<uint8_t>((v + grey * 2) / 3 * 45 / 100 + 22); };
  return {mix(c.r), mix(c.g), mix(c.b)};
}

}  // namespace

ChangeClasses::ChangeClasses(Legend classes, const std::vector<ClassPair>& pairs, int of)
    : classes_(std::move(classes)), of_(of) {
  if (of_ != 0) {
    legend_.add(classOf(kLost, "lost", {213, 94, 0}));
    legend_.add(classOf(kGained, "gained", colourOf(of_)));
    legend_.add(classOf(kKept, "kept", dimmed(colourOf(of_))));
    legend_.add(classOf(kNeither, "neither", {44, 44, 44}));
    return;
  }
  // First what changed: it is what one looks for in the key.
  for (const bool same : {false, true})
    for (const auto& pair : pairs)
      if ((pair.first == pair.second) == same) addClass(legend_.firstFreeCode(), pair);
}

std::string ChangeClasses::nameOf(int code) const {
  const auto* c = classes_.find(code);
  return c != nullptr ? c->name : fmt::format("class {}", code);
}

Colour ChangeClasses::colourOf(int code) const {
  const auto* c = classes_.find(code);
  return c != nullptr ? c->colour : suggestedColour(static_cast<size_t>(code - 1));
}

/// Where something changed, the colour is that of the class it led to; where nothing did, the
/// class's own, dimmed.
void ChangeClasses::addClass(int code, ClassPair pair) {
  const auto [from, to] = pair;
  legend_.add(from == to ? classOf(code, nameOf(to) + ", as before", dimmed(colourOf(to)))
                         : classOf(code, nameOf(from) + " → " + nameOf(to), colourOf(to)));
  codes_[pair] = code;
}

int ChangeClasses::codeOf(ClassPair pair) const {
  const auto [from, to] = pair;
  if (from == 0 || to == 0) return 0;
  if (of_ != 0) return from == of_ ? (to == of_ ? kKept : kLost) : to == of_ ? kGained : kNeither;
  const auto at = codes_.find(pair);
  return at == codes_.end() ? 0 : at->second;
}

int ChangeClasses::add(ClassPair pair) {
  if (pair.first == 0 || pair.second == 0)
    throw Error("A change is from one class to another; one of the two is missing.");
  if (of_ == 0 && codes_.count(pair) == 0) addClass(legend_.highestCode() + 1, pair);
  return codeOf(pair);
}

std::optional<ClassPair> ChangeClasses::pairOf(int code) const {
  if (of_ != 0) return code == kKept ? std::optional(ClassPair{of_, of_}) : std::nullopt;
  for (const auto& [pair, c] : codes_)
    if (c == code) return pair;
  return {};
}

bool ChangeClasses::stays(int code) const {
  if (of_ != 0) return code == kKept || code == kNeither;
  const auto pair = pairOf(code);
  return pair && pair->first == pair->second;
}

std::map<int, int> ChangeClasses::codesIn(ChangeClasses& other) const {
  if (of_ != other.of_)
    throw Error(
        "One of these is of every change, the other of what became of one class; the two cannot be "
        "brought together.");
  std::map<int, int> codes;
  for (const auto& c : legend_.classes) {
    const auto pair = pairOf(c.code);
    codes[c.code] = of_ == 0 && pair ? other.add(*pair) : c.code;
  }
  return codes;
}

void ChangeClasses::renumber(int from, int to) {
  const auto now = [&](int code) { return code == from ? to : code; };
  for (auto& c : classes_.classes) c.code = now(c.code);
  of_ = now(of_);
  std::map<ClassPair, int> codes;
  for (const auto& [pair, code] : codes_) codes[{now(pair.first), now(pair.second)}] = code;
  codes_ = std::move(codes);
}

Json toJson(const ChangeClasses& change) {
  Json pairs = Json::array();
  for (const auto& [pair, code] : change.codes_)
    pairs.push_back({{"earlier", pair.first}, {"later", pair.second}, {"code", code}});
  return {{"of", change.of_}, {"classes", toJson(change.classes_)}, {"pairs", pairs}};
}

ChangeClasses changeClassesFrom(const Json& json) {
  ChangeClasses change(legendFrom(json.at("classes")), {}, json.value("of", 0));
  const Json pairs = json.value("pairs", Json::array());
  for (const auto& p : pairs)
    change.addClass(p.at("code"), {p.at("earlier").get<int>(), p.at("later").get<int>()});
  return change;
}

}  // namespace zp
