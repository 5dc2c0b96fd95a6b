// Compiled for vectors (see core/CMakeLists.txt): every pixel that is read comes through here.
#include "grid/stored_values.h"

#include <cmath>
#include <limits>

#include "base/nan.h"

namespace zp {

void storedToValues(float* numbers, size_t n, std::optional<float> nodata, double scale,
                    double offset) {
  constexpr float kMost = std::numeric_limits<float>::max();
  // NaN equals nothing, so without a no-data number nothing is.
  const float none = nodata.value_or(kNan);
  if (scale == 1 && offset == 0) {
    for (size_t i = 0; i < n; ++i) {
      const float v = numbers[i];
      numbers[i] = v != none && std::fabs(v) <= kMost ? v : kNan;
    }
    return;
  }
  for (size_t i = 0; i < n; ++i) {
    const float v = static_cast<float>(static_cast<double>(numbers[i]) * scale + offset);
    numbers[i] = numbers[i] != none && std::fabs(v) <= kMost ? v : kNan;
  }
}

}  // namespace zp
