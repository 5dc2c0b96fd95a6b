// Compiled twice (see zp_kernel): every pixel that is read comes through here. Multiplying and
// adding are not fused, or the two would differ.
#include "grid/stored_values_kernel.h"

namespace zp::ZP_LEVEL {

void storedToValues(float* numbers, size_t n, float none, double scale, double offset) {
  constexpr float kMost = __FLT_MAX__;
  const float nan = __builtin_nanf("");
  // NaN equals nothing, so without such a number nothing is.
  if (scale == 1 && offset == 0) {
    for (size_t i = 0; i < n; ++i) {
      const float v = numbers[i];
      numbers[i] = v != none && __builtin_fabsf(v) <= kMost ? v : nan;
    }
    return;
  }
  for (size_t i = 0; i < n; ++i) {
    const float v = static_cast<float>(static_cast<double>(numbers[i]) * scale + offset);
    numbers[i] = numbers[i] != none && __builtin_fabsf(v) <= kMost ? v : nan;
  }
}

}  // namespace zp::ZP_LEVEL
