#include "scene/catalogue.h"

#include <fmt/format.h>

#include <algorithm>
#include <set>

#include "base/error.h"
#include "base/outputs.h"
#include "base/text.h"
#include "scene/stac_item.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

constexpr int kDeepest = 12;
constexpr size_t kMostItems = 100000;

std::string textAt(const Json& json, const char* key) {
  return json.is_object() && json.contains(key) && json[key].is_string()
             ? json[key].get<std::string>()
             : "";
}

bool isItem(const Json& json) {
  return textAt(json, "type") == "Feature" && json.contains("assets") && json["assets"].is_object();
}

bool holdsItems(const Json& json) {
  const std::string type = textAt(json, "type");
  return type == "Catalog" || type == "Collection" ||
         (type == "FeatureCollection" && json.contains("features") && json["features"].is_array() &&
          !json["features"].empty() && isItem(json["features"][0]));
}

std::optional<Extent> boundsOf(const Json& item) {
  if (!item.contains("bbox") || !item["bbox"].is_array()) return {};
  std::vector<double> v;
  for (const auto& n : item["bbox"]) {
    if (!n.is_number()) return {};
    v.push_back(n.get<double>());
  }
  if (v.size() == 4) return Extent{v[0], v[1], v[2], v[3]};
  if (v.size() == 6) return Extent{v[0], v[1], v[3], v[4]};
  return {};
}

fs::path previewOf(const Json& item, const fs::path& folder) {
  for (const char* wanted : {"thumbnail", "overview"})
    for (const auto& [key, asset] : item["assets"].items()) {
      const Json roles = asset.is_object() ? asset.value("roles", Json::array()) : Json::array();
      const bool has =
          key == wanted || std::find(roles.begin(), roles.end(), wanted) != roles.end();
      if (!has || textAt(asset, "href").empty()) continue;
      try {
        const fs::path file = stacFile(asset["href"].get<std::string>(), folder);
        if (std::error_code ec; fs::is_regular_file(file, ec)) return file;
      } catch (const Error&) {
        // A picture on another machine: there is none to show.
      }
    }
  return {};
}

CatalogueEntry entryOf(const Json& item, const fs::path& folder) {
  CatalogueEntry e;
  e.item = item;
  e.folder = folder;
  e.id = textAt(item, "id");
  const Json facts = item.value("properties", Json::object());
  e.title = textAt(facts, "title").empty() ? e.id : textAt(facts, "title");
  e.sensor = textAt(facts, "constellation");
  if (e.sensor.empty()) e.sensor = textAt(facts, "platform");
  e.date = textAt(facts, "datetime").substr(0, 10);
  if (e.date.empty()) e.date = textAt(facts, "start_datetime").substr(0, 10);
  if (facts.is_object() && facts.contains("eo:cloud_cover") && facts["eo:cloud_cover"].is_number())
    e.cloud = std::clamp(facts["eo:cloud_cover"].get<double>() / 100, 0.0, 1.0);
  e.bounds = boundsOf(item);
  e.preview = previewOf(item, folder);
  return e;
}

/// Follows links from a catalogue to its items.
class Walk {
 public:
  explicit Walk(const Progress& progress) : progress_(progress) {}
  std::vector<CatalogueEntry> entries;

  void into(const fs::path& file, int depth) {
    progress_.check();
    if (depth > kDeepest)
      throw Error("The catalogue has more than {} levels at “{}”; open a part of it.", kDeepest,
                  file.string());
    if (!seen_.insert(fs::weakly_canonical(file).string()).second) return;
    const Json json = readJson(file);
    if (!isItem(json) && !holdsItems(json))
      throw Error("“{}” is neither a STAC catalogue nor an item; choose another.", file.string());
    for (auto& entry : itemsIn(json, file.parent_path())) add(std::move(entry));
    if (!json.contains("links") || !json["links"].is_array()) return;
    for (const auto& link : json["links"]) {
      const std::string rel = textAt(link, "rel"), href = textAt(link, "href");
      if ((rel != "item" && rel != "child") || href.find("://") != std::string::npos) continue;
      into(stacFile(href, file.parent_path()), depth + 1);
    }
  }

 private:
  void add(CatalogueEntry entry) {
    if (entries.size() >= kMostItems)
      throw Error("The catalogue has more than {} items; open a part of it.", kMostItems);
    entries.push_back(std::move(entry));
  }
  const Progress& progress_;
  std::set<std::string> seen_;
};

}  // namespace

std::vector<CatalogueEntry> itemsIn(const Json& json, const fs::path& folder) {
  std::vector<CatalogueEntry> entries;
  if (isItem(json)) entries.push_back(entryOf(json, folder));
  if (json.is_object() && json.contains("features") && json["features"].is_array())
    for (const auto& item : json["features"])
      if (isItem(item)) entries.push_back(entryOf(item, folder));
  return entries;
}

bool isCatalogue(const fs::path& file) {
  if (lowered(file.extension().string()) != ".json") return false;
  try {
    return holdsItems(readJson(file));
  } catch (const Error&) {
    return false;
  }
}

std::vector<CatalogueEntry> readCatalogue(const fs::path& file, const Progress& progress) {
  Walk walk(progress);
  walk.into(file, 0);
  auto& all = walk.entries;
  std::stable_sort(all.begin(), all.end(), [](const CatalogueEntry& a, const CatalogueEntry& b) {
    return a.date < b.date;
  });
  return std::move(all);
}

Scene openEntry(const CatalogueEntry& entry) {
  Scene scene = sceneOfStacItem(entry.item, entry.folder);
  scene.name = entry.title;
  return scene;
}

void writeCatalogue(const fs::path& folder, const std::string& title,
                    const std::vector<Scene>& scenes, bool replace) {
  std::error_code ec;
  fs::create_directories(folder, ec);
  Outputs outputs(replace);
  const fs::path top = fs::absolute(folder) / "catalog.json";
  std::vector<std::pair<fs::path, Json>> written;
  Json links = Json::array({{{"rel", "root"}, {"href", "./catalog.json"}}});
  std::vector<std::string> taken;
  for (const auto& scene : scenes) {
    taken.push_back(freshName(plainName(scene.name), taken));
    const fs::path item = top.parent_path() / taken.back() / (taken.back() + ".json");
    fs::create_directories(item.parent_path(), ec);
    Json json = stacItem(scene, item);
    json["id"] = taken.back();
    json["properties"]["title"] = scene.name;
    json["links"] = {{{"rel", "root"}, {"href", "../catalog.json"}},
                     {{"rel", "parent"}, {"href", "../catalog.json"}}};
    links.push_back({{"rel", "item"},
                     {"href", "./" + taken.back() + "/" + taken.back() + ".json"},
                     {"type", "application/geo+json"}});
    written.emplace_back(outputs.add(item), std::move(json));
  }
  written.emplace_back(outputs.add(top), Json{{"type", "Catalog"},
                                              {"stac_version", "1.0.0"},
                                              {"id", plainName(title)},
                                              {"description", title},
                                              {"links", links}});
  for (const auto& [file, json] : written) writeJson(file, json);
  outputs.commit();
}

}  // namespace zp
