#pragma once
#include <filesystem>

#include "outline/layer.h"

namespace zp {

/// The outline of the patch of a class map that a place lies in, in the map's system: pixels of one
/// class that are joined by sides. Looked at is a square of 2 048 pixels around. Error: no class
/// map, a place outside it or without a class, a patch that reaches beyond the square.
Shape patchAt(const std::filesystem::path& map, Place place);

}  // namespace zp
