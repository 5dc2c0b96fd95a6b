#include "scene/quality.h"

#include <fmt/format.h>

#include <algorithm>

#include "base/data_folder.h"
#include "base/error.h"
#include "base/text.h"
#include "grid/regrid.h"

namespace zp {

const std::vector<QualityPreset>& qualityPresets() {
  static const std::vector<QualityPreset> all = [] {
    std::vector<QualityPreset> list;
    const Json book = readJson(dataFile("quality.json"), "zany-patch-quality");
    for (const auto& j : book.at("presets")) {
      QualityPreset p{j.at("id"), j.at("title"), j.at("source"), {}};
      for (const auto& f : j.at("flags")) {
        const bool bit = f.contains("bit");
        p.flags.push_back({f.at("name"), bit, bit ? f["bit"] : f.at("value"),
                           f.value("set_aside", isFlaw(f.at("name")))});
      }
      list.push_back(std::move(p));
    }
    return list;
  }();
  return all;
}

bool isFlaw(const std::string& flagName) {
  const std::string name = lowered(flagName);
  if (name.rfind("no", 0) == 0 && name.rfind("no data", 0) != 0) return false;
  static const std::vector<std::string> flaws{"cloud",  "shadow",  "cirrus", "saturated",
                                              "defect", "no data", "fill",   "invalid"};
  return std::any_of(flaws.begin(), flaws.end(),
                     [&](const std::string& flaw) { return name.find(flaw) != std::string::npos; });
}

void setQuality(Scene& scene, const QualityBand& quality) {
  const RasterFile file(quality.file);
  if (quality.number < 1 || quality.number > file.bands())
    throw Error("“{}” has no band {}; it has {}.", quality.file.string(), quality.number,
                file.bands());
  const NumberType type = file.facts(quality.number).type;
  if (type == NumberType::Float32 || type == NumberType::Float64)
    throw Error(
        "“{}” holds real numbers, so it has no bits or whole values that flag "
        "anything; choose the quality band of the scene.",
        quality.file.string());
  if (!canBringTogether(file.grid().moved(scene.shift), scene.grid))
    throw Error(
        "“{}” does not lie on the scene and has no reference system; choose the "
        "quality band of this scene.",
        quality.file.string());
  scene.quality = quality;
}

}  // namespace zp
