#pragma once
#include "shell/workbench.h"

namespace zp {

/// The made-up place to learn with: where it is kept, and how it is made on this machine.
class DemoStudy {
 public:
  explicit DemoStudy(Workbench& bench) : bench_(bench) {}

  /// The program that makes it is installed.
  static bool canBeMade();
  static QString folder();
  static bool isThere();

  /// Opens it, made before or now, as a job with progress; `opened` when it is open.
  void open(std::function<void()> opened);
  /// The same as it was at first; the one that was worked in is kept beside it.
  void openAnew(std::function<void()> opened);

 private:
  Workbench& bench_;
};

}  // namespace zp
