#include <algorithm>

#include "base/cpu.h"
#include "index/formula.h"
#include "index/formula_kernel.h"

namespace zp {

void evaluateFormula(const Formula& f, const std::vector<const float*>& bands, size_t n,
                     float* out) {
  std::vector<float> stack(static_cast<size_t>(f.stack) * kFormulaChunk);
  const auto run = cpuHasV3() ? &v3::runFormula : &baseline::runFormula;
  for (size_t from = 0; from < n; from += kFormulaChunk)
    run(f.steps.data(), f.steps.size(), bands.data(), from, std::min(kFormulaChunk, n - from),
        stack.data(), out);
}

}  // namespace zp
