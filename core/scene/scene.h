#pragma once
#include <filesystem>
#include <map>
#include <optional>
#include <string>
#include <vector>

#include "base/json.h"
#include "grid/raster_file.h"

namespace zp {

/// What the numbers of a scene are.
enum class ValueState {
  Unknown,
  RawCounts,
  TopOfAtmosphere,
  SurfaceReflectance,
  BackscatterPower,
  BackscatterDecibels
};
std::string idOf(ValueState s);     // "surface-reflectance"
std::string titleOf(ValueState s);  // "surface reflectance"
ValueState valueStateFrom(const std::string& id);
const std::vector<ValueState>& allValueStates();

/// The band roles we know: the common names of the STAC electro-optical extension, and radar
/// polarisations.
const std::vector<std::string>& knownRoles();
/// Error with the nearest known role.
void requireRole(const std::string& role);

/// One band of a scene, wherever its file is.
struct SceneBand {
  std::filesystem::path file;
  int number = 1;  // in that file
  std::string name;
  std::string role;       // "" when not known
  double wavelength = 0;  // centre, nm; 0 when not known
  RasterFile::Conversion conversion;
};

/// What one sensor saw on one date: bands on one grid.
struct Scene {
  std::string name;
  std::string sensor;  // id of a preset, or ""
  std::string date;    // ISO 8601, or ""
  ValueState state = ValueState::Unknown;
  Grid grid;
  std::vector<SceneBand> bands;
  std::filesystem::path emptyMask;  // Byte raster, 1 = empty; "" when there is none

  bool isRadar() const;
  /// Index of the band with a role, or -1.
  int bandOf(const std::string& role) const;
  std::vector<std::string> roles() const;
};

struct SceneOptions {
  std::string sensor;                // preset to take roles from
  std::map<std::string, int> roles;  // role → band number, from 1
  std::optional<double> nodata;
};

/// Opens a raster file, several (each adds its bands), a folder of one-band rasters (bands in
/// natural order of the file names) or a STAC item. Error: not readable, no rasters, bands of
/// different size or place, an unknown sensor or role, a preset that does not fit.
Scene openScene(const std::filesystem::path& path, const SceneOptions& options = {});
Scene openScene(const std::vector<std::filesystem::path>& files, const SceneOptions& options = {});

/// Gives bands their roles; Error for an unknown role (with the nearest) or band number.
void setRoles(Scene& scene, const std::map<std::string, int>& roles);

/// A date written in a file name (2031-07-18, 20310718), as ISO; "" when there is none.
std::string dateIn(const std::string& fileName);

Json toJson(const Scene& scene, const std::filesystem::path& base);
Scene sceneFrom(const Json& json, const std::filesystem::path& base);

/// Bands by meaning: three roles as red, green, blue.
struct Composite {
  std::string id, title;
  std::array<std::string, 3> roles;
};
const std::vector<Composite>& composites();
/// Those whose roles the scene has.
std::vector<Composite> compositesOf(const Scene& scene);

}  // namespace zp
