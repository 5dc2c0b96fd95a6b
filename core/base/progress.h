#pragma once
#include <atomic>
#include <functional>
#include <memory>

#include "base/error.h"

namespace zp {

/// Progress of one job, 0…1, and its cancel switch. Copies share both; `part` gives a pass of
/// several its own share of the bar. Safe to use from any thread.
class Progress {
 public:
  explicit Progress(std::function<void(double)> report = {})
      : state_(std::make_shared<State>(std::move(report))) {}

  void cancel() const { *state_->cancelled = true; }
  bool cancelled() const { return *state_->cancelled; }

  /// Throws Cancelled once the person has cancelled.
  void check() const {
    if (cancelled()) throw Cancelled();
  }

  void at(double share) const {
    check();
    if (state_->report) state_->report(from_ + (to_ - from_) * share);
  }

  /// Of the same job, and reported elsewhere.
  Progress reporting(std::function<void(double)> report) const {
    Progress p(std::move(report));
    p.state_->cancelled = state_->cancelled;
    return p;
  }

  Progress part(double from, double to) const {
    Progress p = *this;
    p.from_ = from_ + (to_ - from_) * from;
    p.to_ = from_ + (to_ - from_) * to;
    return p;
  }

 private:
  struct State {
    explicit State(std::function<void(double)> r) : report(std::move(r)) {}
    std::function<void(double)> report;
    std::shared_ptr<std::atomic<bool>> cancelled = std::make_shared<std::atomic<bool>>(false);
  };
  std::shared_ptr<State> state_;
  double from_ = 0, to_ = 1;
};

}  // namespace zp
