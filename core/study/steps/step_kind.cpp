#include "study/steps/step_kind.h"

#include <algorithm>

#include "base/error.h"
#include "base/text.h"

namespace zp {
namespace {

bool isText(const Json& v) {
  return v.is_string();
}
bool isWhole(const Json& v) {
  return v.is_number_unsigned() || (v.is_number_integer() && v >= 0);
}

template <class Fits>
bool each(const Json& of, Fits fits) {
  return std::all_of(of.begin(), of.end(), fits);
}

bool hasTexts(const Json& v, std::initializer_list<const char*> keys) {
  return v.is_object() && std::all_of(keys.begin(), keys.end(), [&](const char* key) {
           return v.contains(key) && v[key].is_string();
         });
}

bool isClass(const Json& v) {
  return hasTexts(v, {"name", "colour"}) && (!v.contains("code") || isWhole(v["code"]));
}

bool isRule(const Json& v) {
  return isClass(v) && hasTexts(v, {"when"});
}

bool isBand(const Json& v) {
  return v.is_object() && v.contains("scene") && v["scene"].is_string() && v.contains("band") &&
         isWhole(v["band"]);
}

bool isPlace(const Json& v) {
  return v.is_array() && v.size() == 2 && v[0].is_number() && v[1].is_number();
}

bool isCorrection(const Json& v) {
  return v.is_object() && v.contains("rings") && v["rings"].is_array() && v.contains("code") &&
         isWhole(v["code"]) && (!v.contains("only") || isWhole(v["only"]));
}

bool fits(const StepField& f, const Json& v) {
  switch (f.holds) {
    case Holds::Text:
      return isText(v) && (f.choices.empty() || std::find(f.choices.begin(), f.choices.end(),
                                                          v.get<std::string>()) != f.choices.end());
    case Holds::Labels:
    case Holds::Settings:
      return v.is_object();
    case Holds::File:
    case Holds::Scene:
    case Holds::Product:
    case Holds::Layer:
    case Holds::Outline:
    case Holds::Rows:
      return isText(v);
    case Holds::Edits:
      return v.is_array() && each(v, [](const Json& edit) { return edit.is_object(); });
    case Holds::Number:
      return v.is_number() || v.is_null();
    case Holds::Whole:
      return isWhole(v);
    case Holds::Numbers:
      return v.is_array() && each(v, [](const Json& n) { return n.is_number(); });
    case Holds::Shares:
      return v.is_object() && each(v, [](const Json& n) { return n.is_number(); });
    case Holds::Classes:
      return v.is_array() && each(v, isClass);
    case Holds::Class:
      return isClass(v);
    case Holds::Rules:
      return v.is_array() && each(v, isRule);
    case Holds::Corrections:
      return v.is_array() && each(v, isCorrection);
    case Holds::Indices:
      return v.is_array() && each(v, isWhole);
    case Holds::Codes:
    case Holds::Counts:
      return v.is_object() && each(v, isWhole);
    case Holds::Places:
      return v.is_array() && each(v, isPlace);
    case Holds::Texts:
    case Holds::Scenes:
    case Holds::Products:
    case Holds::Layers:
    case Holds::RowsList:
      return v.is_array() && each(v, isText);
    case Holds::Named:
      return v.is_object() && each(v, isText);
    case Holds::Bands:
      return v.is_array() && each(v, isBand);
  }
  return false;
}

const std::vector<StepField>& common() {
  static const std::vector<StepField> all{
      {"do", Holds::Text, true, "The kind of step"},
      {"name", Holds::Text, true, "What the product is called"}};
  return all;
}

const StepField* fieldOf(const StepKind& kind, const std::string& id) {
  for (const auto* fields : {&common(), &kind.fields})
    for (const auto& f : *fields)
      if (f.id == id) return &f;
  return nullptr;
}

}  // namespace

std::string wordOf(Holds h) {
  switch (h) {
    case Holds::Text:
      return "a text";
    case Holds::File:
      return "a file";
    case Holds::Labels:
      return "the labels of a record";
    case Holds::Texts:
      return "a list of texts";
    case Holds::Settings:
      return "parameters of the method, each with its value";
    case Holds::Number:
      return "a number";
    case Holds::Whole:
      return "a whole number, not below 0";
    case Holds::Numbers:
      return "a list of numbers";
    case Holds::Indices:
      return "a list of whole numbers, not below 0";
    case Holds::Class:
      return "a class with a name and a colour";
    case Holds::Corrections:
      return "corrections, each with rings and a code";
    case Holds::Rules:
      return "rules, each with when, a name and a colour";
    case Holds::Shares:
      return "shares by class code";
    case Holds::Classes:
      return "classes, each with a name and a colour";
    case Holds::Codes:
      return "class codes, each by what stands for it";
    case Holds::Counts:
      return "numbers of points by class code";
    case Holds::Places:
      return "places, each as [x, y]";
    case Holds::Scene:
      return "a scene";
    case Holds::Product:
      return "a product";
    case Holds::Layer:
      return "a scene or a product";
    case Holds::Outline:
      return "an outline";
    case Holds::Rows:
      return "a table, points, cells or an outline";
    case Holds::RowsList:
      return "a list of points, cells and outlines";
    case Holds::Edits:
      return "a list of changes of a table";
    case Holds::Scenes:
      return "a list of scenes";
    case Holds::Products:
      return "a list of products";
    case Holds::Layers:
      return "a list of scenes and products";
    case Holds::Named:
      return "scenes and products, each by its name in the formula";
    case Holds::Bands:
      return "a list of bands, each with its scene and number";
  }
  return {};
}

const StepKind& stepKind(const std::string& id) {
  std::vector<std::string> ids;
  for (const auto* k : stepKinds()) {
    if (k->id == id) return *k;
    ids.push_back(k->id);
  }
  throw Error("“{}” is no step this version knows.{}", id, didYouMean(id, ids));
}

void requireFields(const StepKind& kind, const Json& step) {
  for (const auto* fields : {&common(), &kind.fields})
    for (const auto& f : *fields) {
      const auto at = step.find(f.id);
      if (at == step.end() ? f.needed : !fits(f, *at))
        throw Error("The step “{}” needs {} under “{}”{}.", kind.id, wordOf(f.holds), f.id,
                    f.choices.empty() ? "" : ": " + fmt::format("{}", fmt::join(f.choices, ", ")));
    }
}

void requireKnownFields(const StepKind& kind, const Json& step) {
  std::vector<std::string> known;
  for (const auto* fields : {&common(), &kind.fields})
    for (const auto& f : *fields) known.push_back(f.id);
  for (const auto& [id, value] : step.items())
    if (fieldOf(kind, id) == nullptr)
      throw Error("The step “{}” knows no “{}”; it takes {}.{}", kind.id, id, listed(known),
                  didYouMean(id, known));
}

bool textsAreTexts(const Json& step) {
  if (!step.is_object()) return false;
  const auto& all = stepKinds();
  const auto known = std::find_if(all.begin(), all.end(), [&](const StepKind* k) {
    return step.contains("do") && step["do"] == k->id;
  });
  const auto isWrong = [](const StepField& f, const Json& v) {
    const bool text = f.holds == Holds::Text || f.holds == Holds::File || f.holds == Holds::Scene ||
                      f.holds == Holds::Product || f.holds == Holds::Layer ||
                      f.holds == Holds::Outline || f.holds == Holds::Rows;
    return (text && !v.is_string()) || (f.holds == Holds::Named && !fits(f, v));
  };
  for (const auto& [id, value] : step.items()) {
    bool met = false, right = false;
    for (const auto* k : all) {
      if (known != all.end() && k != *known) continue;
      const auto* f = fieldOf(*k, id);
      if (f == nullptr) continue;
      met = true;
      right = right || !isWrong(*f, value);
    }
    if (met && !right) return false;
  }
  return true;
}

void eachReference(const StepKind& kind, Json& step, const std::function<void(Json& id)>& visit) {
  for (const auto& f : kind.fields) {
    const auto at = step.find(f.id);
    if (at == step.end()) continue;
    switch (f.holds) {
      case Holds::Scene:
      case Holds::Product:
      case Holds::Layer:
      case Holds::Outline:
      case Holds::Rows:
        visit(*at);
        break;
      case Holds::Scenes:
      case Holds::Products:
      case Holds::Layers:
      case Holds::RowsList:
      case Holds::Named:
        for (auto& id : *at) visit(id);
        break;
      case Holds::Bands:
        for (auto& b : *at) visit(b["scene"]);
        break;
      default:
        break;
    }
  }
}

}  // namespace zp
