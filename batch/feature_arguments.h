#pragma once
#include <CLI/CLI.hpp>

#include "base/parameter.h"
#include "index/scope.h"

namespace zp {

/// What a map, clusters or signatures are made of.
struct FeatureArguments {
  std::string bands;
  std::vector<std::string> features;
  void addTo(CLI::App& app);
  /// Of `known`, when neither bands nor features are named and there are any.
  std::vector<std::string> lines(const Scope& scope,
                                 const std::vector<std::string>& known = {}) const;
};

/// --set KEY=VALUE … of a method; a wrong call when one does not fit.
Json settingsFromPairs(const std::vector<std::string>& pairs,
                       const std::vector<Parameter>& parameters, const std::string& whose);
/// Their keys, each once: "Parameter of the method as key=value: trees, depth".
std::string settingsHelp(const std::vector<const std::vector<Parameter>*>& of,
                         const std::string& list);

}  // namespace zp
