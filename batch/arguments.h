#pragma once
#include <CLI/CLI.hpp>

#include "base/error.h"
#include "base/outputs.h"
#include "index/scope.h"
#include "outline/layer.h"

namespace zp {

/// What only the call itself can be wrong about: an Error of `check` becomes a wrong call (exit 2).
template <class Check>
void argument(const char* name, Check check) {
  try {
    check();
  } catch (const Error& e) {
    throw CLI::ValidationError(name, e.what());
  }
}

/// The scenes of a call: one by itself, or several under names. The options of a call outlive the
/// functions that set them up: each call owns a set.
struct SceneArguments {
  std::string scene, sensor, roles, nodata, state, scale, offset;
  std::vector<std::string> named;  // name=SCENE

  /// `several`: --scene is taken too.
  void addTo(CLI::App& app, bool several = false);
  /// What is said of the bands and their numbers, without SCENE.
  void addReadingTo(CLI::App& app);
  /// A wrong call when there is no scene.
  void require(const char* call) const;
  Scene open() const;
  Scene open(const std::string& path) const;
  /// All of them; the first one's roles stand alone.
  Scope scope() const;
  std::vector<std::filesystem::path> files(const Scope& scope) const;

 private:
  SceneOptions options() const;
};

struct OutputArguments {
  std::string out;
  bool replace = false;
  void addTo(CLI::App& app, const char* help, bool required = true);
};

/// A class map: "M.tif", or "M.tif:BAND" where the file has several bands. Error when it has and
/// none is named.
struct ClassMapArgument {
  std::filesystem::path file;
  int band = 1;
  explicit ClassMapArgument(const std::string& name);
};

std::vector<std::filesystem::path> filesOf(const Scene& scene);
Json names(const Outputs& outputs);
/// What a call tells of a scene that it made.
Json factsOf(const std::filesystem::path& file, const Outputs& outputs);

/// "1=4,2=4" as pairs; a wrong call where it is not so.
std::map<std::string, std::string> pairsFrom(const char* option, const std::string& text);

/// Polygons to cut to, in a system; nothing for an empty name.
std::optional<Layer> insideFrom(const std::string& outline, const std::string& crs);

/// Says at which character of a formula it is wrong.
template <class Work>
auto withPlace(Work work) {
  try {
    return work();
  } catch (const FormulaError& e) {
    throw Error("{} (at character {} of the formula)", e.what(), e.at + 1);
  }
}

/// A formula; the Error says at which character it is wrong.
Formula formulaFrom(const std::string& text, const std::vector<std::string>& known);

}  // namespace zp
