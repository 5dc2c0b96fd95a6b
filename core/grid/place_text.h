#pragma once
#include <string>
#include <vector>

#include "grid/grid.h"

namespace zp {

/// A place as somebody wrote it.
struct WrittenPlace {
  Place place;           // x before y: longitude and latitude, or east and north
  bool degrees = false;  // else in the system of the map
};

/// What a text may mean as a place, the likeliest first: "3°30'15\"W 50°12'N", "N 50.2 W 3.5",
/// "-3.5 50.2" (longitude first, or the other way round), "312345 E 5612345 N", "312345, 5612345".
/// Empty when it is no place.
std::vector<WrittenPlace> placesIn(const std::string& text);

}  // namespace zp
