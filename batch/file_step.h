#pragma once
#include "arguments.h"
#include "study/step.h"

namespace zp {

/// A call done as the step that a desk would run: what it names becomes a study of the moment, and
/// what the step makes goes to the files of the call. The fields of the step are set by `[]`.
class FileStep {
 public:
  /// `name`: what the product is called, where its file says that.
  explicit FileStep(const char* kind, const std::string& name = "");

  Json& operator[](const char* field) { return step_[field]; }
  // What goes under a field: ids in the study of the moment.
  void scene(const char* field, const Scene& scene) { step_[field] = study_.addScene(scene); }
  void scenes(const char* field, const std::vector<Scene>& scenes);
  void product(const char* field, const std::filesystem::path& file);
  void products(const char* field, const std::vector<std::filesystem::path>& files);
  /// Under `scene` and `with`.
  void scope(const Scope& scope);
  /// Under `inside`; nothing for an empty name.
  void inside(const std::string& outline);
  void legend(const Legend& legend) { study_.legend = legend; }
  void training(const std::vector<TrainingArea>& areas, const std::string& crs);

  /// The product, whose facts the call tells.
  Product run(const StepFiles& files, const Progress& progress) const;

 private:
  std::string idOf(const std::filesystem::path& file);
  Study study_;
  Json step_;
};

}  // namespace zp
