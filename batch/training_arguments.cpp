#include "training_arguments.h"

#include "feature/feature_kind.h"

namespace zp {

void TrainingArguments::addTo(CLI::App& app, bool required) {
  auto* training = app.add_option("--training", layer, "Training areas: FILE or FILE:LAYER");
  auto* code = app.add_option("--code", fields.code, "Field with the class code");
  if (required) training->required();
  if (required) code->required();
  training->needs(code);
  app.add_option("--name", fields.name, "Field with the class name");
  auto* only = app.add_option("--bands", bands, "Bands, such as 1,2,5; all by default");
  app.add_option("--features", features,
                 "Features, each by its line, such as band(nir) or index(ndvi) of july; see "
                 "zpatch features")
      ->excludes(only);
}

std::vector<std::string> TrainingArguments::lines(const Scope& scope,
                                                  const std::vector<std::string>& known) const {
  if (!features.empty()) return features;
  if (bands.empty() && !known.empty()) return known;
  const Scene& scene = scope.scenes[0].scene;
  return bandLines(bandsNamed(bands, scene), scene);
}

}  // namespace zp
