#pragma once
#include "base/progress.h"
#include "scene/band_reader.h"

namespace zp {

/// How far one layer lies off another.
struct Shift {
  double columns = 0, rows = 0;  // pixels of the reference's grid; right and down
  Place by;                      // the same in map units: add it to the layer to bring it in place
  double certainty = 0;          // height of the correlation's peak above its ground, 0…1
};

/// By phase correlation (Kuglin and Hines 1975) of up to nine squares of 256 pixels spread over the
/// common part, their spectra summed, tapered and without the upper half of the frequencies; the
/// peak found to a hundredth of a pixel from the spectrum itself (Guizar-Sicairos et al. 2008).
/// Error: no common part of 64 pixels, or no plain peak.
Shift measureShift(const BandSource& layer, const BandSource& reference,
                   const Progress& progress = Progress());

}  // namespace zp
