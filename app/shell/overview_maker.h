#pragma once
#include <QStringList>
#include <filesystem>

#include "background/background.h"

namespace zp {

/// Makes reduced copies of large rasters without overviews, one after the other, beside whatever
/// else runs. What fails is left: the raster is then looked at as it is.
class OverviewMaker : public QObject {
  Q_OBJECT
 public:
  /// Asked for twice, a raster is looked at once. `folder` is made when something is to be put
  /// there.
  void want(const std::filesystem::path& raster, const std::filesystem::path& folder);
  void stop();
  bool busy() const { return !background_.idle(); }

 Q_SIGNALS:
  void made(const QString& raster, const QString& copy);

 private:
  QStringList seen_;
  Background background_;
};

}  // namespace zp
