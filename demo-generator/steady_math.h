#pragma once

namespace haven {

// Elementary functions from additions, multiplications and divisions alone, which round the same on
// every machine; accurate to about 1e-8, far below what a pixel stores.
double steadyExp(double x);
double steadyLog(double x);
double steadySin(double x);
inline double steadyCos(double x) {
  return steadySin(x + 1.5707963267948966);
}
inline double fromDecibels(double dB) {
  return steadyExp(dB * 0.2302585092994046);
}

}  // namespace haven
