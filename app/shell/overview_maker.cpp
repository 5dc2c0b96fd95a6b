#include "shell/overview_maker.h"

#include <QMetaObject>

#include "base/outputs.h"
#include "base/text.h"
#include "grid/reduced_copy.h"

namespace fs = std::filesystem;

namespace zp {

namespace {
/// The copy's place; empty when none is needed.
fs::path makeCopy(const fs::path& raster, const fs::path& folder, const Progress& progress) {
  if (!needsReducedCopy(RasterFile(raster))) return {};
  std::error_code ignored;
  fs::create_directories(folder, ignored);
  fs::path file = folder / (plainName(raster.stem().string()) + ".tif");
  for (int n = 2; fs::exists(file); ++n)
    file = folder / (plainName(raster.stem().string()) + "-" + std::to_string(n) + ".tif");
  Outputs outputs(false);
  makeReducedCopy(raster, outputs.add(file), progress);
  outputs.commit();
  return file;
}
}  // namespace

void OverviewMaker::want(const fs::path& raster, const fs::path& folder) {
  const QString name = QString::fromStdString(raster.string());
  if (seen_.contains(name)) return;
  seen_ << name;
  queue_.push_back({raster, folder});
  if (!running_) next();
}

void OverviewMaker::stop() {
  ++generation_;
  queue_.clear();
  seen_.clear();
  progress_.cancel();
  if (thread_.joinable()) thread_.join();
  running_ = false;
}

void OverviewMaker::next() {
  if (queue_.empty()) {
    running_ = false;
    return;
  }
  const Job job = queue_.front();
  queue_.pop_front();
  running_ = true;
  progress_ = Progress();
  thread_ = std::jthread([this, job, progress = progress_, mine = generation_] {
    fs::path copy;
    try {
      copy = makeCopy(job.raster, job.folder, progress);
    } catch (const std::exception&) {
      // Cancelled, or not to be made: looked at as it is.
    }
    QMetaObject::invokeMethod(
        this,
        [this, job, copy, mine] {
          if (mine != generation_) return;
          if (!copy.empty())
            Q_EMIT made(QString::fromStdString(job.raster.string()),
                        QString::fromStdString(copy.string()));
          next();
        },
        Qt::QueuedConnection);
  });
}

}  // namespace zp
