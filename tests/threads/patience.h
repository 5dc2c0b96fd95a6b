#pragma once

namespace zp {

/// How long a test waits for what must come, in milliseconds; a sanitizer makes it slow.
inline constexpr int kPatience = 120000;

}  // namespace zp
