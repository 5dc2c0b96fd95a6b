#pragma once
#include <vector>

#include "lines.h"

namespace haven {

/// The lie of the land: a drowned valley open to the sea in the west, with creeks that branch and
/// taper, hills around it, and low ground that a sea wall once kept dry.
struct Estuary {
  Course channel;
  std::vector<Course> creeks;
  std::vector<Place> polder;          // the ground behind the wall
  Course wall;                        // along its sea side
  std::vector<float> height;          // metres above low water, one a pixel; after the breach
  std::vector<float> creekDistance;   // metres from a creek's edge
  std::vector<float> wallDistance;    // metres from the wall's edge (the breach is open)
  std::vector<uint8_t> insidePolder;  // 1 behind the wall
};

Estuary makeEstuary();

}  // namespace haven
