#pragma once
#include <filesystem>
#include <map>
#include <optional>
#include <string>
#include <vector>

#include "base/json.h"
#include "grid/raster_file.h"
#include "outline/layer.h"

namespace zp {

/// What the numbers of a scene are.
enum class ValueState {
  Unknown,
  RawCounts,
  TopOfAtmosphere,
  SurfaceReflectance,
  BackscatterPower,
  BackscatterDecibels,
  Quantity,   // a measured or modelled quantity, with its unit
  ClassCodes  // of a class map
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
  std::filesystem::path reduced{};  // our own copy for looking from afar; "" for none
};

/// One thing a quality band flags: a bit of its numbers (from 0), or a whole number.
struct QualityFlag {
  std::string name;  // "cloud"
  bool bit = true;
  int at = 0;
  bool setAside = true;  // unless one says otherwise
};

/// A band that says of every pixel what is wrong with it.
struct QualityBand {
  std::filesystem::path file;  // "" when the scene has none
  int number = 1;
  std::vector<QualityFlag> flags;
};

inline constexpr int kMostWidening = 200;  // pixels

/// How a mask is made; each part may be missing.
struct MaskRecipe {
  bool edge = false;              // the edge of zeros
  std::vector<int> bits, values;  // of the quality band
  std::vector<Shape> drawn;       // in the scene's system
  struct Seed {
    Place place;           // in the scene's system
    double tolerance = 0;  // in the scene's values
  };
  std::vector<Seed> grown;  // what is like the seed's pixel in every band, and connected with it
  int widen = 0;            // all but the edge, by so many pixels
  bool none() const {
    return !edge && bits.empty() && values.empty() && drawn.empty() && grown.empty();
  }
};

/// What one sensor saw on one date: bands on one grid. Bands of other files may lie on another;
/// they are brought onto the scene's as they are read.
struct Scene {
  std::string name;
  std::string sensor;  // id of a preset, or ""
  std::string date;    // ISO 8601, or ""
  ValueState state = ValueState::Unknown;
  Grid grid;
  std::vector<SceneBand> bands;
  size_t gridBand = 0;         // whose grid is the scene's
  Place shift;                 // a correction of where it lies, in the units of its system
  std::filesystem::path mask;  // Byte raster of MaskCode; "" when nothing is set aside
  MaskRecipe maskRecipe;       // that it was made by
  QualityBand quality;
  // Facts of a radar scene; "" and 0 when not known.
  std::string pass;      // "ascending" or "descending"
  double incidence = 0;  // degrees from the vertical, at the middle

  bool isRadar() const;
  /// Bands on another grid than the scene's.
  std::vector<size_t> bandsOnOtherGrids() const;
  /// Index of the band with a role, or -1.
  int bandOf(const std::string& role) const;
  std::vector<std::string> roles() const;
};

/// What is said of files that are opened as a scene, over what they say themselves.
struct SceneOptions {
  std::string sensor;                // preset to take roles from
  std::map<std::string, int> roles;  // role → band number, from 1
  std::optional<double> nodata;
};

/// Opens a raster file, several (each adds its bands), a folder of one-band rasters (bands in
/// natural order of the file names) or a STAC item. The scene's grid is the finest of its bands'.
/// Error: not readable, no rasters, bands that cannot be brought onto one grid, an unknown sensor
/// or role, a preset that does not fit.
Scene openScene(const std::filesystem::path& path, const SceneOptions& options = {});
Scene openScene(const std::vector<std::filesystem::path>& files, const SceneOptions& options = {});

/// A raster that is one layer under a name of its own: a product, a quantity, a class map.
Scene layerScene(const std::filesystem::path& file, const std::string& name, ValueState state);

/// Corrects where a scene lies; its mask goes with it.
void moveScene(Scene& scene, Place by);

/// Gives bands their roles; Error for an unknown role (with the nearest) or band number.
void setRoles(Scene& scene, const std::map<std::string, int>& roles);

/// A date written in a file name (2031-07-18, 20310718), as ISO; "" when there is none.
std::string dateIn(const std::string& fileName);
std::string withoutDate(const std::string& fileName);

/// By its ending: one of the open raster formats.
bool looksLikeRaster(const std::filesystem::path& file);
/// Without the small pictures that lie beside scenes: PNG and JPEG that say no place, where another
/// file does.
std::vector<std::filesystem::path> withoutPreviews(const std::vector<std::filesystem::path>& files);

/// Error when a file of the scene has a name that cannot be written down: one that is no UTF-8.
void requireNames(const Scene& scene, const std::filesystem::path& base = {});
/// With files below `base` named from there.
Json toJson(const Scene& scene, const std::filesystem::path& base);
/// Exception of the JSON library: not complete. The files need not be there.
Scene sceneFrom(const Json& json, const std::filesystem::path& base);

/// Bands by meaning: three roles as red, green, blue.
struct Composite {
  std::string id, title, shortTitle;  // "vegetation false colour", "vegetation"
  std::array<std::string, 3> roles;
};
const std::vector<Composite>& composites();
/// Those whose roles the scene has.
std::vector<Composite> compositesOf(const Scene& scene);

}  // namespace zp
