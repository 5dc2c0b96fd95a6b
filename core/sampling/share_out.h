#pragma once
#include <map>

namespace zp {

/// So many points shared out among classes in proportion to their areas: whole numbers that have
/// that sum, by the largest remainders (Hare quota); a tie goes to the lower code.
std::map<int, size_t> shareOut(size_t points, const std::map<int, double>& areas);

}  // namespace zp
