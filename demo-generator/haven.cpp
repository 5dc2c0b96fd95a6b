#include "haven.h"

#include <cpl_conv.h>
#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <fstream>

#include "base/error.h"
#include "base/outputs.h"
#include "base/random.h"
#include "base/text.h"
#include "grid/raster_writer.h"
#include "legend/class_map.h"
#include "noise.h"
#include "places.h"
#include "preview.h"
#include "radar.h"
#include "scene/mask.h"
#include "scene/quality.h"
#include "scene/sensor.h"
#include "scene/stac_item.h"
#include "spectra.h"
#include "steady_math.h"
#include "study/study.h"

namespace fs = std::filesystem;

namespace haven {
namespace {

uint64_t g_checksum = 0;

void addToChecksum(const void* data, size_t bytes) {
  const auto* p = static_cast<const uint8_t*>(data);
  uint64_t h = 1469598103934665603ull;
  for (size_t i = 0; i < bytes; ++i) h = (h ^ p[i]) * 1099511628211ull;  // FNV-1a
  g_checksum = zp::mix(g_checksum, h);
}

zp::Grid gridOf(double pixel) {
  zp::Grid g;
  g.width = static_cast<int>(kWidth * kPixel / pixel);
  g.height = static_cast<int>(kHeight * kPixel / pixel);
  g.transform = {kLeft, pixel, 0, kTop, 0, -pixel};
  g.georeferenced = true;
  g.crs = zp::crsFrom(kSystem);
  return g;
}

template <class T>
void writeRaster(const fs::path& file, zp::RasterSpec spec,
                 const std::vector<std::vector<T>>& bands, bool classes = false) {
  zp::RasterWriter writer(file, spec);
  const zp::Window all{0, 0, spec.grid.width, spec.grid.height};
  for (size_t b = 0; b < bands.size(); ++b) {
    addToChecksum(bands[b].data(), bands[b].size() * sizeof(T));
    if constexpr (std::is_same_v<T, float>) {
      auto copy = bands[b];
      writer.write(static_cast<int>(b) + 1, all, copy);
    } else {
      writer.writeCodes(static_cast<int>(b) + 1, all,
                        std::vector<uint16_t>(bands[b].begin(), bands[b].end()));
    }
  }
  writer.finish();
  zp::addOverviews(file, classes);
}

zp::BandFacts named(const std::string& name, double scale = 1) {
  zp::BandFacts f;
  f.name = name;
  f.scale = scale;
  return f;
}

std::vector<std::vector<uint16_t>> toCounts(const std::vector<std::vector<float>>& bands) {
  std::vector<std::vector<uint16_t>> out;
  for (const auto& b : bands) {
    out.emplace_back(b.size());
    for (size_t i = 0; i < b.size(); ++i)
      out.back()[i] = static_cast<uint16_t>(std::clamp(b[i] * 10000.0f + 0.5f, 1.0f, 15000.0f));
  }
  return out;
}

/// A tilted pass leaves two corners of the picture without values.
void tilt(std::vector<std::vector<uint16_t>>& bands, int w, int h) {
  for (int y = 0; y < h; ++y)
    for (int x = 0; x < w; ++x) {
      const double left = x + 0.22 * (y - h), right = (w - x) - 0.22 * y;
      if (left + 70 > 0 && right + 70 > 0) continue;
      for (auto& b : bands)
        b[static_cast<size_t>(y) * static_cast<size_t>(w) + static_cast<size_t>(x)] = 0;
    }
}

/// A small cloud and its shadow; bit 0 and bit 1 of the quality band.
std::vector<uint8_t> cloud(std::vector<std::vector<float>>& bands, int w, int h) {
  std::vector<uint8_t> quality(static_cast<size_t>(w) * static_cast<size_t>(h));
  const auto thickness = [&](double x, double y) {
    const double dx = (x - 760) / 75, dy = (y - 610) / 52;
    return smooth(1.1, 0.35, std::sqrt(dx * dx + dy * dy) - 0.45 * layered(x / 38, y / 38, 4, 911));
  };
  for (int y = 0; y < h; ++y)
    for (int x = 0; x < w; ++x) {
      const auto i = static_cast<size_t>(y) * static_cast<size_t>(w) + static_cast<size_t>(x);
      const double c = thickness(x, y), s = thickness(x - 34, y + 22);
      for (size_t b = 0; b < bands.size(); ++b) {
        float& v = bands[b][i];
        v = static_cast<float>(v * (1 - 0.55 * s) * (1 - c) + c * (b < 6 ? 0.62 : 0.42));
      }
      quality[i] = static_cast<uint8_t>((c > 0.12 ? 1 : 0) | (s > 0.12 ? 2 : 0));
    }
  return quality;
}

constexpr zp::Place kAutumnOff{6.3, -3.6};  // metres

struct OpticalDate {
  const char *date, *title;
  double season, haze;
  bool afterBreach, tilted, cloudy, folder, fetched;
};
constexpr OpticalDate kOptical[] = {
    {"2024-07-11", "Finch 11 Jul 2024", 0.48, 0.016, false, false, false, true, true},
    {"2031-05-02", "Finch 2 May", 0.08, 0.010, true, true, false, false, true},
    {"2031-07-18", "Finch 18 Jul", 0.52, 0.008, true, false, false, false, true},
    {"2031-10-09", "Finch 9 Oct", 0.95, 0.014, true, false, true, false, false}};

struct RadarDate {
  const char *date, *title;
  bool wet, fetched;
};
constexpr RadarDate kRadar[] = {
    {"2031-03-10", "Heron 10 Mar", false, false}, {"2031-04-03", "Heron 3 Apr", true, false},
    {"2031-04-27", "Heron 27 Apr", false, true},  {"2031-05-21", "Heron 21 May", false, false},
    {"2031-06-08", "Heron 8 Jun", false, true},   {"2031-06-26", "Heron 26 Jun", true, false},
    {"2031-07-20", "Heron 20 Jul", false, true},  {"2031-08-07", "Heron 7 Aug", false, false},
    {"2031-08-31", "Heron 31 Aug", false, false}, {"2031-09-24", "Heron 24 Sep", true, true},
    {"2031-10-12", "Heron 12 Oct", false, false}, {"2031-11-05", "Heron 5 Nov", false, false}};

/// One scene of the archive: its item lies beside its files.
struct Archived {
  fs::path item;
  zp::Scene scene;
  bool fetched;
};

void finishScene(std::vector<Archived>& all, zp::Scene scene, const char* sensor, const char* date,
                 const char* title, const fs::path& folder, bool fetched, double cloud = 0) {
  zp::applySensor(scene, zp::sensor(sensor));
  scene.name = title;
  scene.date = date;
  const fs::path item = folder / (folder.filename().string() + ".json");
  zp::Json json = zp::stacItem(scene, item);
  json["id"] = folder.filename().string();
  json["properties"]["title"] = title;
  if (!scene.isRadar()) json["properties"]["eo:cloud_cover"] = cloud;
  writePreview(scene, folder / "preview.png");
  json["assets"]["preview"] = {
      {"href", "preview.png"}, {"type", "image/png"}, {"roles", zp::Json::array({"thumbnail"})}};
  zp::writeJson(item, json);
  all.push_back({item, std::move(scene), fetched});
}

void writeOptical(const World& world, const fs::path& archive, std::vector<Archived>& all) {
  const zp::Grid grid = gridOf(10);
  uint64_t seed = 1000;
  for (const auto& d : kOptical) {
    auto bands = finchScene(world, {d.season, d.afterBreach, ++seed}, d.haze);
    const fs::path folder = archive / fmt::format("finch-{}", d.date);
    fs::create_directories(folder);
    // The cloudy date lies a little off, as scenes do that were placed by the orbit alone.
    const zp::Grid place = d.cloudy ? grid.moved(kAutumnOff) : grid;
    double clouded = 0;  // percent
    if (d.cloudy) {
      zp::RasterSpec spec{place, zp::NumberType::Byte, {}, {named("quality")}, {}};
      const auto quality = cloud(bands, grid.width, grid.height);
      writeRaster<uint8_t>(folder / "quality.tif", spec, {quality}, true);
      const auto n = std::count_if(quality.begin(), quality.end(), [](auto q) { return q & 1; });
      clouded =
          std::round(1000.0 * static_cast<double>(n) / static_cast<double>(quality.size())) / 10;
    }
    auto counts = toCounts(bands);
    if (d.tilted) tilt(counts, grid.width, grid.height);
    zp::RasterSpec spec{place,
                        zp::NumberType::UInt16,
                        {},
                        {},
                        {{"TIFFTAG_DATETIME", std::string(d.date) + " 10:40:00"}}};
    const auto& names = zp::sensor("finch").bands;
    std::vector<fs::path> files;
    if (d.folder) {
      for (size_t b = 0; b < counts.size(); ++b) {
        spec.bands = {named(names[b].name, 0.0001)};
        files.push_back(folder / fmt::format("finch-{}-{}-{}.tif", d.date, b + 1, names[b].name));
        writeRaster<uint16_t>(files.back(), spec, {counts[b]});
      }
    } else {
      for (const auto& n : names) spec.bands.push_back(named(n.name, 0.0001));
      files.push_back(folder / fmt::format("finch-{}.tif", d.date));
      writeRaster<uint16_t>(files.back(), spec, counts);
    }
    zp::Scene scene = zp::openScene(files);
    if (d.cloudy)
      zp::setQuality(
          scene,
          {folder / "quality.tif", 1, {{"cloud", true, 0, true}, {"cloud shadow", true, 1, true}}});
    finishScene(all, std::move(scene), "finch", d.date, d.title, folder, d.fetched, clouded);
  }
}

void writeRadar(const World& world, const fs::path& archive, std::vector<Archived>& all) {
  int n = 0;
  for (const auto& d : kRadar) {
    const auto bands = heronScene(world, n / 11.0, d.wet, 2000 + static_cast<uint64_t>(n));
    ++n;
    const fs::path folder = archive / fmt::format("heron-{}", d.date);
    fs::create_directories(folder);
    zp::RasterSpec spec{
        gridOf(10), zp::NumberType::Float32, -9999.0, {named("vv"), named("vh")}, {}};
    const fs::path file = folder / fmt::format("heron-{}.tif", d.date);
    writeRaster<float>(file, spec, bands);
    zp::Scene scene = zp::openScene(file);
    scene.pass = "descending";
    scene.incidence = 38.5;
    finishScene(all, std::move(scene), "heron", d.date, d.title, folder, d.fetched);
  }
}

void writeKite(const World& world, const fs::path& archive, std::vector<Archived>& all) {
  const fs::path folder = archive / "kite-2031-06-04", file = folder / "kite-2031-06-04.tif";
  fs::create_directories(folder);
  zp::RasterSpec spec{
      gridOf(kPixel), zp::NumberType::Byte, {}, {named("red"), named("green"), named("blue")}, {}};
  writeRaster<uint8_t>(file, spec, kitePicture(world, {0.36, true, 3000}));
  finishScene(all, zp::openScene(file), "kite", "2031-06-04", "Kite 4 Jun", folder, true);
}

void writeTruth(const World& world, const fs::path& folder) {
  fs::create_directories(folder);
  for (const bool after : {false, true}) {
    std::vector<uint8_t> codes(kPixels);
    const auto& cover = after ? world.after : world.before;
    for (size_t i = 0; i < kPixels; ++i) codes[i] = static_cast<uint8_t>(classOf(cover[i]));
    writeRaster<uint8_t>(folder / (after ? "cover.tif" : "cover-before.tif"),
                         zp::classMapSpec(gridOf(kPixel), havenLegend(), "cover"), {codes}, true);
  }
}

/// Several layers in one GeoPackage, through a file a layer, since the core writes one at a time.
void writeOutlines(const World& world, const fs::path& folder) {
  fs::create_directories(folder);
  using F = zp::FieldType;
  const fs::path file = folder / "outlines.gpkg";
  fs::remove(file);
  const auto write = [&](const zp::Layer& layer, const std::vector<F>& types) {
    zp::appendLayer(file, layer, types);
    for (const auto& row : layer.table.rows)
      for (const auto& cell : row) addToChecksum(cell.data(), cell.size());
  };
  write(studyArea(), {F::Text});
  const auto compartments = compartmentLayer(world);
  write(compartments, {F::Integer, F::Text, F::Integer, F::Integer});
  write(trainingLayer(world), {F::Integer, F::Text, F::Text});
  zp::writeFileAtomically(folder / "compartments.csv", zp::toCsv(compartments.table));
  const Temperature t = surfaceTemperature(world);
  zp::BandFacts band = named("surface temperature");
  band.unit = "°C";
  writeRaster<float>(folder / "surface-temperature.tif",
                     {t.grid, zp::NumberType::Float32, -9999.0, {band}, {}}, {t.values});
}

void writeCatalogue(const fs::path& archive, const std::vector<Archived>& all) {
  zp::Json links = zp::Json::array();
  for (const auto& a : all)
    links.push_back({{"rel", "item"},
                     {"href", fs::relative(a.item, archive).generic_string()},
                     {"type", "application/geo+json"}});
  zp::writeJson(archive / "catalog.json",
                {{"type", "Catalog"},
                 {"stac_version", "1.0.0"},
                 {"id", "ondrey-haven"},
                 {"description", "Scenes of Ondrey Haven, a made-up place"},
                 {"links", links}});
}

/// The study to start from: the fetched scenes copied into it, outlines and legend in place.
void writeStudy(const fs::path& folder, const fs::path& outlines,
                const std::vector<Archived>& all) {
  zp::Study study = zp::Study::create(folder, "Ondrey Haven");
  study.legend = havenLegend();
  fs::copy(outlines, folder / "outlines", fs::copy_options::recursive);
  for (const auto& a : all) {
    if (!a.fetched) continue;
    const fs::path own = folder / "scenes" / a.item.parent_path().filename();
    fs::create_directories(own.parent_path());
    fs::copy(a.item.parent_path(), own, fs::copy_options::recursive);
    zp::Scene scene = a.scene;
    for (auto& b : scene.bands) b.file = own / b.file.filename();
    if (!scene.quality.file.empty()) scene.quality.file = own / scene.quality.file.filename();
    if (scene.sensor == "finch" && scene.date == "2031-05-02") {
      scene.mask = own / "empty.tif";
      scene.maskRecipe.edge = true;
      zp::makeMask(scene, scene.maskRecipe, scene.mask);
    }
    study.addScene(std::move(scene));
  }
  const std::string gpkg = (folder / "outlines" / "outlines.gpkg").string();
  study.addOutline({"", "Study area", gpkg + ":study_area", {255, 255, 255}, true, true});
  study.addOutline({"", "Compartments", gpkg + ":compartments", {244, 226, 150}, false, false});
  study.save();
}

}  // namespace

void copyStudy(const fs::path& folder, const fs::path& target) {
  if (!fs::exists(folder / "pristine/study.json"))
    throw zp::Error(fmt::format("“{}” holds no demo data; make it first: make-haven {}",
                                folder.string(), folder.string()));
  fs::create_directories(fs::absolute(target).parent_path());
  fs::copy(folder / "pristine", target, fs::copy_options::recursive);
  // The archive it fetches from stays where it is, and is known by the way there.
  zp::Json study = zp::readJson(target / "study.json");
  study["place"]["archive"] = fs::absolute(folder / "archive" / "catalog.json")
                                  .lexically_normal()
                                  .lexically_relative(fs::absolute(target).lexically_normal())
                                  .generic_string();
  zp::writeJson(target / "study.json", study);
}

namespace {

/// All but the study to work in.
uint64_t writeData(const fs::path& folder, const zp::Progress& progress) {
  CPLSetConfigOption("OGR_CURRENT_DATE", "2031-11-12T00:00:00Z");
  g_checksum = 0;
  fs::remove_all(folder / "archive");
  fs::remove_all(folder / "outlines");
  fs::remove_all(folder / "truth");
  fs::create_directories(folder / "archive");
  const World world = makeWorld();
  progress.at(0.2);
  std::vector<Archived> all;
  writeOptical(world, folder / "archive", all);
  progress.at(0.5);
  writeRadar(world, folder / "archive", all);
  progress.at(0.7);
  writeKite(world, folder / "archive", all);
  writeTruth(world, folder / "truth");
  progress.at(0.9);
  writeOutlines(world, folder / "outlines");
  writeCatalogue(folder / "archive", all);
  // One study stays untouched, for copies; the other is worked in, and never overwritten.
  fs::remove_all(folder / "pristine");
  writeStudy(folder / "pristine", folder / "outlines", all);
  return g_checksum;
}

}  // namespace

uint64_t writeHaven(const fs::path& folder, const zp::Progress& progress) {
  const uint64_t checksum = writeData(folder, progress);
  if (!fs::exists(folder / "study")) copyStudy(folder, folder / "study");
  progress.at(1);
  return checksum;
}

void writeDemo(const fs::path& folder, const fs::path& study, const zp::Progress& progress) {
  if (fs::exists(study))
    throw zp::Error(fmt::format("“{}” is there already; choose another folder.", study.string()));
  const fs::path part = study.string() + ".part";
  fs::remove_all(part);
  fs::create_directories(folder);
  writeData(folder, progress);
  fs::remove_all(folder / "truth");
  copyStudy(folder, part);
  fs::remove_all(folder / "pristine");
  fs::rename(part, study);
  progress.at(1);
}

}  // namespace haven
