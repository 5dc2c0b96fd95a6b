#include "scene/stac_item.h"

#include <fmt/format.h>

#include <algorithm>
#include <map>

#include "base/error.h"
#include "base/text.h"
#include "grid/crs.h"
#include "grid/gdal_start.h"
#include "scene/quality.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

bool isRole(const std::string& role) {
  const auto& known = knownRoles();
  return std::find(known.begin(), known.end(), role) != known.end();
}

bool isData(const Json& asset) {
  if (asset.contains("eo:bands")) return true;
  if (!asset.contains("roles")) return false;
  for (const auto& r : asset["roles"])
    if (r == "data") return true;
  return false;
}

void describe(SceneBand& band, const Json& asset, size_t i) {
  if (asset.contains("eo:bands") && i < asset["eo:bands"].size()) {
    const Json& eo = asset["eo:bands"][i];
    band.name = eo.value("name", band.name);
    band.role = eo.value("common_name", isRole(lowered(band.name)) ? lowered(band.name) : "");
    band.wavelength = eo.value("center_wavelength", 0.0) * 1000;
  }
  if (asset.contains("raster:bands") && i < asset["raster:bands"].size()) {
    const Json& r = asset["raster:bands"][i];
    if (r.contains("nodata") && r["nodata"].is_number())
      band.conversion.nodata = r["nodata"].get<double>();
    band.conversion.scale = r.value("scale", band.conversion.scale);
    band.conversion.offset = r.value("offset", band.conversion.offset);
  }
}

bool isQuality(const Json& asset) {
  return asset.contains("classification:bitfields") || asset.contains("classification:classes");
}

QualityBand qualityFrom(const Json& asset, const fs::path& file) {
  QualityBand q;
  q.file = file;
  if (asset.contains("classification:bitfields"))
    for (const auto& f : asset["classification:bitfields"])
      if (f.value("length", 1) == 1) q.flags.push_back({f.at("name"), true, f.at("offset")});
  if (asset.contains("classification:classes"))
    for (const auto& c : asset["classification:classes"]) {
      const std::string name = c.contains("name") ? c["name"] : c.at("description");
      q.flags.push_back({name, false, c.at("value"), isFlaw(name)});
    }
  return q;
}

Json qualityAsset(const QualityBand& q, const std::string& href) {
  Json fields = Json::array(), classes = Json::array();
  for (const auto& f : q.flags) {
    const Json yes = {{"value", f.bit ? 1 : f.at}, {"name", f.name}, {"description", f.name}};
    if (f.bit)
      fields.push_back(
          {{"name", f.name},
           {"offset", f.at},
           {"length", 1},
           {"classes",
            {{{"value", 0}, {"name", "not-" + f.name}, {"description", "no " + f.name}}, yes}}});
    else
      classes.push_back(yes);
  }
  Json asset = {{"href", href},
                {"type", "image/tiff; application=geotiff"},
                {"roles", Json::array({"cloud"})}};
  if (!fields.empty()) asset["classification:bitfields"] = fields;
  if (!classes.empty()) asset["classification:classes"] = classes;
  return asset;
}

std::string dayOfItem(const Json& properties) {
  for (const char* key : {"datetime", "start_datetime"})
    if (properties.contains(key) && properties[key].is_string())
      return properties[key].get<std::string>().substr(0, 10);
  return "";
}

}  // namespace

fs::path stacFile(const std::string& href, const fs::path& folder) {
  const std::string local = href.rfind("file://", 0) == 0 ? href.substr(7) : href;
  requireLocalPath(local);
  return (folder / local).lexically_normal();
}

Scene openStacItem(const fs::path& item) {
  const Json json = readJson(item);
  if (!json.is_object() || json.value("type", Json()) != "Feature" || !json.contains("assets") ||
      !json["assets"].is_object())
    throw Error("“{}” is not a STAC item; choose one with “assets”.", item.string());
  Scene scene = sceneOfStacItem(json, item.parent_path());
  if (scene.name.empty()) scene.name = item.stem().string();
  return scene;
}

Scene sceneOfStacItem(const Json& json, const fs::path& folder) {
  Scene scene;
  const Json id = json.value("id", Json());
  const std::string name = id.is_string() ? id.get<std::string>() : "";
  try {
    std::vector<fs::path> files;
    std::map<fs::path, const Json*> assetOf;
    QualityBand quality;
    for (const auto& [key, asset] : json["assets"].items()) {
      const bool flags = isQuality(asset);
      if (!isData(asset) && !flags) continue;
      const fs::path file = stacFile(asset.at("href").get<std::string>(), folder);
      if (flags) {
        quality = qualityFrom(asset, file);
      } else if (assetOf.emplace(file, &asset).second) {
        files.push_back(file);
      }
    }
    if (!files.empty()) scene = openScene(files);
    for (auto& band : scene.bands)
      describe(band, *assetOf.at(band.file), static_cast<size_t>(band.number - 1));
    scene.quality = quality;
    scene.name = name;
    const Json properties = json.value("properties", Json::object());
    scene.date = dayOfItem(properties);
    scene.sensor = properties.value("constellation", "");
    scene.state = valueStateFrom(properties.value("zany:values", "unknown"));
    scene.pass = properties.value("sat:orbit_state", "");
    scene.incidence = properties.value("view:incidence_angle", 0.0);
  } catch (const Json::exception&) {
    throw Error(
        "The assets of the STAC item “{}” are not as the standard says; check "
        "“href” and “eo:bands”.",
        name);
  }
  if (scene.bands.empty())
    throw Error("The STAC item “{}” has no data assets; choose another.", name);
  return scene;
}

namespace {

/// The bands by file, each with its role and how its numbers become values.
Json dataAssets(const Scene& scene, const fs::path& folder) {
  Json assets = Json::object();
  for (const auto& band : scene.bands) {
    const std::string href = fs::relative(band.file, folder).generic_string();
    const std::string key = band.file.stem().string();
    if (!assets.contains(key))
      assets[key] = {{"href", href},
                     {"type", "image/tiff; application=geotiff"},
                     {"roles", Json::array({"data"})},
                     {"eo:bands", Json::array()},
                     {"raster:bands", Json::array()}};
    Json eo = {{"name", band.name}};
    if (!band.role.empty()) eo["common_name"] = band.role;
    if (band.wavelength > 0) eo["center_wavelength"] = band.wavelength / 1000;
    Json raster = {{"scale", band.conversion.scale}, {"offset", band.conversion.offset}};
    if (band.conversion.nodata) raster["nodata"] = *band.conversion.nodata;
    assets[key]["eo:bands"].push_back(eo);
    assets[key]["raster:bands"].push_back(raster);
  }
  return assets;
}

/// Geometry and box in degrees; null without a reference system.
std::pair<Json, Json> whereItLies(const Grid& grid) {
  Json bbox = nullptr, geometry = nullptr;
  if (grid.crs.empty()) return {geometry, bbox};
  const CrsChange change(grid.crs, crsFrom("EPSG:4326"));
  Json ring = Json::array();
  Extent e{180, 90, -180, -90};
  const int w = grid.width, h = grid.height;
  for (const auto& [c, r] : {std::pair{0, h}, {w, h}, {w, 0}, {0, 0}, {0, h}}) {
    Place p = grid.toMap(c, r);
    change.apply(p);
    e.include(p);
    ring.push_back({p.x, p.y});
  }
  geometry = {{"type", "Polygon"}, {"coordinates", Json::array({ring})}};
  bbox = {e.left, e.bottom, e.right, e.top};
  return {geometry, bbox};
}

}  // namespace

Json stacItem(const Scene& scene, const fs::path& item) {
  Json assets = dataAssets(scene, item.parent_path());
  if (!scene.quality.file.empty())
    assets["quality"] = qualityAsset(
        scene.quality, fs::relative(scene.quality.file, item.parent_path()).generic_string());
  Json properties = {
      {"datetime", nullptr}, {"constellation", scene.sensor}, {"zany:values", idOf(scene.state)}};
  // A day without a time is said as the span it is, as the standard asks.
  if (const std::string day = scene.date.substr(0, 10); scene.date.size() > 10) {
    properties["datetime"] = scene.date;
  } else if (!day.empty()) {
    properties["start_datetime"] = day + "T00:00:00Z";
    properties["end_datetime"] = day + "T23:59:59Z";
  }
  if (!scene.pass.empty()) properties["sat:orbit_state"] = scene.pass;
  if (scene.incidence > 0) properties["view:incidence_angle"] = scene.incidence;
  const auto [geometry, bbox] = whereItLies(scene.grid);
  return {{"type", "Feature"},
          {"stac_version", "1.0.0"},
          {"stac_extensions",
           {"https://stac-extensions.github.io/eo/v1.1.0/schema.json",
            "https://stac-extensions.github.io/raster/v1.1.0/schema.json",
            "https://stac-extensions.github.io/classification/v1.1.0/schema.json"}},
          {"id", scene.name},
          {"geometry", geometry},
          {"bbox", bbox},
          {"properties", properties},
          {"links", Json::array()},
          {"assets", assets}};
}

}  // namespace zp
