// Formulas: parsed, coloured, and evaluated over a small block.
#include "index/formula.h"

#include "fuzz.h"
#include "scene/scene.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](const std::string& text) {
    zp::formulaTokens(text, zp::knownRoles());
    const zp::Formula f = zp::parseFormula(text, zp::knownRoles());
    constexpr int kWidth = 7, kHeight = 5;
    std::vector<float> values(kWidth * kHeight);
    for (size_t i = 0; i < values.size(); ++i) values[i] = static_cast<float>(i) / 10 - 1;
    const std::vector<const float*> bands(f.variables.size(), values.data());
    std::vector<float> out(values.size());
    zp::evaluateFormula(f, bands, kWidth, kHeight, out.data());
  });
}
