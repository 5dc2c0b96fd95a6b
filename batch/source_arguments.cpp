#include "source_arguments.h"

#include "feature/feature_kind.h"

namespace zp {
namespace {

double shareOfRasters(const SourceArguments& sources) {
  return sources.features.empty() ? 1 : sources.from.empty() ? 0 : 0.5;
}

}  // namespace

void SourceArguments::addTo(CLI::App& app) {
  app.add_option("--from", from, "Rasters to read: F.tif or F.tif:BAND");
  auto* lines = app.add_option(
      "--features", features,
      "Features to read, on the grid of the first scene, such as index(ndvi); see zpatch features");
  auto* named = app.add_option("--scene", scenes.named,
                               "A scene under a name, as name=SCENE. The features of the first "
                               "need no name; of the others, as in index(ndvi) of name")
                    ->allow_extra_args(false);
  lines->needs(named);
  named->needs(lines);
  scenes.addReadingTo(app);
}

void SourceArguments::require(const char* call) const {
  if (from.empty() && features.empty())
    throw CLI::ValidationError(call, "give rasters with --from, or --features");
  for (const auto& line : features) argument("--features", [&] { parseFeature(line); });
}

std::vector<ReadingSource> SourceArguments::rasters() const {
  std::vector<ReadingSource> all;
  for (const auto& name : from) all.push_back(readingSource(name));
  return all;
}

std::optional<Scope> SourceArguments::scope() const {
  if (features.empty()) return {};
  return scenes.scope();
}

std::vector<std::filesystem::path> SourceArguments::files(const std::optional<Scope>& scope) const {
  std::vector<std::filesystem::path> all;
  for (const auto& raster : rasters()) all.push_back(raster.file);
  if (scope)
    for (const auto& file : scenes.files(*scope)) all.push_back(file);
  return all;
}

Halves::Halves(const Progress& progress, const SourceArguments& sources)
    : rasters(progress.part(0, shareOfRasters(sources))),
      features(progress.part(shareOfRasters(sources), 1)) {}

}  // namespace zp
