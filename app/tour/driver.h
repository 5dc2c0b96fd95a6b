#pragma once
#include <QtTest/QTest>
#include <stdexcept>

#include "shell/main_window.h"

namespace zp {

/// Works the real window with mouse and keys, waiting for conditions and never for fixed times.
/// Throws with what it waited for or did not find.
class Driver {
 public:
  explicit Driver(MainWindow& window) : window_(window) {}
  MainWindow& window() { return window_; }

  void until(const std::function<bool()>& condition, const char* what);
  /// Until no job runs and everything shown has been painted.
  void settle();
  template <class W = QPushButton>
  W* find(const QString& name) {
    for (auto* w : window_.findChildren<W*>(name))
      if (w->isVisible()) return w;
    throw std::runtime_error("there is no visible " + name.toStdString());
  }
  template <class W = QPushButton>
  void click(const QString& name) {
    auto* w = find<W>(name);
    if (!w->isEnabled()) throw std::runtime_error(name.toStdString() + " is not enabled");
    QTest::mouseClick(w, Qt::LeftButton);
  }
  void stage(int index);
  /// Clicks a button and waits until it has made a product.
  void make(const QString& button, const char* what);
  void press(const QString& field, const QString& text);
  size_t products() const;

 private:
  MainWindow& window_;
};

}  // namespace zp
