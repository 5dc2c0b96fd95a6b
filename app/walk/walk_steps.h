#pragma once
#include "shell/main_window.h"

namespace zp {

/// One thing to do, at a control: shown while `now` holds and the control is there.
struct WalkHint {
  const char* at;  // name of the control
  const char* says;
  bool (*now)(MainWindow& window) = nullptr;  // always where there is none
};

/// A step of the walk: of its hints the first that holds is shown. It is done when `done` says so,
/// or, without that, when its control was used.
struct WalkStep {
  const char* title;
  int stage;
  std::vector<WalkHint> hints;
  bool (*done)(MainWindow& window);
};

/// The whole job in eight steps, from bands to a matrix.
const std::vector<WalkStep>& walkSteps();

}  // namespace zp
