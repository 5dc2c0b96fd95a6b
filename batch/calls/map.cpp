#include <fmt/format.h>
#include <fmt/ranges.h>

#include "base/text.h"
#include "calls.h"
#include "file_step.h"
#include "kept_arguments.h"
#include "mapping/model.h"
#include "training_arguments.h"
#include "wrong_call.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

struct MapArguments {
  SceneArguments scene;
  TrainingArguments training;
  OutputArguments output;
  KeptArguments kept;
  std::string method, confidence, unlikeness, heldOut, model, signatures, modelOut,
      subclasses = "together";
  double least = 0;
  std::vector<std::string> settings;

  Json settingsOf(const Method& how) const {
    return settingsFromPairs(settings, how.parameters, how.title);
  }
};

Json runMap(const MapArguments& a, const Progress& progress) {
  const Scope scope = a.scene.scope();
  Outputs outputs(a.output.replace);
  auto inputs = a.scene.files(scope);
  if (!a.training.layer.empty()) inputs.push_back(fileOfLayer(a.training.layer));
  for (const auto& file : {a.model, a.signatures})
    if (!file.empty()) inputs.push_back(file);
  FileStep step("map");
  a.kept.addTo(step, inputs);
  StepFiles files{a.output.out, outputs.add(a.output.out, inputs)};
  const std::pair<const char*, std::string> beside[] = {{"confidence", a.confidence},
                                                        {"unlikeness", a.unlikeness},
                                                        {"held-out", a.heldOut},
                                                        {"model", a.modelOut}};
  for (const auto& [what, file] : beside)
    if (!file.empty()) files.beside[what] = outputs.add(file, inputs);
  step.scope(scope);
  Model known;
  if (a.model.empty()) {
    if (a.signatures.empty()) {
      step.training(readTrainingAreas(a.training.layer, a.training.fields, scope.grid.crs),
                    scope.grid.crs);
    } else {
      known.features = linesOf(readSignatures(a.signatures));
      step["signatures"] = a.signatures;
    }
    step["method"] = a.method;
    step["settings"] = a.settingsOf(method(a.method));
    if (a.subclasses != "together") step["subclasses"] = a.subclasses;
    if (a.least > 0) step["least"] = a.least;
  } else {
    known = readModel(a.model);
    step["model"] = a.model;
  }
  const auto lines = a.training.features.lines(scope, known.features);
  step["features"] = lines;
  const auto made = step.run(files, progress);
  outputs.commit();
  Json result = {{"method", a.model.empty() ? a.method : known.plan.method},
                 {"features", lines},
                 {"classes", made.facts.at("classes")},
                 {"training_pixels", made.facts.at("training_pixels")},
                 {"conflicts", made.facts.at("conflicts")},
                 {"outputs", names(outputs)}};
  for (const char* told : {"training", "held_out", "guess"})
    if (made.facts.contains(told)) result[told] = made.facts[told];
  return result;
}

}  // namespace

namespace calls {

Call map(CLI::App& app) {
  auto* call = app.add_subcommand("map", "Trained map of a scene");
  auto a = std::make_shared<MapArguments>();
  a->scene.addTo(*call, true);
  a->training.addTo(*call, false);
  a->output.addTo(*call, "Class map to write");
  std::vector<std::string> ids;
  std::vector<const std::vector<Parameter>*> parameters;
  for (const auto* m : methods()) {
    ids.push_back(m->id);
    parameters.push_back(&m->parameters);
  }
  call->add_option("--method", a->method, fmt::format("One of {}", listed(ids)))
      ->check(offering(ids));
  call->add_option("--set", a->settings, settingsHelp(parameters, "methods"));
  call->add_option("--subclasses", a->subclasses,
                   "Train subclasses together, apart and mapped to their class, or apart and kept")
      ->check(oneOf("way to train subclasses", {"together", "apart", "kept"}))
      ->needs("--subclass");
  call->add_option("--least", a->least,
                   "Pixels for whose class less speaks, 0 to 1, stay without a class")
      ->check(CLI::Range(0.0, 0.999));
  a->kept.addTo(*call);
  call->add_option("--confidence", a->confidence,
                   "GeoTIFF to write: what speaks for the class of each pixel, 0 to 1");
  call->add_option("--unlikeness", a->unlikeness,
                   "GeoTIFF to write: how unlike all training each pixel is");
  call->add_option("--held-out", a->heldOut,
                   "JSON to write: how training areas kept out of training, five times in turn, "
                   "are mapped; an indication, no accuracy assessment");
  call->add_option("--model-out", a->modelOut, "Model to write, for use on other scenes");
  call->add_option("--signatures", a->signatures,
                   "Signatures to learn from instead of --training (zpatch signatures)")
      ->excludes("--training")
      ->excludes("--subclasses")
      ->excludes("--unlikeness")
      ->excludes("--held-out");
  call->add_option("--model", a->model, "Model to use instead of --training and --method")
      ->excludes("--training")
      ->excludes("--signatures")
      ->excludes("--method")
      ->excludes("--set")
      ->excludes("--subclasses")
      ->excludes("--least")
      ->excludes("--unlikeness")
      ->excludes("--held-out");
  call->callback([a] {
    a->scene.require("map");
    if (!a->model.empty()) return;
    if (a->training.layer.empty() && a->signatures.empty())
      throw CLI::RequiredError("--training, --signatures or --model");
    if (a->method.empty()) throw CLI::RequiredError("--method");
    argument("--method", [&] { method(a->method); });
    a->settingsOf(method(a->method));
  });
  return {call, [a](const Progress& progress) { return runMap(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
