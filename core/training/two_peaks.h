#pragma once
#include <vector>

namespace zp {

/// Whether values have two peaks: a mixture of two normal distributions, fitted by expectation and
/// maximisation (Dempster, Laird and Rubin 1977), is more plausible than one (Schwarz 1978: its
/// criterion lower by more than 10), its parts lie more than two of their spreads apart (Ashman,
/// Bird and Zepf 1994), and the smaller has a tenth of the values or more.
struct TwoPeaks {
  bool found = false;
  double low = 0, high = 0;  // the means of the parts
  double smaller = 0;        // the share of the smaller part
  double apart = 0;          // √2 |low − high| ÷ √(spread² + spread²)
};

/// Fewer than 20 values, or values that are all the same, have one.
TwoPeaks twoPeaks(std::vector<double> values);

}  // namespace zp
