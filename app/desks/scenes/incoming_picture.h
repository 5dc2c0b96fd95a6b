#pragma once
#include "desks/scenes/incoming.h"
#include "view/picture.h"

namespace zp {

/// Of rasters that are not in the study yet: a scene as a composite of its roles, or else of its
/// first bands; a class map, once its classes are read, in the colours it will have beside those of
/// the legend, without what is left out. None without a raster.
Picture pictureOf(const Incoming& incoming, const Legend& legend);

}  // namespace zp
