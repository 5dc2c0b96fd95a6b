#pragma once
#include <optional>
#include <string>
#include <string_view>

namespace zp {

/// Days since 1 January 1970 of "2031-07-18", with or without a time after it; nothing for what is
/// no such date.
std::optional<long> dayOf(std::string_view text);
/// "2031-07-18".
std::string dateOf(long day);

}  // namespace zp
