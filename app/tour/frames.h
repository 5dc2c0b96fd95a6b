#pragma once
#include <fmt/format.h>

#include <QtTest/QTest>
#include <algorithm>
#include <vector>

namespace zp {

// What the measurements share.

inline void report(const char* what, double value, const char* unit, double most) {
  fmt::print("{:58} {:8.1f} {:3}  at most {:.0f} {}\n", what, value, unit, most,
             value <= most ? "" : "  NOT MET");
}

/// The value below which a share of them lies.
inline double highest(std::vector<double> all, double share) {
  std::sort(all.begin(), all.end());
  return all.empty() ? 0 : all[static_cast<size_t>(share * static_cast<double>(all.size() - 1))];
}

/// Each frame: one move of the hand, all that it brings, and the painting.
template <class Move>
std::vector<double> frames(QWidget& view, int count, Move move) {
  std::vector<double> times;
  QElapsedTimer clock;
  for (int i = 0; i < count; ++i) {
    clock.start();
    move(i);
    QCoreApplication::processEvents();
    view.repaint();
    times.push_back(static_cast<double>(clock.nsecsElapsed()) / 1e6);
    QTest::qWait(5);  // a hand is not faster, and tiles arrive meanwhile
  }
  return times;
}

}  // namespace zp
