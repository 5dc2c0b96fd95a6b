#pragma once
#include <array>

namespace zp {

/// How large text, and with it everything else, can be: percent of what the desktop asks for.
inline constexpr std::array kTextSizes{100, 115, 130, 150};

/// What was chosen, or 100.
int textSize();

/// Applications that begin from now on draw in the size that was chosen, over what the environment
/// asks for.
void useTextSize();

}  // namespace zp
