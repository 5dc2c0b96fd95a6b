// Compiled twice (see zp_kernel). Only plain loops here: an inline library function compiled for
// x86-64-v3 could otherwise be linked in place of its baseline copy.
#include "index/formula_kernel.h"

namespace zp::ZP_LEVEL {
namespace {

constexpr float kLargest = 3.402823466e38f;

inline float finite(float v) {
  return __builtin_fabsf(v) <= kLargest ? v : __builtin_nanf("");
}
inline bool isNan(float v) {
  return v != v;
}
inline float truth(bool b, float x, float y) {
  return isNan(x) || isNan(y) ? __builtin_nanf("") : (b ? 1.0f : 0.0f);
}

template <class F>
inline void unary(float* a, size_t n, F f) {
  for (size_t i = 0; i < n; ++i) a[i] = f(a[i]);
}

template <class F>
inline void binary(float* a, size_t n, F f) {
  const float* b = a + kFormulaChunk;
  for (size_t i = 0; i < n; ++i) a[i] = f(a[i], b[i]);
}

inline float select(float c, float a, float b) {
  const float taken = c != 0 ? a : b;
  return isNan(c) ? c : taken;
}

}  // namespace

/// Longer than a function may be: one case an operation, in the one loop that the compiler is to
/// see whole.
void runFormula(const FormulaStep* steps, size_t count, const float* const* bands, size_t from,
                size_t n, float* stack, float* out) {
  float* top = stack - kFormulaChunk;  // the chunk on top
  for (size_t s = 0; s < count; ++s) {
    const FormulaStep& step = steps[s];
    switch (step.op) {
      case FormulaOp::Band: {
        top += kFormulaChunk;
        const float* band = bands[step.band] + from;
        for (size_t i = 0; i < n; ++i) top[i] = band[i];
        break;
      }
      case FormulaOp::Constant:
        top += kFormulaChunk;
        for (size_t i = 0; i < n; ++i) top[i] = static_cast<float>(step.value);
        break;
      case FormulaOp::Negate:
        unary(top, n, [](float a) { return -a; });
        break;
      case FormulaOp::Not:
        unary(top, n, [](float a) { return truth(a == 0, a, a); });
        break;
      case FormulaOp::Abs:
        unary(top, n, [](float a) { return __builtin_fabsf(a); });
        break;
      case FormulaOp::Sqrt:
        unary(top, n, [](float a) { return finite(__builtin_sqrtf(a)); });
        break;
      case FormulaOp::Log10:
        unary(top, n, [](float a) { return finite(__builtin_log10f(a)); });
        break;
      case FormulaOp::Exp:
        unary(top, n, [](float a) { return finite(__builtin_expf(a)); });
        break;
      case FormulaOp::Choose: {
        top -= 2 * kFormulaChunk;
        const float *a = top + kFormulaChunk, *b = a + kFormulaChunk;
        for (size_t i = 0; i < n; ++i) top[i] = select(top[i], a[i], b[i]);
        break;
      }
      default:
        top -= kFormulaChunk;
        switch (step.op) {
          case FormulaOp::Add:
            binary(top, n, [](float a, float b) { return finite(a + b); });
            break;
          case FormulaOp::Subtract:
            binary(top, n, [](float a, float b) { return finite(a - b); });
            break;
          case FormulaOp::Multiply:
            binary(top, n, [](float a, float b) { return finite(a * b); });
            break;
          case FormulaOp::Divide:
            binary(top, n, [](float a, float b) { return finite(a / b); });
            break;
          case FormulaOp::NDiff:
            binary(top, n, [](float a, float b) { return finite((a - b) / (a + b)); });
            break;
          case FormulaOp::Power:
            // powf(NaN, 0) and powf(1, NaN) are 1; no data stays no data.
            binary(top, n, [](float a, float b) {
              return isNan(a) || isNan(b) ? __builtin_nanf("") : finite(__builtin_powf(a, b));
            });
            break;
          case FormulaOp::Less:
            binary(top, n, [](float a, float b) { return truth(a < b, a, b); });
            break;
          case FormulaOp::LessEqual:
            binary(top, n, [](float a, float b) { return truth(a <= b, a, b); });
            break;
          case FormulaOp::Greater:
            binary(top, n, [](float a, float b) { return truth(a > b, a, b); });
            break;
          case FormulaOp::GreaterEqual:
            binary(top, n, [](float a, float b) { return truth(a >= b, a, b); });
            break;
          case FormulaOp::Equal:
            binary(top, n, [](float a, float b) { return truth(a == b, a, b); });
            break;
          case FormulaOp::NotEqual:
            binary(top, n, [](float a, float b) { return truth(a != b, a, b); });
            break;
          case FormulaOp::And:
            binary(top, n, [](float a, float b) { return truth(a != 0 && b != 0, a, b); });
            break;
          case FormulaOp::Or:
            binary(top, n, [](float a, float b) { return truth(a != 0 || b != 0, a, b); });
            break;
          case FormulaOp::Min:
            binary(top, n, [](float a, float b) {
              return isNan(a) || isNan(b) ? __builtin_nanf("") : (b < a ? b : a);
            });
            break;
          case FormulaOp::Max:
            binary(top, n, [](float a, float b) {
              return isNan(a) || isNan(b) ? __builtin_nanf("") : (b > a ? b : a);
            });
            break;
          default:
            break;
        }
    }
  }
  for (size_t i = 0; i < n; ++i) out[from + i] = top[i];
}

}  // namespace zp::ZP_LEVEL
