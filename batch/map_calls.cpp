// Signatures and trained maps of scenes, and what methods and features there are.
#include <fmt/format.h>

#include "arguments.h"
#include "base/outputs.h"
#include "base/text.h"
#include "calls.h"
#include "feature/feature_kind.h"
#include "legend/class_map.h"
#include "mapping/make_map.h"
#include "mapping/model.h"
#include "training/signature.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

struct TrainingArguments {
  std::string layer, bands;
  std::vector<std::string> features;
  TrainingFields fields;
  void addTo(CLI::App& app, bool required) {
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
  /// Of `known`, when neither bands nor features are named and there are any.
  std::vector<std::string> lines(const Scope& scope,
                                 const std::vector<std::string>& known = {}) const {
    if (!features.empty()) return features;
    if (bands.empty() && !known.empty()) return known;
    const Scene& scene = scope.scenes[0].scene;
    return bandLines(bandsNamed(bands, scene), scene);
  }
};

void requireScene(const SceneArguments& a, const char* call) {
  if (a.scene.empty() && a.named.empty())
    throw CLI::ValidationError(call, "give a SCENE, or scenes under names with --scene name=SCENE");
}

Call signatures(CLI::App& app) {
  struct Arguments {
    SceneArguments scene;
    TrainingArguments training;
    OutputArguments output;
  };
  auto* call = app.add_subcommand("signatures", "Statistics of the training pixels of each class");
  auto a = std::make_shared<Arguments>();
  a->scene.addTo(*call, true);
  a->training.addTo(*call, true);
  a->output.addTo(*call, "Signatures to write, as JSON");
  call->callback([a] { requireScene(a->scene, "signatures"); });
  return {call, [a](const Progress& progress) {
            const Scope scope = a->scene.scope();
            Outputs outputs(a->output.replace);
            auto inputs = a->scene.files(scope);
            inputs.push_back(fileOfLayer(a->training.layer));
            const fs::path temporary = outputs.add(a->output.out, inputs);
            const FeatureReader reader(scope, makeFeatures(a->training.lines(scope), scope));
            const auto areas =
                readTrainingAreas(a->training.layer, a->training.fields, scope.grid.crs);
            Json result =
                toJson(signaturesOf(drawSamples(reader, areas, legendOf(areas), {}, progress)));
            writeJson(temporary, result);
            outputs.commit();
            result["outputs"] = names(outputs);
            return result;
          }};
}

struct MapArguments {
  SceneArguments scene;
  TrainingArguments training;
  OutputArguments output;
  std::string method, confidence, model, modelOut;
  std::vector<std::string> settings;

  Json settingsOf(const Method& how) const {
    Json given = Json::object();
    for (const auto& s : settings) {
      const size_t at = s.find('=');
      if (at == std::string::npos)
        throw CLI::ValidationError("--set", fmt::format("“{}” is not key=value.", s));
      argument("--set", [&] {
        const auto& parameter = parameterOf(how.parameters, s.substr(0, at), how.title);
        given[parameter.id] = settingFromText(parameter, s.substr(at + 1));
      });
    }
    return given;
  }
};

Json runMap(const MapArguments& a, const Progress& progress) {
  const Scope scope = a.scene.scope();
  Outputs outputs(a.output.replace);
  auto inputs = a.scene.files(scope);
  if (!a.training.layer.empty()) inputs.push_back(fileOfLayer(a.training.layer));
  if (!a.model.empty()) inputs.push_back(a.model);
  const fs::path temporary = outputs.add(a.output.out, inputs);
  const fs::path confidence = a.confidence.empty() ? "" : outputs.add(a.confidence, inputs);
  const fs::path modelOut = a.modelOut.empty() ? "" : outputs.add(a.modelOut, inputs);
  Model model;
  if (!a.model.empty()) model = readModel(a.model);
  const auto lines = a.training.lines(scope, model.features);
  const FeatureReader reader(scope, makeFeatures(lines, scope));
  if (a.model.empty()) {
    const auto areas = readTrainingAreas(a.training.layer, a.training.fields, scope.grid.crs);
    model = trainModel(reader, lines, a.method, a.settingsOf(method(a.method)), areas,
                       legendOf(areas), progress.part(0, 0.2));
  }
  makeMap(reader, *model.classifier, model.legend, temporary, progress.part(0.2, 0.9), confidence);
  if (!modelOut.empty()) writeJson(modelOut, toJson(model));
  const Json areas = toJson(classAreas(temporary, model.legend, progress.part(0.9, 1)));
  outputs.commit();
  return {{"method", model.method},
          {"features", lines},
          {"classes", areas},
          {"training_pixels", model.trainingPixels},
          {"conflicts", model.conflicts},
          {"outputs", names(outputs)}};
}

/// Each once, with the methods that have it: "priors=… (maximum-likelihood)".
std::string settingsHelp() {
  std::vector<std::string> ids;
  for (const auto* m : methods())
    for (const auto& p : m->parameters)
      if (std::find(ids.begin(), ids.end(), p.id) == ids.end()) ids.push_back(p.id);
  return fmt::format("Parameter of the method as key=value: {}; see zpatch methods",
                     fmt::join(ids, ", "));
}

Call map(CLI::App& app) {
  auto* call = app.add_subcommand("map", "Trained map of a scene");
  auto a = std::make_shared<MapArguments>();
  a->scene.addTo(*call, true);
  a->training.addTo(*call, false);
  a->output.addTo(*call, "Class map to write");
  std::vector<std::string> ids, sure;
  for (const auto* m : methods()) {
    ids.push_back(m->id);
    if (m->confidence) sure.push_back(m->id);
  }
  call->add_option("--method", a->method, fmt::format("One of {}", listed(ids)));
  call->add_option("--set", a->settings, settingsHelp());
  call->add_option("--confidence", a->confidence,
                   fmt::format("GeoTIFF to write: probability of each pixel's class ({})",
                               fmt::join(sure, ", ")));
  call->add_option("--model-out", a->modelOut, "Model to write, for use on other scenes");
  call->add_option("--model", a->model, "Model to use instead of --training and --method")
      ->excludes("--training")
      ->excludes("--method")
      ->excludes("--set");
  call->callback([a] {
    requireScene(a->scene, "map");
    if (!a->model.empty()) return;
    if (a->training.layer.empty()) throw CLI::RequiredError("--training or --model");
    if (a->method.empty()) throw CLI::RequiredError("--method");
    argument("--method", [&] { method(a->method); });
    a->settingsOf(method(a->method));
  });
  return {call, [a](const Progress& progress) { return runMap(*a, progress); }};
}

Json described(const std::vector<Parameter>& parameters) {
  Json list = Json::array();
  for (const auto& p : parameters)
    list.push_back({{"id", p.id},
                    {"about", p.about},
                    {"takes", rangeOf(p).text()},
                    {"from_the_start", p.initial.is_null() ? p.unset : textOf(p, p.initial)}});
  return list;
}

/// The same for a person.
std::string listing(const std::string& head, const std::vector<std::string>& paragraphs,
                    const std::vector<Parameter>& parameters) {
  std::string text = head + "\n";
  for (const auto& p : paragraphs)
    if (!p.empty()) text += "  " + p + "\n";
  for (const auto& p : parameters) {
    const std::string initial = p.initial.is_null() ? p.unset : textOf(p, p.initial);
    text += fmt::format("  {}: {}{}. {}\n", p.id, rangeOf(p),
                        initial.empty() ? "" : fmt::format(" ({})", initial), p.about);
  }
  return text + "\n";
}

/// Told from the same descriptions that the window builds its controls from.
Call listOfMethods(CLI::App& app) {
  auto* call = app.add_subcommand("methods", "The methods of trained maps, with their parameters");
  return {call, [](const Progress&) {
            Json list = Json::array();
            std::string text;
            for (const auto* m : methods()) {
              text += listing(m->id, {m->about, m->assumes, m->fails, m->source}, m->parameters);
              list.push_back({{"id", m->id},
                              {"about", m->about},
                              {"assumes", m->assumes},
                              {"fails", m->fails},
                              {"source", m->source},
                              {"confidence", m->confidence},
                              {"parameters", described(m->parameters)}});
            }
            return Json{{"methods", list}, {"text", text}, {"outputs", Json::array()}};
          }};
}

Call listOfFeatures(CLI::App& app) {
  auto* call =
      app.add_subcommand("features", "The kinds of features, as --features of map takes them");
  return {call, [](const Progress&) {
            Json list = Json::array();
            std::string text;
            for (const auto* k : featureKinds()) {
              text += listing(lineOf(*k), {k->about, k->source}, k->parameters);
              list.push_back({{"id", k->id},
                              {"about", k->about},
                              {"line", lineOf(*k)},
                              {"parameters", described(k->parameters)}});
            }
            return Json{{"features", list}, {"text", text}, {"outputs", Json::array()}};
          }};
}

}  // namespace

std::vector<Call> addMapCalls(CLI::App& app) {
  return {signatures(app), map(app), listOfMethods(app), listOfFeatures(app)};
}

}  // namespace zp
