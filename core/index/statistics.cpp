#include "index/statistics.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace zp {

void Statistics::add(const float* values, size_t n) {
  // Sums about the first valid value keep their digits, and need no division per value.
  Statistics part;
  size_t i = 0;
  while (i < n && std::isnan(values[i])) ++i;
  part.empty = i;
  if (i < n) {
    const double pivot = values[i];
    float low = values[i], high = values[i];
    double sum = 0, squared = 0;
    for (; i < n; ++i) {
      const float v = values[i];
      if (std::isnan(v)) {
        ++part.empty;
        continue;
      }
      const double d = v - pivot;
      sum += d;
      squared += d * d;
      low = std::min(low, v);
      high = std::max(high, v);
    }
    part.valid = n - part.empty;
    const double count = static_cast<double>(part.valid);
    part.min = low;
    part.max = high;
    part.mean = pivot + sum / count;
    part.squares = std::max(0.0, squared - sum * sum / count);
  }
  merge(part);
}

void Statistics::merge(const Statistics& o) {
  empty += o.empty;
  if (o.valid == 0) return;
  if (valid == 0) {
    const size_t e = empty;
    *this = o;
    empty = e;
    return;
  }
  const double a = static_cast<double>(valid), b = static_cast<double>(o.valid);
  const double delta = o.mean - mean;
  mean += delta * b / (a + b);
  squares += o.squares + delta * delta * a * b / (a + b);
  valid += o.valid;
  min = std::min(min, o.min);
  max = std::max(max, o.max);
}

double Statistics::sd() const {
  if (valid < 2) return std::numeric_limits<double>::quiet_NaN();
  return std::sqrt(squares / static_cast<double>(valid - 1));
}

Json toJson(const Statistics& s) {
  const bool any = s.valid > 0;
  const Json none = nullptr;
  return {{"min", any ? number(s.min) : none},
          {"max", any ? number(s.max) : none},
          {"mean", any ? number(s.mean) : none},
          {"sd", number(s.sd())},
          {"valid", s.valid},
          {"empty", s.empty}};
}

}  // namespace zp
