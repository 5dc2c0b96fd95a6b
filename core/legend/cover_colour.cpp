#include "legend/cover_colour.h"

#include <algorithm>
#include <string_view>

#include "base/text.h"

namespace zp {
namespace {

constexpr size_t kHues = 8, kColours = 3 * kHues;  // of the set: each hue, darker, paler

struct Cover {
  size_t colour;
  std::vector<std::string_view> words;
};

const std::vector<Cover>& covers() {
  static const std::vector<Cover> all{
      {0,
       {"water", "lake", "river", "pond", "sea", "ocean", "wasser", "gewässer", "fluss", "meer",
        "see", "teich"}},
      {4,
       {"wetland", "marsh", "reed", "swamp", "snow", "ice", "schilf", "röhricht", "sumpf", "schnee",
        "eis"}},
      {2, {"forest", "wood", "tree", "mangrove", "conifer", "wald", "baum", "gehölz"}},
      {18, {"grass", "meadow", "pasture", "wiese", "weide", "gras", "grünland"}},
      {6, {"crop", "field", "arable", "farm", "plough", "acker", "feld", "äcker", "Äcker"}},
      {1,
       {"bare", "sand", "soil", "rock", "mud", "flat", "dune", "beach", "boden", "fels", "düne",
        "strand"}},
      {5,
       {"built", "urban", "town", "city", "settlement", "building", "road", "roof", "siedlung",
        "stadt", "gebäude", "straße", "dach"}},
      {3, {"shrub", "heath", "scrub", "heide", "busch", "strauch"}},
      {7, {"cloud", "shadow", "wolke", "schatten"}}};
  return all;
}

/// Compound words too, "woodland" and "laubwald"; short ones only alone, or "sea" were in "season".
bool tells(std::string_view word, std::string_view cover) {
  if (cover.size() <= 3) return word == cover;
  return word.starts_with(cover) || word.ends_with(cover);
}

const Cover* coverOf(const std::string& word) {
  for (const auto& cover : covers())
    for (const auto& one : cover.words)
      if (tells(word, one)) return &cover;
  return nullptr;
}

/// A name says in its last word what it is ("broad leaved forest", "river sand"); what stands
/// behind a comma, a stroke or a bracket is told besides.
const Cover* coverIn(const std::string& className) {
  std::string parts = lowered(className);
  const std::string_view between = ",;/(";
  std::replace_if(
      parts.begin(), parts.end(), [&](char c) { return between.find(c) != between.npos; }, '(');
  for (auto& part : split(parts, '(')) {
    std::replace(part.begin(), part.end(), '_', ' ');
    std::replace(part.begin(), part.end(), ')', ' ');
    const auto words = split(part, ' ');
    for (auto word = words.rbegin(); word != words.rend(); ++word)
      if (const auto* cover = coverOf(*word)) return cover;
  }
  return nullptr;
}

}  // namespace

Colour colourFor(const std::string& className, const std::vector<LegendClass>& beside, size_t n) {
  const auto isFree = [&](size_t i) {
    return std::none_of(beside.begin(), beside.end(),
                        [&](const auto& c) { return c.colour == suggestedColour(i); });
  };
  if (const auto* cover = coverIn(className))
    for (size_t shade = 0; shade < kColours; shade += kHues)
      if (const size_t i = (cover->colour + shade) % kColours; isFree(i)) return suggestedColour(i);
  for (size_t i = n; i < n + kColours; ++i)
    if (isFree(i)) return suggestedColour(i);
  return suggestedColour(n);
}

void proposeColours(Legend& legend) {
  std::vector<LegendClass> done;
  for (auto& c : legend.classes) {
    c.colour = colourFor(c.name, done, done.size());
    done.push_back(c);
  }
}

}  // namespace zp
