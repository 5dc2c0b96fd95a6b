#include "feature/feature_kind.h"

#include <fmt/format.h>

#include <algorithm>
#include <numeric>

#include "base/error.h"
#include "base/text.h"

namespace zp {
namespace {

constexpr size_t kLongest = 4000;

/// Parts between commas that stand in no parentheses.
std::vector<std::string> argumentsIn(const std::string& text) {
  std::vector<std::string> parts;
  size_t from = 0;
  int depth = 0;
  for (size_t i = 0; i <= text.size(); ++i) {
    if (i < text.size() && text[i] == '(') ++depth;
    if (i < text.size() && text[i] == ')') --depth;
    if (i < text.size() && (text[i] != ',' || depth != 0)) continue;
    parts.push_back(trimmed(text.substr(from, i - from)));
    from = i + 1;
  }
  return parts;
}

/// The place of the parenthesis that closes the one at `open`; npos when there is none.
size_t closing(const std::string& text, size_t open) {
  int depth = 0;
  for (size_t i = open; i < text.size(); ++i) {
    if (text[i] == '(') ++depth;
    if (text[i] == ')' && --depth == 0) return i;
  }
  return std::string::npos;
}

[[noreturn]] void refuse(const std::string& text) {
  throw Error(
      "“{}” is no feature; write its kind with what it needs in parentheses, such as band(nir), "
      "index(ndvi) or band(nir) of july.",
      text.size() > 80 ? text.substr(0, 80) : text);
}

size_t sceneNamed(const Scope& scope, const std::string& name) {
  if (scope.scenes.empty()) throw Error("A feature needs a scene; give one.");
  if (name.empty()) return 0;
  std::vector<std::string> names;
  for (size_t i = 0; i < scope.scenes.size(); ++i) {
    if (scope.scenes[i].name == name) return i;
    if (!scope.scenes[i].name.empty()) names.push_back(scope.scenes[i].name);
  }
  throw Error("There is no scene or layer “{}” here.{}", name, didYouMean(name, names));
}

Json settingsOf(const FeatureKind& kind, const FeatureLine& line) {
  if (line.arguments.size() > kind.parameters.size())
    throw Error("“{}” has more in its parentheses than a feature of its kind takes ({}).",
                textOf(line), kind.parameters.size());
  Json given = Json::object();
  for (size_t i = 0; i < line.arguments.size(); ++i)
    given[kind.parameters[i].id] = settingFromText(kind.parameters[i], line.arguments[i]);
  const Json settings = settingsFrom(kind.parameters, given, kind.id);
  for (const auto& p : kind.parameters)
    if (settings[p.id].is_null() && p.unset.empty())
      throw Error("“{}” needs to be told its {}: write {}({}).", textOf(line), p.id, kind.id, p.id);
  return settings;
}

}  // namespace

FeatureLine parseFeature(const std::string& text) {
  if (text.size() > kLongest) refuse(text);
  const std::string all = trimmed(text);
  FeatureLine line;
  const auto isLetter = [](char c) { return (c >= 'a' && c <= 'z') || c == '-'; };
  const size_t end =
      static_cast<size_t>(std::find_if_not(all.begin(), all.end(), isLetter) - all.begin());
  line.kind = all.substr(0, end);
  std::string rest = all.substr(end);
  if (line.kind.empty()) refuse(text);
  if (!rest.empty() && rest[0] == '(') {
    const size_t close = closing(rest, 0);
    if (close == std::string::npos) refuse(text);
    if (const auto inner = trimmed(rest.substr(1, close - 1)); !inner.empty())
      line.arguments = argumentsIn(inner);
    rest = rest.substr(close + 1);
  }
  rest = trimmed(rest);
  if (rest.empty()) return line;
  if (rest.rfind("of ", 0) != 0) refuse(text);
  line.of = trimmed(rest.substr(3));
  if (line.of.empty() || line.of.find_first_of(" (),") != std::string::npos) refuse(text);
  return line;
}

std::string textOf(const FeatureLine& line) {
  std::string text = line.kind;
  if (!line.arguments.empty()) text += fmt::format("({})", fmt::join(line.arguments, ", "));
  return line.of.empty() ? text : text + " of " + line.of;
}

std::string lineOf(const FeatureKind& kind) {
  FeatureLine line{kind.id, {}, ""};
  for (const auto& p : kind.parameters) line.arguments.push_back(p.id);
  return textOf(line);
}

const FeatureKind& featureKind(const std::string& id) {
  std::vector<std::string> ids;
  for (const auto* k : featureKinds()) {
    if (k->id == id) return *k;
    ids.push_back(k->id);
  }
  throw Error("There is no feature “{}”; the kinds are {}.{}", id, listed(ids),
              didYouMean(id, ids));
}

std::vector<std::string> layersOf(const FeatureLine& line) {
  const auto named = featureKind(line.kind).layers;
  auto all = named == nullptr ? std::vector<std::string>() : named(line);
  if (!line.of.empty()) all.push_back(line.of);
  return all;
}

std::shared_ptr<Feature> makeFeature(const std::string& text, const Scope& scope) {
  const FeatureLine line = parseFeature(text);
  const FeatureKind& kind = featureKind(line.kind);
  return kind.make(scope, sceneNamed(scope, line.of), settingsOf(kind, line));
}

Features makeFeatures(const std::vector<std::string>& lines, const Scope& scope) {
  Features all;
  std::vector<std::string> before;
  for (const auto& text : lines) {
    const std::string plain = textOf(parseFeature(text));
    if (std::find(before.begin(), before.end(), plain) != before.end())
      throw Error("“{}” is named twice; name each feature once.", plain);
    before.push_back(plain);
    auto feature = makeFeature(text, scope);
    const std::string of = parseFeature(text).of;
    if (!of.empty() && std::any_of(all.begin(), all.end(),
                                   [&](const auto& one) { return one->name() == feature->name(); }))
      feature->rename(feature->name() + " of " + of);
    for (size_t i = 0; i < all.size(); ++i)
      if (feature->isPlane() && all[i]->isPlane() && feature->planes() == all[i]->planes())
        throw Error("“{}” and “{}” are one band; name each feature once.", before[i], plain);
    all.push_back(std::move(feature));
  }
  return all;
}

std::string bandLine(const Scene& scene, size_t band) {
  const std::string& role = scene.bands.at(band).role;
  const bool found = !role.empty() && scene.bandOf(role) == static_cast<int>(band);
  return fmt::format("band({})", found ? role : std::to_string(band + 1));
}

std::vector<std::string> bandLines(const std::vector<size_t>& bands, const Scene& scene) {
  std::vector<std::string> lines;
  for (const size_t b : bands) lines.push_back(bandLine(scene, b));
  return lines;
}

std::vector<size_t> bandsNamed(const std::string& text, const Scene& scene) {
  std::vector<size_t> bands(scene.bands.size());
  std::iota(bands.begin(), bands.end(), size_t{0});
  if (text.empty()) return bands;
  bands.clear();
  for (const auto& part : split(text, ',')) {
    const size_t band = bandNamed(scene, trimmed(part));
    if (std::find(bands.begin(), bands.end(), band) != bands.end())
      throw Error("Band {} is named twice; name each band once.", band + 1);
    bands.push_back(band);
  }
  return bands;
}

}  // namespace zp
