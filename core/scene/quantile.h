#pragma once
#include "base/progress.h"
#include "scene/band_reader.h"

namespace zp {

/// The value below which a share (0…1) of the valid ones of a band lies: exactly the one at rank
/// share × (n − 1), rounded down, of all n. Found by its digits in two readings, so that no more
/// than a block is held. Error: no valid value.
double quantileOf(const BandReader& reader, size_t band, double share,
                  const Progress& progress = Progress());

}  // namespace zp
