#pragma once
#include <filesystem>

#include "base/progress.h"
#include "scene/scene.h"

namespace zp {

/// What a mask says of a pixel; the first that applies.
enum MaskCode : uint8_t { kUsable = 0, kEmptyEdge = 1, kFlagged = 2, kDrawn = 3, kWidened = 4 };

/// Pixels of a scene by what becomes of them. `noData`: no value in some band, mask or not.
struct MaskCount {
  size_t pixels = 0, noData = 0, edge = 0, flagged = 0, drawn = 0, widened = 0, usable = 0;
  double usableShare() const {
    return pixels == 0 ? 0 : static_cast<double>(usable) / static_cast<double>(pixels);
  }
  size_t setAside() const { return edge + flagged + drawn + widened; }
};

/// Makes the mask of a scene by a recipe, as a Byte raster of MaskCode on the scene's grid.
///   edge: stored as zero in every band and connected, by its sides, with the border of the picture
///     through such pixels; zeros inside stay valid.
///   bits, values: of the quality band, brought onto the scene's grid by the nearest pixel.
///   drawn: pixel centres inside. grown: within the tolerance of the seed's pixel in every band,
///   and
///     connected with it by their sides.
///   widen: pixels whose centre lies within so many pixels of one set aside (but for the edge).
/// Holds a byte and a few bits a pixel. Error: no quality band, a seed outside or without data.
MaskCount makeMask(const Scene& scene, const MaskRecipe& recipe,
                   const std::filesystem::path& temporary, const Progress& progress = Progress());

/// The same figures of the mask a scene has.
MaskCount countUsable(const Scene& scene, const Progress& progress = Progress());

}  // namespace zp
