#include "grid/gdal_start.h"

#include <cpl_conv.h>
#include <cpl_error.h>
#include <cpl_vsi_virtual.h>
#include <fmt/format.h>
#include <gdal.h>
#include <gdal_frmts.h>
#include <ogr_api.h>
#include <ogr_srs_api.h>
#include <ogrsf_frmts.h>

#include <mutex>

#include "base/error.h"

namespace zp {

struct GdalMessagesAccess {
  static void CPL_STDCALL handle(CPLErr level, CPLErrorNum, const char* text) {
    auto* self = static_cast<GdalMessages*>(CPLGetErrorHandlerUserData());
    if (level < CE_Failure || self == nullptr) return;
    self->failed_ = true;
    self->last_ = text;
  }
};

GdalMessages::GdalMessages() {
  CPLPushErrorHandlerEx(&GdalMessagesAccess::handle, this);
}
GdalMessages::~GdalMessages() {
  CPLPopErrorHandler();
}

namespace {
void CPL_STDCALL quiet(CPLErr, CPLErrorNum, const char*) {}

/// Stands in for a network file system, also inside virtual rasters: nothing is ever there.
class NoNetwork : public VSIFilesystemHandler {
 public:
  VSIVirtualHandle* Open(const char*, const char*, bool, CSLConstList) override { return nullptr; }
  int Stat(const char*, VSIStatBufL*, int) override { return -1; }
};

void denyNetwork() {
  for (const char* name : {"curl", "s3", "gs", "az", "adls", "oss", "swift", "hdfs", "webhdfs"})
    for (const char* form : {"/vsi{}/", "/vsi{}_streaming/", "/vsi{}?"})
      VSIFileManager::InstallHandler(fmt::format(fmt::runtime(form), name), new NoNetwork);
}

void start() {
  CPLSetErrorHandler(&quiet);
  CPLSetConfigOption("GDAL_DRIVER_PATH", "disable");
  CPLSetConfigOption("GDAL_DISABLE_READDIR_ON_OPEN", "YES");
  CPLSetConfigOption("OGR_ENABLE_PARTIAL_REPROJECTION", "NO");
  CPLSetConfigOption("GDAL_PAM_ENABLED", "YES");
  GDALRegister_GTiff();
  GDALRegister_COG();
  GDALRegister_VRT();
  GDALRegister_MEM();
  GDALRegister_PNG();
  GDALRegister_JPEG();
  GDALRegister_JP2OpenJPEG();
  GDALRegister_netCDF();
  RegisterOGRGeoPackage();
  RegisterOGRGeoJSON();
  RegisterOGRShape();
  RegisterOGRCSV();
  RegisterOGRKML();
  RegisterOGRMEM();
  denyNetwork();
  CPLSetConfigOption("GDAL_VRT_ENABLE_PYTHON", "NO");
  GDALSetCacheMax64(64ll << 20);
  OSRSetPROJEnableNetwork(0);
}
}  // namespace

void startGdal() {
  static std::once_flag once;
  std::call_once(once, start);
}

void requireLocalPath(const std::string& path) {
  const size_t colon = path.find(':');
  const bool scheme = colon != std::string::npos && colon > 1 && path.find('/') > colon;
  if (scheme || path.rfind("/vsi", 0) == 0)
    throw Error(fmt::format("“{}” is not a local file; copy it to this machine first.", path));
}

}  // namespace zp
