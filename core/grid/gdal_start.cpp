#include "grid/gdal_start.h"

#include <cpl_conv.h>
#include <cpl_error.h>
#include <cpl_minixml.h>
#include <cpl_vsi_virtual.h>
#include <fmt/format.h>
#include <gdal.h>
#include <gdal_frmts.h>
#include <ogr_api.h>
#include <ogr_srs_api.h>
#include <ogrsf_frmts.h>

#include <filesystem>
#include <memory>
#include <mutex>

#include "base/error.h"

namespace fs = std::filesystem;

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
  // FILE.nc:VARIABLE is a file with one of its variables.
  const bool variable =
      colon != std::string::npos && colon > 3 && path.compare(colon - 3, 3, ".nc") == 0;
  const bool scheme =
      colon != std::string::npos && colon > 1 && path.find('/') > colon && !variable;
  if (scheme || path.rfind("/vsi", 0) == 0)
    throw Error("“{}” is not a local file; copy it to this machine first.", path);
}

namespace {

constexpr int kDeepestVrt = 8;

void requirePlainFile(const fs::path& file, int depth);

void requirePlainSources(const CPLXMLNode* node, const fs::path& folder, int depth) {
  for (; node != nullptr; node = node->psNext) {
    if (node->eType == CXT_Element && std::string(node->pszValue) == "SourceFilename")
      if (const char* source = CPLGetXMLValue(node, nullptr, nullptr))
        requirePlainFile(folder / source, depth);
    requirePlainSources(node->psChild, folder, depth);
  }
}

void requirePlainFile(const fs::path& file, int depth) {
  std::error_code ec;
  for (const char* beside : {"", ".aux.xml", ".ovr", ".msk"}) {
    const auto type = fs::status(file.string() + beside, ec).type();
    if (type == fs::file_type::fifo || type == fs::file_type::socket ||
        type == fs::file_type::character)
      throw Error("“{}{}” is a pipe or a device and no file; save what it gives first.",
                  file.string(), beside);
  }
  if (file.extension() != ".vrt" || depth > kDeepestVrt) return;
  const std::unique_ptr<CPLXMLNode, void (*)(CPLXMLNode*)> tree(CPLParseXMLFile(file.c_str()),
                                                                &CPLDestroyXMLNode);
  requirePlainSources(tree.get(), file.parent_path(), depth + 1);
}

}  // namespace

void requirePlainFile(const std::string& file) {
  GdalMessages quietly;
  requirePlainFile(fs::path(file), 0);
}

}  // namespace zp
