#include "study/product.h"

#include <algorithm>

#include "base/error.h"
#include "base/words.h"
#include "study/steps/step_kind.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

struct KindWords {
  ProductKind kind;
  const char *id, *title;
};
constexpr KindWords kKinds[] = {{ProductKind::Index, "index", words("index")},
                                {ProductKind::ClassMap, "class-map", words("class map")},
                                {ProductKind::Points, "points", words("points")},
                                {ProductKind::Table, "table", words("readings")},
                                {ProductKind::Labels, "labels", words("labels")},
                                {ProductKind::Quantity, "quantity", words("quantity")},
                                {ProductKind::Scene, "scene", words("scene")},
                                {ProductKind::Areas, "areas", words("areas by date")},
                                {ProductKind::Clusters, "clusters", words("clusters")},
                                {ProductKind::Cells, "cells", words("cells")}};

ProductKind kindFrom(const std::string& id) {
  for (const auto& k : kKinds)
    if (id == k.id) return k.kind;
  throw Error("“{}” is no kind of product; the study was made by another version.", id);
}

/// The naming, where there is one, names codes; each cluster has as many means as features.
bool clustersFit(const Json& facts) {
  const Json clusters = facts.value("clusters", Json()), features = facts.value("features", Json()),
             naming = facts.value("naming", Json::object());
  const auto number = [](const Json& n) { return n.is_number() || n.is_null(); };
  return clusters.is_array() && features.is_array() && naming.is_object() &&
         std::all_of(features.begin(), features.end(),
                     [](const Json& f) { return f.is_string(); }) &&
         std::all_of(naming.begin(), naming.end(),
                     [](const Json& code) { return code.is_number_unsigned(); }) &&
         std::all_of(clusters.begin(), clusters.end(), [&](const Json& c) {
           return c.is_object() && c.contains("code") && c["code"].is_number_unsigned() &&
                  c.contains("pixels") && c["pixels"].is_number_unsigned() && c.contains("mean") &&
                  c["mean"].is_array() && c["mean"].size() == features.size() &&
                  std::all_of(c["mean"].begin(), c["mean"].end(), number);
         });
}

/// What the rest leans on without asking again: strings in the step, figures in the facts.
bool usable(const Product& p) {
  if (!textsAreTexts(p.step) || !p.facts.is_object()) return false;
  const auto figure = [](const Json& of, const char* key) {
    return of.contains(key) && (of[key].is_number() || of[key].is_null());
  };
  if (p.kind == ProductKind::Index || p.kind == ProductKind::Quantity)
    return figure(p.facts, "min") && figure(p.facts, "max") && figure(p.facts, "mean");
  if (p.kind == ProductKind::Points)
    return !p.facts.contains("points") || p.facts["points"].is_number_unsigned();
  if (p.kind == ProductKind::Clusters && !clustersFit(p.facts)) return false;
  if (p.kind != ProductKind::ClassMap && p.kind != ProductKind::Clusters) return true;
  const auto classes = p.facts.find("classes");
  return classes != p.facts.end() && classes->is_array() &&
         std::all_of(classes->begin(), classes->end(), [&](const Json& c) {
           return c.is_object() && c.contains("code") && c["code"].is_number_integer() &&
                  c.contains("name") && c["name"].is_string() && c.contains("pixels") &&
                  c["pixels"].is_number_unsigned() && figure(c, "area_m2");
         });
}

}  // namespace

std::string idOf(ProductKind kind) {
  return kKinds[static_cast<size_t>(kind)].id;
}
std::string titleOf(ProductKind kind) {
  return kKinds[static_cast<size_t>(kind)].title;
}

std::string pathBelow(const fs::path& base, const std::string& file) {
  const fs::path whole = fs::absolute(file).lexically_normal();
  const fs::path r = whole.lexically_relative(base);
  return r.empty() || *r.begin() == ".." ? whole.string() : r.generic_string();
}

std::string pathFrom(const fs::path& base, const std::string& file) {
  return fs::path(file).is_absolute() ? file : (base / file).lexically_normal().string();
}

Json toJson(const Product& p, const fs::path& base) {
  Json inputs = Json::array();
  for (const auto& i : p.inputs) inputs.push_back({{"id", i.id}, {"revision", i.revision}});
  return {{"id", p.id},
          {"name", p.name},
          {"kind", idOf(p.kind)},
          {"file", pathBelow(base, p.file.string())},
          {"made", p.made},
          {"date", p.date},
          {"ramp", p.ramp},
          {"step", p.step},
          {"facts", p.facts},
          {"inputs", inputs},
          {"revision", p.revision}};
}

Product productFrom(const Json& j, const fs::path& base) {
  Product p;
  p.id = j.at("id");
  p.name = j.at("name");
  p.kind = kindFrom(j.at("kind"));
  p.file = pathFrom(base, j.at("file"));
  p.made = j.value("made", "");
  p.date = j.value("date", "");
  p.ramp = j.value("ramp", "");
  p.step = j.value("step", Json::object());
  p.facts = j.value("facts", Json::object());
  p.revision = j.value("revision", 1);
  if (j.contains("inputs"))
    for (const auto& i : j["inputs"]) p.inputs.push_back({i.at("id"), i.value("revision", 0)});
  if (!usable(p))
    throw Error("What the study says of “{}” is not complete; restore study.json from a copy.",
                p.name);
  return p;
}

}  // namespace zp
