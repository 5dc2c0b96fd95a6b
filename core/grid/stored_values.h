#pragma once
#include <cstddef>
#include <optional>

namespace zp {

/// Stored numbers to values, in place: stored × scale + offset in double precision, NaN where the
/// number is no data or the value is not finite.
void storedToValues(float* numbers, size_t n, std::optional<float> nodata, double scale,
                    double offset);

}  // namespace zp
