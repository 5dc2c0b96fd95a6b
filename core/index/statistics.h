#pragma once
#include <cstddef>

#include "base/json.h"

namespace zp {

/// Exact running statistics over valid values; parts are merged in a fixed order (Chan, Golub and
/// LeVeque 1979). The spread is with n − 1.
struct Statistics {
  size_t valid = 0, empty = 0;
  double min = 0, max = 0, mean = 0;
  double squares = 0;  // sum of squared deviations from the mean

  void add(const float* values, size_t n);  // NaN counts as empty
  void merge(const Statistics& other);
  double sd() const;  // NaN below two values
};

/// Keys min max mean sd valid empty; null where there is nothing to say.
Json toJson(const Statistics& s);

}  // namespace zp
