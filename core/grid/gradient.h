#pragma once

namespace zp {

/// How a height rises towards the east and the north, in height per metre, by the third-order
/// finite differences of Horn (1981) from the eight pixels around. `across`, `down`: metres of a
/// pixel. Row by row; NaN at the edge, and beside a pixel without height.
void gradientOf(const float* heights, int width, int height, double across, double down,
                float* east, float* north);

}  // namespace zp
