#pragma once
#include <cstddef>

#include "index/formula.h"

namespace zp {

inline constexpr size_t kFormulaChunk = 1024;

// The stack holds `Formula::stack` chunks of kFormulaChunk floats.
namespace baseline {
void runFormula(const FormulaStep* steps, size_t count, const float* const* bands, size_t from,
                size_t n, float* stack, float* out);
}
namespace v3 {
void runFormula(const FormulaStep* steps, size_t count, const float* const* bands, size_t from,
                size_t n, float* stack, float* out);
}

}  // namespace zp
