#pragma once
#include <string>
#include <vector>

#include "base/parameter.h"
#include "feature/feature.h"
#include "index/scope.h"

namespace zp {

/// A feature as one writes it: `kind(argument, …)`, perhaps `of` a scene or layer by its name in
/// formulas. `index(ndvi)`, `band(nir) of july`, `brightness(visible)`.
struct FeatureLine {
  std::string kind;
  std::vector<std::string> arguments;  // by the kind's parameters; the last may be left out
  std::string of;                      // "": the first of the scope
};

/// Error: not such a line, or longer than 4000 characters.
FeatureLine parseFeature(const std::string& text);
std::string textOf(const FeatureLine& line);

/// One kind of feature: its parameters, and how it is made from those and a scene.
struct FeatureKind {
  std::string id, title, about, source;
  std::vector<Parameter> parameters;
  /// `settings`: by the parameters' ids, checked.
  std::shared_ptr<Feature> (*make)(const Scope& scope, size_t scene, const Json& settings);
  /// Layers that a line names in its parentheses, beside the one after `of`.
  std::vector<std::string> (*layers)(const FeatureLine& line) = nullptr;
};

/// The names of all layers that a line needs in its scope.
std::vector<std::string> layersOf(const FeatureLine& line);

/// Such as "brightness(bands)".
std::string lineOf(const FeatureKind& kind);

/// All there are, in the order of feature/kinds.cpp.
const std::vector<const FeatureKind*>& featureKinds();
/// Error with the nearest known id.
const FeatureKind& featureKind(const std::string& id);

/// Error, naming the line: an unknown kind, arguments that do not fit, a layer that the scope
/// lacks, a band the scene lacks; lines that say the same twice. Of several that would be called
/// the same, the later ones are called after their layers too.
std::shared_ptr<Feature> makeFeature(const std::string& line, const Scope& scope);
Features makeFeatures(const std::vector<std::string>& lines, const Scope& scope);

/// The line of a band: by its role, which other scenes have too, or its number.
std::string bandLine(const Scene& scene, size_t band);
/// Of several.
std::vector<std::string> bandLines(const std::vector<size_t>& bands, const Scene& scene);

/// Those in a text, by role, number from 1 or name, as places in scene.bands: "1,2,5"; all when it
/// is empty. Error: no such band, or one named twice.
std::vector<size_t> bandsNamed(const std::string& text, const Scene& scene);
/// A band by its role, its number from 1 or its name. Error with what there is.
size_t bandNamed(const Scene& scene, const std::string& text);

}  // namespace zp
