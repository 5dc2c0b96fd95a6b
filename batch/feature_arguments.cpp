#include "feature_arguments.h"

#include <fmt/format.h>
#include <fmt/ranges.h>

#include "arguments.h"
#include "feature/feature_kind.h"

namespace zp {

void FeatureArguments::addTo(CLI::App& app) {
  auto* only = app.add_option("--bands", bands, "Bands, such as 1,2,5; all by default");
  app.add_option("--features", features,
                 "Features, each by its line, such as band(nir) or index(ndvi) of july; see "
                 "zpatch features")
      ->excludes(only);
}

std::vector<std::string> FeatureArguments::lines(const Scope& scope,
                                                 const std::vector<std::string>& known) const {
  if (!features.empty()) return features;
  if (bands.empty() && !known.empty()) return known;
  const Scene& scene = scope.scenes[0].scene;
  return bandLines(bandsNamed(bands, scene), scene);
}

Json settingsFromPairs(const std::vector<std::string>& pairs,
                       const std::vector<Parameter>& parameters, const std::string& whose) {
  Json given = Json::object();
  for (const auto& s : pairs) {
    const size_t at = s.find('=');
    if (at == std::string::npos)
      throw CLI::ValidationError("--set", fmt::format("“{}” is not key=value.", s));
    argument("--set", [&] {
      const auto& parameter = parameterOf(parameters, s.substr(0, at), whose);
      given[parameter.id] = settingFromText(parameter, s.substr(at + 1));
    });
  }
  return given;
}

std::string settingsHelp(const std::vector<const std::vector<Parameter>*>& of,
                         const std::string& list) {
  std::vector<std::string> ids;
  for (const auto* parameters : of)
    for (const auto& p : *parameters)
      if (std::find(ids.begin(), ids.end(), p.id) == ids.end()) ids.push_back(p.id);
  return fmt::format("Parameter of the method as key=value: {}; see zpatch {}",
                     fmt::join(ids, ", "), list);
}

}  // namespace zp
