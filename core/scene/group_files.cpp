#include "scene/group_files.h"

#include <fmt/format.h>

#include <algorithm>

#include "base/error.h"
#include "base/text.h"
#include "scene/band_names.h"
#include "scene/quality.h"
#include "scene/sensor.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

constexpr int kDeepest = 3;
constexpr size_t kMostFiles = 5000;

bool naturalOrder(const fs::path& a, const fs::path& b) {
  return naturalLess(a.filename().string(), b.filename().string());
}

void collect(const fs::path& path, int depth, std::vector<fs::path>& files) {
  if (!fs::is_directory(path)) {
    files.push_back(path);
  } else {
    std::vector<fs::path> inside;
    for (const auto& entry : fs::directory_iterator(path)) {
      const bool hidden = entry.path().filename().string()[0] == '.';
      if (!hidden && (entry.is_directory() ? depth < kDeepest : looksLikeRaster(entry.path())))
        inside.push_back(entry.path());
    }
    std::sort(inside.begin(), inside.end(), naturalOrder);
    const auto folders = std::stable_partition(
        inside.begin(), inside.end(), [](const fs::path& p) { return !fs::is_directory(p); });
    const auto rasters = withoutPreviews({inside.begin(), folders});
    files.insert(files.end(), rasters.begin(), rasters.end());
    for (auto one = folders; one != inside.end(); ++one) collect(*one, depth + 1, files);
  }
  if (files.size() > kMostFiles)
    throw Error("“{}” holds more than {} rasters; choose a part of it.", path.string(), kMostFiles);
}

bool isItem(const fs::path& file) {
  return lowered(file.extension().string()) == ".json";
}

SceneDraft alone(const fs::path& file) {
  const std::string stem = asUtf8(file.stem().string());
  return {stem, dateIn(stem), {file}, {}, {}};
}

/// False too where it cannot be read.
bool isOfOneBand(const fs::path& file) {
  try {
    return rastersIn(file).size() == 1 && RasterFile(file).bands() == 1;
  } catch (const Error&) {
    return false;
  }
}

std::string folderName(const fs::path& file) {
  return file.parent_path().filename().string();
}

}  // namespace

std::vector<SceneDraft> groupFiles(const std::vector<fs::path>& paths) {
  std::vector<fs::path> files;
  for (const auto& p : paths) collect(p, 0, files);
  if (files.empty())
    throw Error("The folder “{}” holds no rasters; choose one with a file a band.",
                paths.empty() ? "" : paths[0].string());
  std::vector<SceneDraft> drafts;
  std::map<std::string, size_t> groups;  // by folder, name and date
  for (const auto& file : files) {
    if (isItem(file) || !isOfOneBand(file)) {
      drafts.push_back(alone(file));
      continue;
    }
    const std::string stem = asUtf8(file.stem().string());
    const BandName name = bandNameOf(stem);
    if (name.band.empty() && !name.quality) {
      drafts.push_back(alone(file));
      continue;
    }
    std::string date = dateIn(stem);
    if (date.empty()) date = dateIn(folderName(file));
    const std::string key = file.parent_path().string() + "/" + name.scene + "/" + date;
    if (groups.emplace(key, drafts.size()).second) {
      std::string title = name.scene.empty() ? folderName(file) : name.scene;
      if (dateIn(title).empty() && !date.empty()) title += " " + date;
      drafts.push_back({title, date, {}, {}, {}});
    }
    auto& draft = drafts[groups[key]];
    if (name.quality && draft.quality.empty())
      draft.quality = file;
    else
      draft.files.push_back(file);
  }
  // Flags without bands are a raster like any other, as is a lone file that seemed one band.
  for (auto& d : drafts) {
    if (d.files.empty()) d = alone(d.quality);
    std::stable_sort(d.files.begin(), d.files.end(), naturalOrder);
  }
  return drafts;
}

std::string guessSensor(const Scene& scene) {
  const Sensor* best = nullptr;
  for (const auto& s : sensors()) {
    bool named = false, all = true;
    for (const auto& b : scene.bands) {
      const std::string band = bandNameOf(b.name).band;
      all = all && std::any_of(s.bands.begin(), s.bands.end(),
                               [&](const SensorBand& one) { return plainBand(one.name) == band; });
      named = named || roleIn(b.name).empty();
    }
    // Names that are roles say all there is to know; a preset has to be named for itself then.
    if (!all || scene.bands.size() < 2 || !(named || lowered(scene.name).find(s.id) == 0)) continue;
    if (best == nullptr || s.bands.size() < best->bands.size()) best = &s;
  }
  return best == nullptr ? "" : best->id;
}

Scene openDraft(const SceneDraft& draft) {
  if (draft.files.size() == 1) {
    Scene scene = openScene(draft.files[0]);
    if (!isItem(draft.files[0])) {
      scene.name = draft.name;
      if (!draft.date.empty()) scene.date = draft.date;
      auto& band = scene.bands[0];
      if (scene.bands.size() == 1 && band.role.empty())
        band.role = roleIn(draft.files[0].stem().string());
    }
    if (!draft.sensor.empty()) applySensor(scene, sensor(draft.sensor));
    return scene;
  }
  Scene scene = openScene(draft.files);
  scene.name = draft.name;
  scene.date = draft.date;
  const std::string preset = draft.sensor.empty() ? guessSensor(scene) : draft.sensor;
  if (!preset.empty()) applySensor(scene, sensor(preset));
  if (!draft.quality.empty()) setQuality(scene, {draft.quality, 1, {}});
  return scene;
}

}  // namespace zp
