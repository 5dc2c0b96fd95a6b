#pragma once
#include <vector>

namespace zp {

/// What is told of a grey-level co-occurrence matrix p (Haralick, Shanmugam and Dinstein 1973):
/// contrast Σ p (i − j)², homogeneity Σ p ÷ (1 + (i − j)²), entropy −Σ p ln p, correlation.
enum class TextureMeasure { Contrast, Homogeneity, Entropy, Correlation };

/// Values are put into so many grey levels from low to high; what lies beyond goes to the ends.
struct GreyLevels {
  int levels = 16;  // 2…32
  double low = 0, high = 1;
};

/// The measure around each pixel of a block, in the square of 2 radius + 1 pixels as far as it lies
/// in the block: of the pairs of neighbours in all eight directions, both with a value. NaN where
/// the pixel itself is, or where there is no pair; the correlation of an even square is 1.
std::vector<float> texture(TextureMeasure measure, const std::vector<float>& values, int width,
                           int height, int radius, const GreyLevels& grey);

}  // namespace zp
