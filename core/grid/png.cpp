#include "grid/png.h"

#include <cpl_vsi.h>
#include <gdal_priv.h>

#include <atomic>

#include "base/error.h"
#include "grid/dataset.h"
#include "grid/gdal_start.h"

namespace zp {

std::string toPng(const Pixels& picture) {
  startGdal();
  auto& drivers = *GetGDALDriverManager();
  const Dataset memory(drivers.GetDriverByName("MEM")->Create("", picture.width, picture.height, 4,
                                                              GDT_Byte, nullptr));
  if (!memory) throw Error("There is not enough memory for a picture.");
  const GDALColorInterp channels[] = {GCI_RedBand, GCI_GreenBand, GCI_BlueBand, GCI_AlphaBand};
  for (int i = 0; i < 4; ++i) memory->GetRasterBand(i + 1)->SetColorInterpretation(channels[i]);
  // GDAL takes what it only reads by a pointer to what may change.
  auto* bytes = const_cast<uint8_t*>(picture.rgba.data());
  const bool filled =
      memory->RasterIO(GF_Write, 0, 0, picture.width, picture.height, bytes, picture.width,
                       picture.height, GDT_Byte, 4, nullptr, 4,
                       static_cast<GSpacing>(4) * picture.width, 1, nullptr) == CE_None;
  static std::atomic<unsigned> number{0};
  const std::string name = "/vsimem/picture-" + std::to_string(++number) + ".png";
  if (filled)
    Dataset(drivers.GetDriverByName("PNG")->CreateCopy(name.c_str(), memory.get(), FALSE, nullptr,
                                                       nullptr, nullptr));
  vsi_l_offset size = 0;
  GByte* data = VSIGetMemFileBuffer(name.c_str(), &size, FALSE);
  const std::string png(reinterpret_cast<const char*>(data), data == nullptr ? 0 : size);
  VSIUnlink(name.c_str());
  if (png.empty()) throw Error("A picture could not be made.");
  return png;
}

}  // namespace zp
