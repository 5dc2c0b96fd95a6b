#pragma once
#include <string>

namespace zp {

/// Registers the drivers in use and shuts the rest off: plug-ins, network file systems, script
/// languages in virtual rasters. Every function of this project that touches GDAL calls it first.
void startGdal();

/// Refuses names that are not plain local paths (URLs, /vsi prefixes, driver connection strings).
void requireLocalPath(const std::string& path);

/// Refuses what would be waited for without end: a pipe or a device, as the file, as one that is
/// read beside it, or as one that a virtual raster leads to.
void requirePlainFile(const std::string& file);

/// Collects GDAL's messages of this thread while it lives, instead of printing them.
class GdalMessages {
 public:
  GdalMessages();
  ~GdalMessages();
  GdalMessages(const GdalMessages&) = delete;
  GdalMessages& operator=(const GdalMessages&) = delete;
  bool failed() const { return failed_; }
  /// The last error; "" when there was none.
  const std::string& last() const { return last_; }
  void clear() { failed_ = false, last_.clear(); }

 private:
  friend struct GdalMessagesAccess;
  bool failed_ = false;
  std::string last_;
};

}  // namespace zp
