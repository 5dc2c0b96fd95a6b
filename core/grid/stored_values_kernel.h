#pragma once
#include <cstddef>

namespace zp {

// Stored numbers to values, in place: stored × scale + offset in double precision, NaN where the
// number is `none` (NaN: there is no such number) or the value is not finite.
namespace baseline {
void storedToValues(float* numbers, size_t n, float none, double scale, double offset);
}
namespace v3 {
void storedToValues(float* numbers, size_t n, float none, double scale, double offset);
}

}  // namespace zp
