#include "background/job_runner.h"

#include <algorithm>
#include <atomic>

namespace zp {

JobRunner::JobRunner(QObject* parent) : QObject(parent) {}

JobRunner::~JobRunner() {
  queue_.clear();
  if (progress_) progress_->cancel();
}

void JobRunner::start(Job job) {
  const auto same = [&](const Job& one) { return !job.does.isEmpty() && one.does == job.does; };
  if ((running_ && same(current_)) || std::any_of(queue_.begin(), queue_.end(), same)) return;
  queue_.push_back(std::move(job));
  if (!running_) next();
}

void JobRunner::cancel() {
  queue_.clear();
  if (progress_) progress_->cancel();
}

double JobRunner::secondsLeft() const {
  if (!running_ || share_ < 0.03 || clock_.elapsed() < 500) return -1;
  return static_cast<double>(clock_.elapsed()) / 1000 * (1 - share_) / share_;
}

void JobRunner::next() {
  if (queue_.empty()) {
    running_ = false;
    Q_EMIT changed();
    return;
  }
  current_ = std::move(queue_.front());
  queue_.pop_front();
  running_ = true;
  if (current_.prepare) current_.prepare();
  share_ = 0;
  clock_.start();
  auto posted = std::make_shared<std::atomic<int>>(-1);
  progress_.emplace([this, posted](double share) {
    const int percent = static_cast<int>(share * 100);
    if (posted->exchange(percent) == percent) return;
    background_.post([this, share] {
      share_ = share;
      Q_EMIT changed();
    });
  });
  background_.add([this, work = current_.work, progress = *progress_](const Progress&, size_t) {
    return end(work, progress);
  });
  Q_EMIT changed();
}

/// On a thread of the background: does the work, and tells what came of it.
Answer JobRunner::end(const std::function<void(const Progress&)>& work, const Progress& progress) {
  QString error;
  bool wasCancelled = false;
  try {
    work(progress);
  } catch (const Cancelled&) {
    wasCancelled = true;
  } catch (const std::exception& e) {
    error = sentenceOf(e);
  }
  return [this, error, wasCancelled] { finish(error, wasCancelled); };
}

void JobRunner::finish(const QString& error, bool wasCancelled) {
  const Job job = std::move(current_);
  current_ = {};
  if (wasCancelled)
    Q_EMIT cancelled(job.title);
  else if (!error.isEmpty() && job.failed)
    job.failed(error);
  else if (error.isEmpty() && job.done)
    job.done();
  next();
}

}  // namespace zp
