#include "accuracy/crossing.h"

#include <gsl/gsl_errno.h>
#include <gsl/gsl_roots.h>

#include <cmath>
#include <memory>

namespace zp {

double crossing(const std::function<double(double)>& f, double low, double high) {
  constexpr int kMostSteps = 100;
  constexpr double kWithin = 1e-12;
  const double atLow = f(low), atHigh = f(high);
  if (std::isnan(atLow) || std::isnan(atHigh)) return std::nan("");
  if (atLow == 0) return low;
  if (atHigh == 0 || (atLow > 0) == (atHigh > 0)) return high;
  gsl_function called{[](double x, void* of) {
                        return (*static_cast<const std::function<double(double)>*>(of))(x);
                      },
                      const_cast<std::function<double(double)>*>(&f)};
  const std::unique_ptr<gsl_root_fsolver, decltype(&gsl_root_fsolver_free)> solver(
      gsl_root_fsolver_alloc(gsl_root_fsolver_brent), &gsl_root_fsolver_free);
  gsl_root_fsolver_set(solver.get(), &called, low, high);
  for (int i = 0; i < kMostSteps; ++i) {
    if (gsl_root_fsolver_iterate(solver.get()) != GSL_SUCCESS) break;
    if (gsl_root_test_interval(gsl_root_fsolver_x_lower(solver.get()),
                               gsl_root_fsolver_x_upper(solver.get()), kWithin, 0) == GSL_SUCCESS)
      break;
  }
  return gsl_root_fsolver_root(solver.get());
}

}  // namespace zp
