#pragma once
#include "arguments.h"
#include "sampling/readings.h"

namespace zp {

/// What is read at places or summarised in them: rasters, then features on the grid of the first
/// scene.
struct SourceArguments {
  std::vector<std::string> from, features;
  SceneArguments scenes;

  void addTo(CLI::App& app);
  /// A wrong call when there is nothing to read, or a feature is none.
  void require(const char* call) const;
  std::vector<ReadingSource> rasters() const;
  /// Nothing without features.
  std::optional<Scope> scope() const;
  /// All files that are read.
  std::vector<std::filesystem::path> files(const std::optional<Scope>& scope) const;
};

/// The rasters' part of a task, and the features' part.
struct Halves {
  Progress rasters, features;
  Halves(const Progress& progress, const SourceArguments& sources);
};

}  // namespace zp
