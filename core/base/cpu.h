#pragma once

namespace zp {

/// Whether this machine runs kernels built for x86-64-v3 (AVX2 and FMA).
inline bool cpuHasV3() {
  static const bool yes = __builtin_cpu_supports("avx2") && __builtin_cpu_supports("fma") &&
                          __builtin_cpu_supports("bmi2");
  return yes;
}

}  // namespace zp
