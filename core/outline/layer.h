#pragma once
#include <filesystem>
#include <string>
#include <vector>

#include "base/sentence.h"
#include "base/table.h"
#include "grid/crs.h"
#include "grid/grid.h"

namespace zp {

using Ring = std::vector<Place>;  // closed: the last place joins the first

/// Polygons as rings under the even–odd rule (holes are rings too), points, or lines.
struct Shape {
  std::vector<Ring> rings;
  std::vector<Place> points;
  std::vector<std::vector<Place>> lines = {};
  bool empty() const { return rings.empty() && points.empty() && lines.empty(); }
  Extent extent() const;
  /// All places into another system; false when one has no counterpart there.
  bool bring(const CrsChange& change);
};

/// A vector layer: a shape and a row of text cells for each feature.
struct Layer {
  std::string name;
  std::string crs;  // WKT; empty when none is known
  Table table;
  std::vector<Shape> shapes;
};

/// The layers of a file, with their number of features.
std::vector<std::pair<std::string, size_t>> layersOf(const std::filesystem::path& file);

/// The file of "FILE" or "FILE:LAYER".
std::filesystem::path fileOfLayer(const std::string& name);

/// Reads "FILE" or "FILE:LAYER". A file of several layers needs the layer's name. Rows without a
/// shape are kept (a CSV has none) with an empty one. Error: missing, not a vector layer, unknown
/// layer, a layer without a reference system when `crs` asks for one.
/// With `crs` (WKT), places are brought into that system.
Layer readLayer(const std::string& name, const std::string& crs = "");

/// A table alone: of a CSV (separator found out, header needed) or of any vector layer.
Table readTable(const std::string& name);

/// The places of a layer of points, row by row; Error when a row has none.
std::vector<Place> placesOf(const Layer& layer);

/// What the cells of a column are written as.
enum class FieldType { Text, Integer, Real };

/// Writes GeoPackage, GeoJSON, shapefile, KML or CSV (points, with x and y), as the ending of
/// `target` says, to `temporary`. GeoJSON and KML are written in longitude and latitude, as their
/// standards ask.
void writeLayer(const std::filesystem::path& temporary, const std::filesystem::path& target,
                const Layer& layer, const std::vector<FieldType>& types);

/// What of a table a file with such an ending does not keep whole.
std::vector<Sentence> lostIn(const std::filesystem::path& target, const Table& table);

/// Adds a layer to a GeoPackage, which is made when missing. Not in one step: for files that nobody
/// else sees yet.
void appendLayer(const std::filesystem::path& file, const Layer& layer,
                 const std::vector<FieldType>& types);

}  // namespace zp
