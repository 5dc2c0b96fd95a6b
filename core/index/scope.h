#pragma once
#include <string>
#include <vector>

#include "index/formula.h"
#include "scene/band_reader.h"

namespace zp {

/// A scene or layer under the name that formulas call it by.
struct NamedScene {
  std::string name;  // letters, digits, _; "" only for the first: its roles stand alone
  Scene scene;
};

/// One band without a role: called by its scene's name alone.
bool isLayer(const Scene& scene);

/// What the names of a formula stand for, and the grid its result lies on. The roles of the first
/// scene stand alone (`nir`); those of every named scene follow its name (`spring.nir`); a layer of
/// one band without a role is its name (`ndvi_july`).
struct Scope {
  std::vector<NamedScene> scenes;
  Grid grid;

  Scope() = default;
  /// One scene by itself, on its grid.
  explicit Scope(Scene scene);
  /// The grid is that of the first.
  explicit Scope(std::vector<NamedScene> all);

  std::vector<std::string> names() const;
  /// Error when there is no such one.
  BandSource source(const std::string& name) const;
  std::vector<BandSource> sources(const std::vector<std::string>& names) const;
};

/// A name for a formula made from any text: "Finch 18 Jul" → "finch_18_jul", apart from `taken`.
std::string scopeName(const std::string& text, const std::vector<std::string>& taken);

/// What should be known before the numbers of a formula are trusted, one sentence each: scenes in
/// different states of values, whole numbers used without scale and offset, or of unknown state in
/// a formula whose constants suppose reflectance, layers brought over from another grid. Empty when
/// there is nothing.
std::vector<Sentence> warningsFor(const Scope& scope, const Formula& formula);

/// Whether a formula has constants that only suit one scale of its bands, as of the soil-adjusted
/// index: bands multiplied by a number then give more than its power of the value.
bool supposesScale(const Formula& formula);

}  // namespace zp
