#pragma once
#include "window_fixture.h"

namespace zp::testing {

/// A study with a map and four points in each of its nine classes, at the accuracy desk.
class AccuracyDeskWindow : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    makeMap();
    makePoints("4");
    d().stage(5);
  }
  Labelling& labelling() { return w().book().labelling(); }
  /// Labels every point as the map has it, but the n-th with the next class.
  void labelAll(size_t wrong) {
    for (size_t i = 0; i < labelling().points().size(); ++i) {
      const int mapped = labelling().current().mapped;
      const int code = i == wrong ? mapped % 9 + 1 : mapped;
      QTest::keyClick(&w().labelling(), static_cast<char>('0' + code));
    }
  }
  /// From the labelling desk back to the accuracy desk.
  void leaveDesk() {
    QTest::keyClick(&w().labelling(), Qt::Key_Escape);
    d().until([&] { return !w().labelling().isVisible(); }, "the accuracy desk");
    d().settle();
  }
  void closeLabelling() {
    d().click("closeLabelling");
    d().until([&] { return w().matrix().isVisible(); }, "the matrix");
  }
};

}  // namespace zp::testing
