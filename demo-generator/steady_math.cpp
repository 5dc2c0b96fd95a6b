#include "steady_math.h"

#include <cmath>

namespace haven {

double steadyExp(double x) {
  // exp(x) = exp(x / 1024)^1024, the first by its series.
  const double t = x / 1024;
  double e = 1 + t * (1 + t / 2 * (1 + t / 3 * (1 + t / 4)));
  for (int i = 0; i < 10; ++i) e *= e;
  return e;
}

double steadyLog(double x) {
  int exponent = 0;
  const double m = std::frexp(x, &exponent);  // exact
  const double r = (m - 1) / (m + 1), s = r * r;
  double sum = 0;
  for (int k = 25; k >= 1; k -= 2) sum = sum * s + 1.0 / k;
  return 2 * r * sum + exponent * 0.6931471805599453;
}

double steadySin(double x) {
  constexpr double kTurn = 6.283185307179586;
  x -= kTurn * std::floor(x / kTurn + 0.5);
  double term = x, sum = x;
  for (int k = 1; k < 12; ++k) {
    term *= -x * x / ((2 * k) * (2 * k + 1));
    sum += term;
  }
  return sum;
}

}  // namespace haven
