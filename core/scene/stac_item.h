#pragma once
#include <filesystem>

#include "scene/scene.h"

namespace zp {

/// A scene from a local STAC item (1.0): bands in the order of its assets, roles and wavelengths
/// from `eo:bands`, no-data, scale and offset from `raster:bands`, the date from `datetime`, what a
/// quality band flags from `classification:bitfields` or `classification:classes`, pass and
/// incidence of radar from `sat:orbit_state` and `view:incidence_angle`. Source: SpatioTemporal
/// Asset Catalog specification 1.0 and these extensions of it.
Scene openStacItem(const std::filesystem::path& item);
/// The same for an item that is read already; its assets lie relative to `folder`.
Scene sceneOfStacItem(const Json& item, const std::filesystem::path& folder);

/// Where an asset or a link points to. Error: it is not on this machine.
std::filesystem::path stacFile(const std::string& href, const std::filesystem::path& folder);

/// The item of a scene; files below the folder of `item`, or beside it, are named relative to it.
Json stacItem(const Scene& scene, const std::filesystem::path& item);

}  // namespace zp
