#pragma once
#include <filesystem>
#include <vector>

#include "base/progress.h"
#include "legend/legend.h"
#include "outline/layer.h"

namespace zp {

/// What is plainly wrong in a map, by hand: the pixels whose centre lies in a shape get a class;
/// only those that have `only`, where that is not 0.
struct TouchUp {
  Shape shape;  // in the system of the map
  int code = 0, only = 0;
};

/// Writes the map with its corrections, one after the other, to `temporary`. Pixels without a class
/// stay without. `legend`: where the name and colour of a class come from that the map lacks.
/// Returns how many pixels have another class than before. Error: no class map, a class that
/// neither the map nor the legend knows.
size_t touchUp(const std::filesystem::path& map, const std::vector<TouchUp>& corrections,
               const Legend& legend, const std::filesystem::path& temporary,
               const Progress& progress = Progress());

/// {code only rings points}, and back. Error: not such.
Json toJson(const TouchUp& correction);
TouchUp touchUpFrom(const Json& json);

}  // namespace zp
