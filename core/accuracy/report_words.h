#pragma once
#include <string>

#include "accuracy/estimate.h"

namespace zp {

// Figures as a report tells them. What is not defined is a dash.

/// "91.3 %".
std::string percentText(double share, int decimals = 1);
/// "87.9 to 94.7", in per cent; "" where there is no interval.
std::string limitsText(const Estimate& share, int decimals = 1);
/// "571 ha", "0.42 ha"; of square metres.
std::string hectares(double area);
/// As HTML shows it whatever stands in it.
std::string escaped(const std::string& text);
std::string base64(const std::string& bytes);

}  // namespace zp
