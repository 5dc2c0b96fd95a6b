#include "mapping/model.h"

#include "base/error.h"

namespace zp {
namespace {

/// Version 1 knew methods of signatures only, and had their settings beside them.
Json asNow(const Json& json) {
  if (json.value("version", 1) != 1) return json;
  Json now = {{"method", json.at("method")},
              {"settings", Json::object()},
              {"features", Json::array()},
              {"legend", json.at("legend")},
              {"learned", json.at("signatures")},
              {"conflicts", json.at("signatures").value("conflicts", size_t{0})}};
  if (!json.at("priors").empty()) now["settings"]["priors"] = json["priors"];
  if (json.at("reject").is_number()) now["settings"]["reject"] = json["reject"];
  size_t pixels = 0;
  for (const auto& c : json["signatures"].at("classes")) pixels += c.at("pixels").get<size_t>();
  now["training_pixels"] = pixels;
  return now;
}

/// The library takes −1 for a large number.
size_t countFrom(const Json& json) {
  if (!json.is_number_unsigned()) throw Error("A count of the model is not a whole number.");
  return json.get<size_t>();
}

}  // namespace

Model trainModel(const FeatureReader& reader, const std::vector<std::string>& lines,
                 const std::string& id, const Json& settings,
                 const std::vector<TrainingArea>& areas, const Legend& legend,
                 const Progress& progress) {
  const Method& how = method(id);
  Model m{id, settingsFrom(how.parameters, settings, how.title), lines, legend, {}, 0, 0};
  const Samples samples = drawSamples(reader, areas, legend, {}, progress.part(0, 0.7));
  m.classifier = how.train(samples, m.settings, progress.part(0.7, 1));
  m.trainingPixels = samples.size();
  m.conflicts = samples.conflicts;
  return m;
}

Json toJson(const Model& m) {
  return {{"format", "zany-patch-model"},
          {"version", 2},
          {"method", m.method},
          {"settings", m.settings},
          {"features", m.features},
          {"legend", toJson(m.legend)},
          {"training_pixels", m.trainingPixels},
          {"conflicts", m.conflicts},
          {"learned", m.classifier->toJson()}};
}

Model readModel(const std::filesystem::path& file) {
  const Json raw = readJson(file, "zany-patch-model", 2, 128u << 20);
  Model m;
  try {
    const Json json = asNow(raw);
    m.method = json.at("method").get<std::string>();
    const Method& how = method(m.method);
    m.settings = settingsFrom(how.parameters, json.at("settings"), how.title);
    m.features = json.at("features").get<std::vector<std::string>>();
    m.legend = legendFrom(json.at("legend"));
    m.trainingPixels = countFrom(json.at("training_pixels"));
    m.conflicts = countFrom(json.at("conflicts"));
    m.classifier = how.read(json.at("learned"), m.settings);
  } catch (const Json::exception&) {
    throw Error("The model “{}” is not complete; train it again.", file.string());
  }
  if (!m.features.empty() && m.features.size() != m.classifier->features())
    throw Error("The model “{}” names {} features but was trained on {}; train it again.",
                file.string(), m.features.size(), m.classifier->features());
  for (const int code : m.classifier->classes())
    if (m.legend.find(code) == nullptr)
      throw Error("The model “{}” has no legend entry for class {}; train it again.", file.string(),
                  code);
  return m;
}

}  // namespace zp
