#pragma once
#include "scene/scene.h"

namespace zp {

/// Files that seem to be one scene, as they would be brought in.
struct SceneDraft {
  std::string name, date;
  std::vector<std::filesystem::path> files;  // of bands, in natural order
  std::filesystem::path quality;             // a band of flags beside them; ""
  std::string sensor;                        // a preset whose names the bands carry; ""
};

/// Groups rasters into scenes: files of one band and of the same folder, name and date are one,
/// all others one each. A folder stands for the rasters in it and in the folders below, three
/// levels deep; a STAC item for itself. A file that cannot be read is a draft of its own, which
/// openDraft refuses with the reason. Error: no rasters.
std::vector<SceneDraft> groupFiles(const std::vector<std::filesystem::path>& paths);

/// The preset whose band names the scene's bands carry, with the fewest others; "" for none.
std::string guessSensor(const Scene& scene);

/// The scene of a draft, with roles by its names and its preset. Error: as for openScene.
Scene openDraft(const SceneDraft& draft);

}  // namespace zp
