#pragma once
#include <functional>

#include "base/progress.h"
#include "grid/raster_writer.h"
#include "scene/band_reader.h"

namespace zp {

/// A scene to be written as one file: what its bands are called and what its numbers mean.
struct SceneSpec {
  std::string date;
  ValueState state = ValueState::Unknown;
  std::vector<SceneBand> bands;  // name, role and wavelength
  NumberType type = NumberType::Float32;
  double scale = 1, offset = 0;  // of whole numbers: stored × scale + offset is the value
  std::map<std::string, std::string> facts;  // written into the file too
};

/// A spec for some bands of a scene.
SceneSpec specLike(const Scene& scene, const std::vector<size_t>& bands = {});

/// How the file of such a scene is written, so that openScene reads it back.
RasterSpec rasterSpecOf(const Grid& grid, const SceneSpec& scene);

/// What becomes of a block: `in` has the reader's bands over a window wider by the halo, `out` as
/// many values a band of the spec.
using SceneKernel = std::function<void(const BandBlock& in, std::vector<std::vector<float>>& out)>;

/// Writes a scene block by block to `temporary` as a GeoTIFF that openScene reads back with roles,
/// wavelengths, state and date. Values that a whole-number type cannot hold are written as no data
/// and counted in what is returned.
size_t makeScene(const BandReader& reader, const SceneSpec& spec,
                 const std::filesystem::path& temporary, const Progress& progress,
                 const SceneKernel& kernel, int halo = 0);

/// The scene such a file holds, as openScene gives it.
/// Number types by name: byte uint16 int16 float32; Error for another.
NumberType numberTypeFrom(const std::string& name);

}  // namespace zp
