#pragma once

namespace zp {

/// Marks words of the core that a window shows in its own language. They stay English here, in
/// files and in what `zpatch` prints.
constexpr const char* words(const char* english) {
  return english;
}

}  // namespace zp
