#pragma once
#include <optional>

#include "base/outputs.h"
#include "base/progress.h"
#include "index/scope.h"
#include "index/statistics.h"
#include "index/trusted_map.h"
#include "outline/layer.h"
#include "study/step.h"
#include "study/steps/step_kind.h"
#include "study/study.h"

namespace zp {

/// One step while it is done. What the step names is looked up here, and is an input of the product
/// from then on: nothing can be read without being recorded. Error, in words, when it is gone.
class StepRun {
 public:
  struct Rows {
    std::string name;
    Layer layer;
  };
  /// `again`: the product that is made again; its name and id stay. `files`: where it is written
  /// to, when not into the study.
  StepRun(const Study& study, const Json& step, const Progress& progress, const Product* again,
          const StepFiles* files = nullptr);

  const Json& step() const { return product.step; }
  const Progress& progress() const { return progress_; }
  const Product* again() const { return again_; }
  const Study& study() const { return study_; }

  // What a field names.
  std::string file(const char* field) const { return study_.absolute(step().at(field)); }
  const Scene& scene(const char* field = "scene");
  std::vector<Scene> scenes(const char* field);
  const Product& source(const char* field);
  std::vector<const Product*> sources(const char* field);
  // What an id names.
  const Scene& sceneOf(const std::string& id);
  const Product& sourceOf(const std::string& id);
  /// The shapes and columns of an outline, cells or points.
  Rows rowsOf(const std::string& id);
  /// The scene under `scene` and everything under `with`, on the grid that results lie on.
  Scope scope() { return scopeIn(step()); }
  Scope scopeOf(const std::string& scene);
  /// The outline under `inside`, in a system; nothing when there is none.
  std::optional<Layer> inside(const std::string& crs) { return insideIn(step(), crs); }
  /// The outline under a field, in its own system.
  Layer outline(const char* field);
  // The same of another step, such as that of a product this one is about.
  Scope scopeIn(const Json& step);
  std::optional<Layer> insideIn(const Json& step, const std::string& crs);
  /// The class map under `kept`, whose classes stay as they are; nothing when there is none.
  std::optional<TrustedMap> keptIn(const Json& step);
  /// The training areas, in a system.
  std::vector<TrainingArea> training(const std::string& crs);

  /// Before anything is written to `temporary`: what is made. `freshFile`: beside the old one of a
  /// product made again, which may be written to until then.
  void begin(ProductKind kind, const std::string& ending, bool freshFile = false);
  /// A further file that the caller wants beside it; empty when none is wanted.
  std::filesystem::path beside(const std::string& what) const;
  Product finish();
  // The same for rasters, with overviews, and what the sheet of facts tells.
  Product finishRaster(bool classes = false);
  Product finishScene(const Scene& like);
  /// `legend`: classes to list though they have no pixel.
  Product finishClassMap(const Progress& progress, const Legend& legend = {});
  Product finishPicture(const Statistics& statistics);

  Product product;
  std::filesystem::path temporary;

 private:
  void uses(const std::string& id);
  const StudyOutline& needOutline(const std::string& id);
  const Study& study_;
  const Progress& progress_;
  const Product* again_;
  const StepFiles* files_;
  Outputs outputs_{true};
};

/// {name colour}, and perhaps {code}, of a step.
LegendClass classFrom(const Json& json, int code);
/// A list of them, coded from 1.
Legend legendOfStep(const Json& classes);
/// Error when a scene has lost a band that a step names.
void requireBand(const Scene& scene, size_t band);
/// The day a product stands for, or its name.
std::string dayOf(const Product& product);

}  // namespace zp
