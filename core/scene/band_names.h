#pragma once
#include <string>
#include <vector>

namespace zp {

/// What a file or band name says of the band: "finch-2031-07-18-4-rededge" is band "rededge",
/// "tile_20310718_B04_20m" is band "b4".
struct BandName {
  std::string band;      // a role, or b and a number, lower case; "" when it says none
  std::string scene;     // the name without the band, its resolution and the date
  bool quality = false;  // a band of flags rather than of measurements
};
BandName bandNameOf(const std::string& name);

/// "B04", "band 4" and "b4" are the same.
std::string plainBand(const std::string& name);

/// The role a name ends in; "" when there is none.
std::string roleIn(const std::string& name);

}  // namespace zp
