#include "feature/odd_window.h"

#include <algorithm>

#include "base/error.h"
#include "base/words.h"

namespace zp {

Parameter windowParameter(int initial) {
  return {.id = "window",
          .title = words("Window"),
          .about = words("The side of the square around the pixel, in pixels; an odd number."),
          .type = Parameter::Type::Whole,
          .initial = initial,
          .lowest = 3,
          .highest = 101};
}

int oddWindow(int window) {
  if (window % 2 == 0)
    throw Error("A window of {} pixels has no middle; take an odd number.", window);
  return window;
}

int radiusAt(int window, double scale) {
  return std::max(1, static_cast<int>(window / 2 * scale + 0.5));
}

}  // namespace zp
