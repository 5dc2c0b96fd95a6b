#include "index/scope.h"

#include <fmt/format.h>

#include <algorithm>
#include <cctype>
#include <cmath>
#include <limits>
#include <set>

#include "base/error.h"
#include "base/random.h"
#include "base/text.h"

namespace zp {
namespace {

bool isReflectance(ValueState s) {
  return s == ValueState::TopOfAtmosphere || s == ValueState::SurfaceReflectance;
}

bool isMeasured(ValueState s) {
  return s != ValueState::Unknown && s != ValueState::Quantity && s != ValueState::ClassCodes;
}

/// Reflectance lies in 0…1; a number type of whole ones that is not scaled cannot be it.
bool unscaledIntegers(const SceneBand& band) {
  const NumberType t = RasterFile(band.file).facts(band.number).type;
  const bool whole = t != NumberType::Float32 && t != NumberType::Float64;
  return whole && band.conversion.scale == 1 && band.conversion.offset == 0;
}

}  // namespace

bool isLayer(const Scene& scene) {
  return scene.bands.size() == 1 && scene.bands[0].role.empty();
}

Scope::Scope(Scene scene) : scenes{{"", std::move(scene)}} {
  grid = scenes[0].scene.grid;
}

Scope::Scope(std::vector<NamedScene> all) : scenes(std::move(all)) {
  if (!scenes.empty()) grid = scenes[0].scene.grid;
}

std::vector<std::string> Scope::names() const {
  std::vector<std::string> all;
  if (!scenes.empty() && !isLayer(scenes[0].scene)) all = scenes[0].scene.roles();
  for (const auto& s : scenes) {
    if (s.name.empty()) continue;
    if (isLayer(s.scene)) all.push_back(s.name);
    for (const auto& role : s.scene.roles()) all.push_back(s.name + "." + role);
  }
  return all;
}

BandSource Scope::source(const std::string& name) const {
  const size_t dot = name.find('.');
  const std::string of = dot == std::string::npos ? "" : name.substr(0, dot),
                    role = dot == std::string::npos ? name : name.substr(dot + 1);
  for (size_t i = 0; i < scenes.size(); ++i) {
    const Scene& s = scenes[i].scene;
    if (dot == std::string::npos && isLayer(s) && scenes[i].name == name) return {&s, 0};
    const bool meant = dot == std::string::npos ? i == 0 : scenes[i].name == of;
    if (!meant) continue;
    if (const int b = s.bandOf(role); b >= 0) return {&s, static_cast<size_t>(b)};
    if (dot != std::string::npos || isLayer(s)) continue;
  }
  if (dot == std::string::npos && !scenes.empty())
    throw Error("“{}” has no {} band; give a band that role first.", scenes[0].scene.name, name);
  throw Error("There is no “{}” here.{}", name, didYouMean(name, names()));
}

std::vector<BandSource> Scope::sources(const std::vector<std::string>& wanted) const {
  std::vector<BandSource> all;
  for (const auto& name : wanted) all.push_back(source(name));
  // A formula of numbers alone still needs a grid.
  if (all.empty() && !scenes.empty()) all.push_back({&scenes[0].scene, 0});
  return all;
}

std::string scopeName(const std::string& text, const std::vector<std::string>& taken) {
  std::string name;
  for (const char c : plainName(text)) name += c == '-' ? '_' : c;
  if (name.empty() || std::isdigit(static_cast<unsigned char>(name[0])) != 0)
    name = "layer_" + name;
  std::string fresh = name;
  for (int n = 2; std::find(taken.begin(), taken.end(), fresh) != taken.end(); ++n)
    fresh = fmt::format("{}_{}", name, n);
  return fresh;
}

bool supposesScale(const Formula& formula) {
  // Values at places with several covers, at three scales. Of a homogeneous formula, each step of
  // the scale multiplies all of them by one number.
  constexpr size_t kPlaces = 16;
  const auto at = [&](float scale) {
    std::vector<std::vector<float>> bands;
    std::vector<const float*> planes;
    for (size_t b = 0; b < formula.variables.size(); ++b) {
      bands.emplace_back(kPlaces);
      for (size_t p = 0; p < kPlaces; ++p)
        bands[b][p] = scale * (0.03f + 0.57f * static_cast<float>(unit(mix(b, p))));
    }
    for (const auto& b : bands) planes.push_back(b.data());
    std::vector<float> values(kPlaces);
    evaluateFormula(formula, planes, 1, kPlaces, values.data());
    return values;
  };
  const auto low = at(1), middle = at(64), high = at(4096);
  double factor = std::numeric_limits<double>::quiet_NaN();
  const auto steady = [&](double from, double to) {
    if (std::isnan(from) || std::isnan(to) || (from == 0 && to == 0)) return true;
    if (std::isnan(factor)) factor = to / from;
    return std::abs(to - factor * from) <= 1e-3 * std::abs(to) + 1e-6;
  };
  for (size_t p = 0; p < kPlaces; ++p)
    if (!steady(low[p], middle[p]) || !steady(middle[p], high[p])) return true;
  return false;
}

std::vector<Sentence> warningsFor(const Scope& scope, const Formula& formula) {
  std::vector<Sentence> warnings;
  std::set<std::string> states, unscaled, unknown, elsewhere;
  const bool scaled = supposesScale(formula);
  for (const auto& name : formula.variables) {
    const BandSource from = scope.source(name);
    const Scene& s = *from.scene;
    if (isMeasured(s.state)) states.insert(titleOf(s.state));
    if (isReflectance(s.state) && unscaledIntegers(s.bands[from.band])) unscaled.insert(s.name);
    if (s.state == ValueState::Unknown && scaled && unscaledIntegers(s.bands[from.band]))
      unknown.insert(s.name);
    if (!RasterFile(s.bands[from.band].file).grid().moved(s.shift).sameAs(scope.grid))
      elsewhere.insert(s.bands[from.band].role.empty() ? s.name
                                                       : s.name + " " + s.bands[from.band].role);
  }
  std::vector<Sentence> each;
  for (const auto& s : states) each.emplace_back(s);
  if (states.size() > 1)
    warnings.push_back(
        Sentence("This mixes {}: bring the scenes to one state first.", listed(each)));
  if (!unscaled.empty())
    warnings.push_back(Sentence(
        "{} is called reflectance but holds whole numbers without scale and offset: set them under "
        "Scenes, or indices with constants come out wrong.",
        listed(std::vector<std::string>(unscaled.begin(), unscaled.end()))));
  if (!unknown.empty())
    warnings.push_back(Sentence(
        "{} holds whole numbers of unknown state, but the constants of this formula suppose "
        "reflectance from 0 to 1: say what the numbers are, with their scale and offset.",
        listed(std::vector<std::string>(unknown.begin(), unknown.end()))));
  if (!elsewhere.empty())
    warnings.push_back(
        Sentence("Brought onto this grid while computing: {}. Nothing is rewritten.",
                 listed(std::vector<std::string>(elsewhere.begin(), elsewhere.end()))));
  return warnings;
}

}  // namespace zp
