#pragma once
#include <cstdint>
#include <string>
#include <vector>

#include "estuary.h"
#include "legend/legend.h"

namespace haven {

/// What grows or stands on a pixel of the truth.
enum class Cover : uint8_t {
  ClearWater,
  SiltyWater,
  Mud,
  Sand,
  LowMarsh,
  HighMarsh,
  ReedUncut,
  ReedCut,
  OsierYoung,
  OsierOld,
  WetMeadow,
  WallBank,
  FieldBare,
  FieldLeaf,
  FieldYellow,
  Broadleaf,
  Conifer,
  Roof,
  Garden,
  Road,
  Quarry
};
inline constexpr size_t kCovers = 21;

int classOf(Cover c);             // code in the legend
std::string subclassOf(Cover c);  // name
zp::Legend havenLegend();

/// A cutting compartment of reed or osier.
struct Compartment {
  int number;
  Place seed;
  bool osier, cut;
  int lastCut;     // year
  int waterLevel;  // cm above ground
  std::vector<Place> outline;
};

/// Gradual differences inside a cover, about −1…1; one value a pixel.
struct Texture {
  std::vector<float> moisture, age, grain;
};

struct World {
  Estuary estuary;
  Texture texture;
  std::vector<Compartment> compartments;
  std::vector<Cover> before, after;  // one a pixel
  std::vector<uint16_t> field;       // number of the field, for its own shade
};

Texture makeTexture();
World makeWorld();

}  // namespace haven
