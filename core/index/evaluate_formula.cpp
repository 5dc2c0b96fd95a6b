#include <algorithm>

#include "base/cpu.h"
#include "index/formula.h"
#include "index/formula_kernel.h"
#include "index/window_statistics.h"

namespace zp {
namespace {

void run(const std::vector<FormulaStep>& steps, int stackDepth,
         const std::vector<const float*>& planes, size_t n, float* out) {
  std::vector<float> stack(static_cast<size_t>(stackDepth) * kFormulaChunk);
  const auto kernel = cpuHasV3() ? &v3::runFormula : &baseline::runFormula;
  for (size_t from = 0; from < n; from += kFormulaChunk)
    kernel(steps.data(), steps.size(), planes.data(), from, std::min(kFormulaChunk, n - from),
           stack.data(), out);
}

}  // namespace

void evaluateFormula(const Formula& f, const std::vector<const float*>& bands, size_t n,
                     float* out) {
  run(f.steps, f.stack, bands, n, out);
}

void evaluateFormula(const Formula& f, const std::vector<const float*>& bands, int width,
                     int height, float* out, double scale) {
  const size_t n = static_cast<size_t>(width) * static_cast<size_t>(height);
  std::vector<const float*> planes = bands;
  std::vector<std::vector<float>> windows;
  windows.reserve(f.windows.size());  // planes point into them
  planes.resize(f.variables.size());
  for (const auto& w : f.windows) {
    std::vector<float> inner(n);
    run(w.steps, w.stack, planes, n, inner.data());
    const int radius = std::max(1, static_cast<int>(w.size / 2 * scale + 0.5));
    windows.push_back(inWindow(w.function, inner, width, height, radius));
    planes.push_back(windows.back().data());
  }
  run(f.steps, f.stack, planes, n, out);
}

}  // namespace zp
