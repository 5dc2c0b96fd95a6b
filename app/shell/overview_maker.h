#pragma once
#include <QObject>
#include <deque>
#include <filesystem>
#include <thread>

#include "base/progress.h"

namespace zp {

/// Makes reduced copies of large rasters without overviews, one after the other, beside whatever
/// else runs. What fails is left: the raster is then looked at as it is.
class OverviewMaker : public QObject {
  Q_OBJECT
 public:
  explicit OverviewMaker(QObject* parent = nullptr) : QObject(parent) {}
  ~OverviewMaker() override { stop(); }

  /// Asked for twice, a raster is looked at once. `folder` is made when something is to be put
  /// there.
  void want(const std::filesystem::path& raster, const std::filesystem::path& folder);
  void stop();
  bool busy() const { return running_; }

 Q_SIGNALS:
  void made(const QString& raster, const QString& copy);

 private:
  struct Job {
    std::filesystem::path raster, folder;
  };
  void next();

  std::deque<Job> queue_;
  QStringList seen_;
  Progress progress_;
  std::jthread thread_;
  bool running_ = false;
  int generation_ = 0;
};

}  // namespace zp
