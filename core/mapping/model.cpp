#include "mapping/model.h"

#include <map>

#include "base/error.h"
#include "mapping/derived.h"

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

/// Shares of classes as shares of their subclasses, by their pixels; equal ones are said too, or
/// a class would count as often as it has subclasses.
Json apartSettings(const Method& how, Json settings, const std::vector<SubclassCode>& subclasses,
                   const Samples& parts) {
  for (const auto& p : how.parameters) {
    if (p.type != Parameter::Type::Shares) continue;
    const Json given = settings.at(p.id);
    std::map<int, double> pixels;
    for (size_t k = 0; k < subclasses.size(); ++k)
      pixels[subclasses[k].of] += static_cast<double>(parts.classes[k].labelled);
    Json shares = Json::object();
    for (size_t k = 0; k < subclasses.size(); ++k) {
      const int of = subclasses[k].of;
      const double share = given.empty() ? 1.0 : given.value(std::to_string(of), 0.0);
      if (share > 0)
        shares[std::to_string(subclasses[k].code)] =
            share * static_cast<double>(parts.classes[k].labelled) / pixels[of];
    }
    settings[p.id] = shares;
  }
  return settings;
}

/// What a model gives in the end, from what it has learned.
std::shared_ptr<const Classifier> finished(std::shared_ptr<const Classifier> learned,
                                           const Model& m) {
  if (m.plan.subclasses == Subclasses::Apart)
    learned = std::make_shared<OfSubclasses>(std::move(learned), m.subclasses);
  if (m.plan.least > 0) learned = std::make_shared<OnlySure>(std::move(learned), m.plan.least);
  return learned;
}

Json toJson(const std::vector<SubclassCode>& subclasses) {
  Json all = Json::array();
  for (const auto& s : subclasses)
    all.push_back({{"code", s.code}, {"of", s.of}, {"name", s.name}});
  return all;
}

std::vector<SubclassCode> subclassCodesFrom(const Json& json, const std::vector<int>& codes) {
  std::vector<SubclassCode> all;
  std::vector<int> own;
  for (const auto& s : json) {
    all.push_back({s.at("code"), s.at("of"), s.at("name")});
    own.push_back(all.back().code);
    if (all.back().of < 1 || all.back().of > 65535)
      throw Error("A subclass of the model is of no class; train it again.");
  }
  if (own != codes) throw Error("The subclasses of the model are not those it learned.");
  return all;
}

}  // namespace

Model trainOn(const Samples& samples, const MapPlan& plan, const Legend& legend,
              const Progress& progress) {
  const Method& how = method(plan.method);
  Model m{plan, {}, legend, {}, {}, samples.size(), samples.conflicts};
  m.plan.settings = settingsFrom(how.parameters, plan.settings, how.title);
  if (!(plan.least >= 0 && plan.least < 1))
    throw Error("What must speak for a class is a share from 0 to 1.");
  std::shared_ptr<const Classifier> learned;
  if (plan.subclasses == Subclasses::Together) {
    learned = how.train(samples, m.plan.settings, progress);
  } else {
    m.subclasses = subclassesOf(samples);
    const Samples parts = apart(samples, m.subclasses);
    m.plan.settings = apartSettings(how, m.plan.settings, m.subclasses, parts);
    learned = how.train(parts, m.plan.settings, progress);
    if (plan.subclasses == Subclasses::Kept) m.legend = apart(legend, m.subclasses);
  }
  m.classifier = finished(std::move(learned), m);
  return m;
}

Model modelOf(const SignatureSet& set, const MapPlan& plan, Legend legend) {
  const Method& how = method(plan.method);
  if (!how.bySignatures || plan.subclasses != Subclasses::Together)
    throw Error("{} needs training pixels, not their signatures alone; choose another method.",
                how.title);
  for (const auto& c : set.classes) legend.addMissing(c.code, c.name);
  Model m{plan, linesOf(set), std::move(legend), {}, {}, set.pixels(), set.conflicts};
  m.plan.settings = settingsFrom(how.parameters, plan.settings, how.title);
  m.classifier = finished(how.read(zp::toJson(set), m.plan.settings), m);
  return m;
}

Json toJson(const Model& m) {
  Json json = {{"format", "zany-patch-model"},
               {"version", 2},
               {"method", m.plan.method},
               {"settings", m.plan.settings},
               {"features", m.features},
               {"legend", toJson(m.legend)},
               {"training_pixels", m.trainingPixels},
               {"conflicts", m.conflicts},
               {"learned", m.classifier->toJson()}};
  if (m.plan.least > 0) json["least"] = m.plan.least;
  if (m.plan.subclasses != Subclasses::Together) {
    json["subclasses"] = toJson(m.subclasses);
    json["subclasses_kept"] = m.plan.subclasses == Subclasses::Kept;
  }
  return json;
}

Model readModel(const std::filesystem::path& file) {
  const Json raw = readJson(file, "zany-patch-model", 2, 128u << 20);
  Model m;
  try {
    const Json json = asNow(raw);
    m.plan.method = json.at("method").get<std::string>();
    const Method& how = method(m.plan.method);
    m.plan.settings = settingsFrom(how.parameters, json.at("settings"), how.title);
    m.plan.least = json.value("least", 0.0);
    m.features = json.at("features").get<std::vector<std::string>>();
    m.legend = legendFrom(json.at("legend"));
    m.trainingPixels = countFrom(json.at("training_pixels"));
    m.conflicts = countFrom(json.at("conflicts"));
    std::shared_ptr<const Classifier> learned = how.read(json.at("learned"), m.plan.settings);
    if (json.contains("subclasses")) {
      m.subclasses = subclassCodesFrom(json["subclasses"], learned->classes());
      m.plan.subclasses =
          json.at("subclasses_kept").get<bool>() ? Subclasses::Kept : Subclasses::Apart;
    }
    m.classifier = finished(std::move(learned), m);
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
