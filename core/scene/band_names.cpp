#include "scene/band_names.h"

#include <algorithm>

#include "base/pattern.h"
#include "base/text.h"
#include "scene/scene.h"

namespace zp {
namespace {

bool among(const std::string& word, const std::vector<std::string>& words) {
  return std::find(words.begin(), words.end(), word) != words.end();
}

std::vector<std::string> wordsOf(const std::string& text) {
  std::vector<std::string> words{""};
  for (const char c : text) {
    if (c == '_' || c == '-' || c == ' ' || c == '.')
      words.emplace_back();
    else
      words.back() += c;
  }
  std::erase(words, "");
  return words;
}

bool isNumber(const std::string& word) {
  return !word.empty() && word.size() <= 2 &&
         std::all_of(word.begin(), word.end(), [](char c) { return c >= '0' && c <= '9'; });
}

bool isResolution(const std::string& word) {
  static const Pattern pattern("\\d{1,4}m");
  return pattern.whole(word).has_value();
}

bool saysQuality(const std::string& word) {
  return among(word, {"quality", "qa", "qc", "flags", "cloud", "clouds", "mask"});
}

bool saysBandNumber(const std::string& word) {
  static const Pattern pattern("(b|band)\\d{1,2}[a-z]?");
  return pattern.whole(word).has_value();
}

std::string joined(const std::vector<std::string>& words) {
  std::string text;
  for (const auto& w : words) text += (text.empty() ? "" : " ") + w;
  return text;
}

}  // namespace

std::string plainBand(const std::string& name) {
  static const Pattern pattern("(?:b|band)?[ _-]?0*(\\d{1,2}[a-z]?)");
  const std::string low = lowered(name);
  const auto m = pattern.whole(low);
  return m ? "b" + m->group(1) : low;
}

std::string roleIn(const std::string& name) {
  const std::string band = bandNameOf(name).band;
  return among(band, knownRoles()) ? band : "";
}

BandName bandNameOf(const std::string& name) {
  BandName found;
  auto words = wordsOf(withoutDate(name));
  std::vector<std::string> low;
  for (const auto& w : words) low.push_back(lowered(w));
  const auto drop = [&](size_t i) {
    words.erase(words.begin() + static_cast<std::ptrdiff_t>(i));
    low.erase(low.begin() + static_cast<std::ptrdiff_t>(i));
  };
  while (!low.empty() && isResolution(low.back())) drop(low.size() - 1);
  if (!low.empty()) {
    // The band stands last; a number may stand first: "B04_field". "Red edge 1" is not red.
    const size_t last = low.size() - 1;
    if (among(low[last], knownRoles()))
      found.band = low[last];
    else if (saysBandNumber(low[last]))
      found.band = plainBand(low[last]);
    found.quality = found.band.empty() && last > 0 && saysQuality(low[last]);
    if (found.quality || !found.band.empty()) {
      drop(last);
    } else if (saysBandNumber(low[0])) {
      found.band = plainBand(low[0]);
      drop(0);
    }
  }
  // "1-blue" counts it too; "x_pixel_qa" says more of the flags.
  if (!low.empty() && isNumber(low.back())) {
    if (found.band.empty() && !found.quality) found.band = plainBand(low.back());
    if (low.size() > 1 || !found.band.empty()) drop(low.size() - 1);
  }
  if (found.quality && low.size() > 1 && low.back() == "pixel") drop(low.size() - 1);
  found.scene = joined(words);
  return found;
}

}  // namespace zp
