#include "preview.h"

#include <gdal_priv.h>

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "scene/band_reader.h"

namespace haven {
namespace {

constexpr int kPictureWidth = 320;

/// The value that is shown white.
float whiteOf(const zp::Scene& scene) {
  if (scene.isRadar()) return 0.35f;
  return scene.sensor == "kite" ? 190 : 0.22f;
}

std::vector<size_t> shownBands(const zp::Scene& scene) {
  if (scene.isRadar()) return {0, 1, 0};
  std::vector<size_t> bands;
  for (const char* role : {"red", "green", "blue"})
    bands.push_back(static_cast<size_t>(scene.bandOf(role)));
  return bands;
}

}  // namespace

void writePreview(const zp::Scene& scene, const std::filesystem::path& file) {
  const int height = kPictureWidth * scene.grid.height / scene.grid.width;
  std::vector<float> values;
  zp::BandReader(scene, shownBands(scene))
      .readReduced({0, 0, scene.grid.width, scene.grid.height}, kPictureWidth, height, values);
  const float white = whiteOf(scene);
  std::vector<uint8_t> bytes(values.size());
  for (size_t i = 0; i < bytes.size(); ++i)
    bytes[i] = values[i] > 0
                   ? static_cast<uint8_t>(255 * std::min(1.0f, std::sqrt(values[i] / white)))
                   : uint8_t{0};
  auto* drivers = GetGDALDriverManager();
  std::unique_ptr<GDALDataset> picture(
      drivers->GetDriverByName("MEM")->Create("", kPictureWidth, height, 3, GDT_Byte, nullptr));
  if (!picture ||
      picture->RasterIO(GF_Write, 0, 0, kPictureWidth, height, bytes.data(), kPictureWidth, height,
                        GDT_Byte, 3, nullptr, 0, 0, 0, nullptr) != CE_None)
    throw zp::Error("The preview of a scene could not be made.");
  const char* options[] = {"WORLDFILE=NO", nullptr};
  std::unique_ptr<GDALDataset> written(drivers->GetDriverByName("PNG")->CreateCopy(
      file.c_str(), picture.get(), false, const_cast<char**>(options), nullptr, nullptr));
  if (!written) throw zp::Error("The preview could not be written to “" + file.string() + "”.");
}

}  // namespace haven
