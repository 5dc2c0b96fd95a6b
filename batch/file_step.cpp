#include "file_step.h"

namespace fs = std::filesystem;

namespace zp {

FileStep::FileStep(const char* kind, const std::string& name)
    : step_{{"do", kind}, {"name", name.empty() ? kind : name}} {}

void FileStep::scenes(const char* field, const std::vector<Scene>& scenes) {
  step_[field] = Json::array();
  for (const auto& s : scenes) step_[field].push_back(study_.addScene(s));
}

std::string FileStep::idOf(const fs::path& file) {
  Product p;
  p.name = file.stem().string();
  p.file = file;
  p.facts = Json::object();
  return study_.addProduct(p);
}

void FileStep::product(const char* field, const fs::path& file) {
  step_[field] = idOf(file);
}

void FileStep::products(const char* field, const std::vector<fs::path>& files) {
  step_[field] = Json::array();
  for (const auto& f : files) step_[field].push_back(idOf(f));
}

void FileStep::scope(const Scope& scope) {
  for (const auto& s : scope.scenes) {
    const std::string id = study_.addScene(s.scene);
    if (!step_.contains("scene")) step_["scene"] = id;
    if (!s.name.empty()) step_["with"][s.name] = id;
  }
}

void FileStep::inside(const std::string& outline) {
  if (outline.empty()) return;
  StudyOutline o;
  o.layer = outline;
  step_["inside"] = study_.addOutline(o);
}

void FileStep::training(const std::vector<TrainingArea>& areas, const std::string& crs) {
  study_.setTraining(areas, crs);
}

Product FileStep::run(const StepFiles& files, const Progress& progress) const {
  return runStepTo(files, study_, step_, progress);
}

}  // namespace zp
