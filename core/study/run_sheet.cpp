#include "study/run_sheet.h"

#include <algorithm>
#include <map>
#include <set>

#include "base/error.h"
#include "base/text.h"
#include "study/step.h"
#include "study/steps/step_kind.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

const char* const kBesides[] = {"as", "called", "drawn_with", "scene_as", "in_bin"};

/// The step of an entry by itself.
Json stepOf(Json entry) {
  for (const char* key : kBesides) entry.erase(key);
  return entry;
}

/// What the things of a study may be called by in a sheet: by id, and by a name that only one has;
/// a name that several have leads nowhere.
std::map<std::string, std::string> callable(const Study& study) {
  std::map<std::string, std::string> by;
  std::set<std::string> twice;
  const auto add = [&](const std::string& name, const std::string& id) {
    if (const auto at = by.find(name); at != by.end() && at->second != id) twice.insert(name);
    by[name] = id;
  };
  for (const auto& s : study.scenes) add(s.scene.name, s.id);
  for (const auto& o : study.outlines) add(o.name, o.id);
  for (const auto& p : study.products)
    if (p.kind != ProductKind::Scene) add(p.name, p.id);
  for (const auto& name : twice) by[name] = "";
  for (const auto& s : study.scenes) by[s.id] = s.id;
  for (const auto& o : study.outlines) by[o.id] = o.id;
  for (const auto& p : study.products) by[p.id] = p.id;
  return by;
}

template <class F>
void atStep(size_t number, const Json& entry, F f) {
  try {
    f();
  } catch (const Error& e) {
    throw Error("Step {} (“{}”): {}", number + 1, entry.value("name", ""), e.sentence());
  }
}

void requireEntry(const Json& entry) {
  const Json step = stepOf(entry);
  const StepKind& kind = stepKind(step["do"]);
  requireFields(kind, step);
  requireKnownFields(kind, step);
  for (const char* text : {"as", "called", "drawn_with"})
    if (entry.contains(text) && !entry[text].is_string()) throw Error("“{}” must be a text.", text);
  if (trimmed(step["name"].get<std::string>()).empty()) throw Error("give it a name.");
  if (entry.contains("scene_as") && !entry["scene_as"].is_object())
    throw Error("“scene_as” must be what a study says of a scene.");
  if (entry.contains("in_bin") && !entry["in_bin"].is_boolean())
    throw Error("“in_bin” must be true or false.");
}

/// Every step's references are there before the first step runs.
void requireReferences(const Study& study, const Json& steps) {
  auto known = callable(study);
  for (size_t i = 0; i < steps.size(); ++i)
    atStep(i, steps[i], [&] {
      Json step = stepOf(steps[i]);
      eachReference(stepKind(step["do"]), step, [&](Json& id) {
        if (const auto at = known.find(id); at != known.end()) {
          if (!at->second.empty()) return;
          throw Error("several things are called “{}”; use the id of the one that is meant.",
                      id.get<std::string>());
        }
        std::vector<std::string> names;
        for (const auto& [name, of] : known) names.push_back(name);
        throw Error("there is no “{}” in the study, nor is it made before.{}",
                    id.get<std::string>(), didYouMean(id.get<std::string>(), names));
      });
      if (steps[i].contains("as")) known[steps[i]["as"]] = steps[i]["as"];
    });
}

void finishEntry(Study& study, const Json& entry, const std::string& id) {
  Product& p = *study.product(id);
  if (entry.contains("called")) p.name = entry["called"];
  if (entry.contains("drawn_with")) p.ramp = entry["drawn_with"];
  if (entry.contains("scene_as")) study.sayOfMade(p, entry["scene_as"]);
}

// Of the record.

/// The id of the scene that went to the bin with a product; "" for none.
std::string sceneInBin(const Product& p) {
  const auto id = p.facts.find("scene_id");
  return id != p.facts.end() && id->is_string() ? id->get<std::string>() : "";
}

/// Names for ids: the scenes and outlines by name where only one thing is called so.
std::map<std::string, std::string> namesToWrite(const Study& study) {
  std::map<std::string, std::string> names;
  for (const auto& s : study.scenes)
    if (!s.product.empty()) names[s.id] = s.product;
  std::set<std::string> taken;
  for (const auto* all : {&study.products, &study.bin})
    for (const auto& p : *all) taken.insert({p.id, p.name}), names[p.id] = p.id;
  for (const auto& p : study.bin)
    if (const auto id = sceneInBin(p); !id.empty()) names[id] = p.id;
  const auto by = callable(study);
  const auto add = [&](const std::string& id, const std::string& name) {
    const auto at = by.find(name);
    names[id] = at != by.end() && at->second == id && taken.count(name) == 0 ? name : id;
  };
  for (const auto& s : study.scenes)
    if (s.product.empty()) add(s.id, s.scene.name);
  for (const auto& o : study.outlines) add(o.id, o.name);
  return names;
}

/// Those of the bin that something outside of it was made from, however far up.
std::set<std::string> neededOfBin(const Study& study) {
  std::set<std::string> needed;
  const auto look = [&](const Product& p, auto&& again) -> void {
    for (const auto& i : p.inputs)
      for (const auto& b : study.bin)
        if ((b.id == i.id || sceneInBin(b) == i.id) && needed.insert(b.id).second) again(b, again);
  };
  for (const auto& p : study.products) look(p, look);
  return needed;
}

/// What was said of a made scene, where it is more than its file says.
void recordScene(const Study& study, const Product& p, Json& entry) {
  for (const auto& s : study.scenes) {
    if (s.product != p.id) continue;
    Scene plain = openScene(p.file);
    plain.name = entry.at("name");
    if (plain.date.empty()) plain.date = p.date;
    const Json as = toJson(s.scene, study.folder());
    if (as != toJson(plain, study.folder())) entry["scene_as"] = as;
  }
}

Json entryOf(const Study& study, const Product& p, const std::map<std::string, std::string>& names,
             bool inBin) {
  const StepKind& kind = stepKind(p.step.value("do", ""));
  Json step = p.step;
  step["name"] = step.value("name", p.name);
  requireFields(kind, step);
  eachReference(kind, step, [&](Json& id) {
    const auto at = names.find(id);
    if (at == names.end())
      throw Error("“{}” was made from something that is gone; make it again, or delete it.",
                  p.name);
    id = at->second;
  });
  if (step.contains("file")) step["file"] = study.relative(step["file"].get<std::string>());
  if (p.kind == ProductKind::Labels) step["given"] = toJson(readLabels(p.file));
  Json entry = {{"as", p.id}};
  entry.update(step);
  if (step["name"].get<std::string>() != p.name) entry["called"] = p.name;
  if (!p.ramp.empty() && p.ramp != step.value("ramp", "")) entry["drawn_with"] = p.ramp;
  if (inBin) entry["in_bin"] = true;
  if (inBin && p.facts.contains("scene_as"))
    entry["scene_as"] = p.facts["scene_as"];
  else if (!inBin)
    recordScene(study, p, entry);
  return entry;
}

}  // namespace

Json recordOf(const Study& study, std::vector<Sentence>& warnings) {
  const auto names = namesToWrite(study);
  const auto fromBin = neededOfBin(study);
  std::vector<std::pair<const Product*, bool>> all;
  for (const auto& p : study.products) all.emplace_back(&p, false);
  for (const auto& p : study.bin)
    if (fromBin.count(p.id) > 0) all.emplace_back(&p, true);
  // In order of making: ids of products rise.
  std::stable_sort(all.begin(), all.end(), [](const auto& a, const auto& b) {
    return numberOfId(a.first->id) < numberOfId(b.first->id);
  });
  Json steps = Json::array();
  for (const auto& [p, inBin] : all) {
    steps.push_back(entryOf(study, *p, names, inBin));
    if (!inBin && study.outOfDate(*p))
      warnings.push_back(
          Sentence("“{}” is out of date; run again, it will be as its inputs are now.", p->name));
  }
  return {{"format", kRunSheetFormat}, {"version", 1}, {"steps", std::move(steps)}};
}

void requireSteps(const Json& sheet, const std::string& name) {
  if (!sheet.is_object() || !sheet.contains("steps") || !sheet["steps"].is_array())
    throw Error("“{}” has no steps; give it a list under “steps”.", name);
  const Json& steps = sheet["steps"];
  for (size_t i = 0; i < steps.size(); ++i) {
    if (!steps[i].is_object() || !steps[i].contains("do") || !steps[i]["do"].is_string())
      throw Error("Step {} of “{}” does not say what to do; give it a “do”.", i + 1, name);
    const std::string kind = steps[i]["do"];
    atStep(i, {{"name", kind}}, [&] { stepKind(kind); });
  }
}

void requireRunSheet(const Json& sheet, const std::string& name) {
  requireSteps(sheet, name);
  const Json& steps = sheet["steps"];
  for (size_t i = 0; i < steps.size(); ++i) {
    const bool named = steps[i].contains("name") && steps[i]["name"].is_string();
    atStep(i, named ? steps[i] : Json{{"name", steps[i]["do"]}}, [&] { requireEntry(steps[i]); });
  }
}

Json readRunSheet(const fs::path& file) {
  Json sheet = readJson(file, kRunSheetFormat, 1);
  requireRunSheet(sheet, file.string());
  return sheet;
}

void runSheet(Study& study, const Json& sheet, const Progress& progress,
              const std::function<void(const Product&)>& made) {
  const Json& steps = sheet.at("steps");
  requireReferences(study, steps);
  std::map<std::string, std::string> here;  // what this run made, by what the sheet calls it
  std::vector<std::string> toBin;
  const auto n = static_cast<double>(steps.size());
  for (size_t i = 0; i < steps.size(); ++i)
    atStep(i, steps[i], [&] {
      Json step = stepOf(steps[i]);
      const StepKind& kind = stepKind(step["do"]);
      auto known = callable(study);
      for (const auto& [as, id] : here) known[as] = id;
      eachReference(kind, step, [&](Json& id) { id = known.at(id); });
      const auto at = static_cast<double>(i);
      const std::string id =
          study.addProduct(runStep(study, step, progress.part(at / n, (at + 1) / n)));
      finishEntry(study, steps[i], id);
      const auto scene = std::find_if(study.scenes.begin(), study.scenes.end(),
                                      [&](const StudyScene& s) { return s.product == id; });
      if (steps[i].contains("as"))
        here[steps[i]["as"]] = scene != study.scenes.end() ? scene->id : id;
      if (steps[i].value("in_bin", false)) toBin.push_back(id);
      made(*study.product(id));
    });
  for (const auto& id : toBin) study.toBin(id);
}

}  // namespace zp
