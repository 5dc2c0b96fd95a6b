#include "outline/layer.h"

#include <fmt/format.h>
#include <gdal_priv.h>
#include <ogrsf_frmts.h>

#include <algorithm>
#include <atomic>
#include <cstring>
#include <fstream>

#include "base/csv.h"
#include "base/disk_space.h"
#include "base/error.h"
#include "base/outputs.h"
#include "base/text.h"
#include "grid/dataset.h"
#include "grid/gdal_start.h"
#include "outline/ogr_shape.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

Dataset openVector(const fs::path& file) {
  startGdal();
  requireLocalPath(file.string());
  std::error_code ec;
  if (!fs::exists(file, ec)) throw Error("“{}” does not exist; check the name.", file.string());
  requirePlainFile(file.string());
  const char* options[] = {"EMPTY_STRING_AS_NULL=NO", "AUTODETECT_TYPE=NO", nullptr};
  const bool csv = lowered(file.extension().string()) == ".csv";
  GdalMessages messages;
  Dataset d(static_cast<GDALDataset*>(GDALOpenEx(file.c_str(), GDAL_OF_VECTOR | GDAL_OF_READONLY,
                                                 nullptr, csv ? options : nullptr, nullptr)));
  if (!d || d->GetLayerCount() == 0)
    throw Error(
        "“{}” is not a vector layer or table that can be read; choose a "
        "GeoPackage, GeoJSON, shapefile or CSV.",
        file.string());
  return d;
}

/// "FILE:LAYER" or "FILE".
std::pair<fs::path, std::string> splitLayerName(const std::string& name) {
  std::error_code ec;
  const size_t colon = name.rfind(':');
  if (fs::exists(name, ec) || colon == std::string::npos) return {name, ""};
  return {name.substr(0, colon), name.substr(colon + 1)};
}

OGRLayer& pickLayer(GDALDataset& d, const fs::path& file, const std::string& wanted) {
  std::vector<std::string> names;
  for (int i = 0; i < d.GetLayerCount(); ++i) names.push_back(asUtf8(d.GetLayer(i)->GetName()));
  if (wanted.empty()) {
    if (names.size() > 1)
      throw Error("“{0}” has several layers ({1}); name one as {0}:LAYER.", file.string(),
                  listed(names));
    return *d.GetLayer(0);
  }
  for (int i = 0; i < d.GetLayerCount(); ++i)
    if (names[static_cast<size_t>(i)] == wanted) return *d.GetLayer(i);
  throw Error("“{}” has no layer “{}”; it has {}.{}", file.string(), wanted, listed(names),
              didYouMean(wanted, names));
}

void transform(Shape& shape, const CrsChange& change, const std::string& name) {
  if (!shape.bring(change))
    throw Error("“{}” reaches outside the reference system of the image; cut it first.", name);
}

/// GDAL passes over what is broken in a CSV.
Layer csvLayer(const fs::path& file, const std::string& crs) {
  constexpr size_t kMostRows = 1'000'000;
  requireLocalPath(file.string());
  std::error_code ec;
  if (!fs::exists(file, ec)) throw Error("“{}” does not exist; check the name.", file.string());
  requirePlainFile(file.string());
  if (!crs.empty())
    throw Error("“{}” is a table without places; read it with its coordinates first.",
                file.string());
  Layer layer;
  layer.name = file.stem().string();
  try {
    layer.table = readCsv(file, dialectOf(file), kMostRows);
  } catch (const Error& e) {
    throw Error("“{}”: {}", file.filename().string(), e.sentence());
  }
  layer.shapes.resize(layer.table.rows.size());
  return layer;
}

/// The writer whose files have this ending.
std::string driverFor(const fs::path& target) {
  startGdal();
  std::string ending = lowered(target.extension().string());
  if (ending == ".json") ending = ".geojson";
  if (ending == ".gpkg" || ending == ".geojson" || ending == ".shp" || ending == ".kml") {
    auto* manager = GetGDALDriverManager();
    for (int i = 0; i < manager->GetDriverCount(); ++i) {
      GDALDriver* driver = manager->GetDriver(i);
      const char* own = driver->GetMetadataItem(GDAL_DMD_EXTENSIONS);
      if (own == nullptr || driver->GetMetadataItem(GDAL_DCAP_VECTOR) == nullptr) continue;
      for (const auto& e : split(own, ' '))
        if ("." + e == ending) return driver->GetDescription();
    }
  }
  throw Error(
      "“{}” has an ending that names no vector format; use .gpkg, .geojson, .shp, "
      ".kml or .csv.",
      target.filename().string());
}

void writeCsvPoints(const fs::path& temporary, const Layer& layer) {
  Table t = layer.table;
  t.columns.insert(t.columns.end(), {"x", "y"});
  for (size_t i = 0; i < t.rows.size(); ++i) {
    const auto& points = layer.shapes[i].points;
    t.rows[i].push_back(points.empty() ? "" : shortest(points[0].x));
    t.rows[i].push_back(points.empty() ? "" : shortest(points[0].y));
  }
  std::ofstream out(temporary, std::ios::binary);
  out << toCsv(t);
  if (!out.flush()) throw Error(notWritten(Sentence("The table"), temporary, std::strerror(errno)));
}

}  // namespace

Extent Shape::extent() const {
  Extent e;
  bool first = true;
  const auto take = [&](Place p) {
    if (first) e = {p.x, p.y, p.x, p.y};
    first = false;
    e.include(p);
  };
  for (const auto& ring : rings)
    for (const auto& p : ring) take(p);
  for (const auto& line : lines)
    for (const auto& p : line) take(p);
  for (const auto& p : points) take(p);
  return e;
}

bool Shape::bring(const CrsChange& change) {
  bool all = true;
  const auto one = [&](Place& p) { all = change.apply(p) && all; };
  for (auto& ring : rings) std::for_each(ring.begin(), ring.end(), one);
  for (auto& line : lines) std::for_each(line.begin(), line.end(), one);
  std::for_each(points.begin(), points.end(), one);
  return all;
}

std::vector<std::pair<std::string, size_t>> layersOf(const fs::path& file) {
  const Dataset d = openVector(file);
  std::vector<std::pair<std::string, size_t>> out;
  for (int i = 0; i < d->GetLayerCount(); ++i)
    out.emplace_back(asUtf8(d->GetLayer(i)->GetName()),
                     static_cast<size_t>(std::max<GIntBig>(0, d->GetLayer(i)->GetFeatureCount())));
  return out;
}

fs::path fileOfLayer(const std::string& name) {
  return splitLayerName(name).first;
}

Layer readLayer(const std::string& name, const std::string& crs) {
  startGdal();
  const auto [file, wanted] = splitLayerName(name);
  if (lowered(file.extension().string()) == ".csv" && wanted.empty()) return csvLayer(file, crs);
  const Dataset d = openVector(file);
  OGRLayer& source = pickLayer(*d, file, wanted);
  Layer layer;
  layer.name = asUtf8(source.GetName());
  const auto* srs = source.GetSpatialRef();
  // GeoPackage says “Undefined …” for a layer whose system nobody gave.
  const bool named = srs != nullptr &&
                     std::string(srs->GetName() ? srs->GetName() : "").rfind("Undefined", 0) != 0;
  if (named) {
    char* wkt = nullptr;
    srs->exportToWkt(&wkt);
    layer.crs = asUtf8(wkt != nullptr ? wkt : "");
    CPLFree(wkt);
  }
  auto& definition = *source.GetLayerDefn();
  for (int i = 0; i < definition.GetFieldCount(); ++i)
    layer.table.columns.push_back(asUtf8(definition.GetFieldDefn(i)->GetNameRef()));
  GdalMessages messages;
  for (auto& feature : source) {
    std::vector<std::string> cells;
    for (int i = 0; i < definition.GetFieldCount(); ++i) {
      const bool real = definition.GetFieldDefn(i)->GetType() == OFTReal;
      if (!feature->IsFieldSetAndNotNull(i))
        cells.emplace_back();
      else if (real)
        cells.push_back(shortest(feature->GetFieldAsDouble(i)));
      else
        cells.push_back(asUtf8(feature->GetFieldAsString(i)));
    }
    layer.table.rows.push_back(std::move(cells));
    layer.shapes.emplace_back();
    addGeometry(feature->GetGeometryRef(), layer.shapes.back());
  }
  if (messages.failed())
    throw Error("“{}” is damaged ({}); copy it again from its source.", name, messages.last());
  if (!crs.empty()) {
    if (layer.crs.empty())
      throw Error(
          "“{}” has no reference system; give it one before using it with an "
          "image.",
          name);
    const CrsChange change(layer.crs, crs);
    if (!change.identity())
      for (auto& shape : layer.shapes) transform(shape, change, name);
    layer.crs = crs;
  }
  return layer;
}

Table readTable(const std::string& name) {
  return readLayer(name).table;
}

namespace {

Dataset createVector(const fs::path& file, const std::string& driverName,
                     const std::string& nameField = {}) {
  startGdal();
  CPLStringList options;
  // A viewer shows this field beside the place.
  if (driverName == "KML" && !nameField.empty())
    options.SetNameValue("NameField", nameField.c_str());
  GdalMessages messages;
  GDALDriver* driver = GetGDALDriverManager()->GetDriverByName(driverName.c_str());
  Dataset d(driver->Create(file.c_str(), 0, 0, 0, GDT_Unknown, options.List()));
  if (!d)
    throw Error("No file can be written in “{}”; choose another folder.",
                file.parent_path().string());
  return d;
}

/// Of its first shape.
OGRwkbGeometryType typeOf(const Layer& layer) {
  const auto first = std::find_if(layer.shapes.begin(), layer.shapes.end(),
                                  [](const Shape& s) { return !s.empty(); });
  if (first == layer.shapes.end() || !first->rings.empty()) return wkbMultiPolygon;
  return first->points.empty() ? wkbMultiLineString : wkbPoint;
}

void putLayer(Dataset d, const std::string& driverName, const fs::path& file, const Layer& layer,
              const std::vector<FieldType>& types) {
  GdalMessages messages;
  OGRSpatialReference srs;
  srs.SetAxisMappingStrategy(OAMS_TRADITIONAL_GIS_ORDER);
  if (!layer.crs.empty()) srs.SetFromUserInput(layer.crs.c_str());
  CPLStringList options;
  if (driverName == "GeoJSON") options.AddString("RFC7946=YES");
  OGRLayer* out = d->CreateLayer(layer.name.c_str(), layer.crs.empty() ? nullptr : &srs,
                                 typeOf(layer), options.List());
  if (out == nullptr) throw Error(notWritten(Sentence("The layer"), file, messages.last()));
  for (size_t i = 0; i < layer.table.columns.size(); ++i) {
    const auto type = types[i] == FieldType::Integer ? OFTInteger64
                      : types[i] == FieldType::Real  ? OFTReal
                                                     : OFTString;
    OGRFieldDefn field(layer.table.columns[i].c_str(), type);
    out->CreateField(&field);
  }
  bool written = out->StartTransaction() == OGRERR_NONE;
  for (size_t r = 0; written && r < layer.shapes.size(); ++r) {
    OGRFeature feature(out->GetLayerDefn());
    for (size_t i = 0; i < layer.table.columns.size(); ++i)
      if (!layer.table.rows[r][i].empty())
        feature.SetField(static_cast<int>(i), layer.table.rows[r][i].c_str());
    feature.SetGeometryDirectly(toGeometry(layer.shapes[r]).release());
    written = written && out->CreateFeature(&feature) == OGRERR_NONE;
  }
  written = out->CommitTransaction() == OGRERR_NONE && written;
  d.reset();
  if (messages.failed() || !written)
    throw Error(notWritten(Sentence("The layer"), file, messages.last()));
}

}  // namespace

namespace {
/// While it lives, what this thread writes says the same day: the same layer is the same bytes. The
/// day of writing is that of the file.
class SameDay {
 public:
  SameDay() { CPLSetThreadLocalConfigOption("OGR_CURRENT_DATE", "2000-01-01T00:00:00Z"); }
  ~SameDay() { CPLSetThreadLocalConfigOption("OGR_CURRENT_DATE", nullptr); }
  SameDay(const SameDay&) = delete;
  SameDay& operator=(const SameDay&) = delete;
};
}  // namespace

namespace {
/// GDAL says nothing when the disk is full while it writes a text: so it is written here, and from
/// here by ourselves.
class MemoryFile {
 public:
  explicit MemoryFile(const fs::path& target) {
    static std::atomic<int> counter{0};
    path_ = fmt::format("/vsimem/zp-{}{}", counter++, target.extension().string());
  }
  ~MemoryFile() { VSIUnlink(path_.c_str()); }
  MemoryFile(const MemoryFile&) = delete;
  MemoryFile& operator=(const MemoryFile&) = delete;
  const std::string& path() const { return path_; }
  std::string_view bytes() const {
    vsi_l_offset size = 0;
    const GByte* data = VSIGetMemFileBuffer(path_.c_str(), &size, FALSE);
    return {reinterpret_cast<const char*>(data), static_cast<size_t>(size)};
  }

 private:
  std::string path_;
};
}  // namespace

void writeLayer(const fs::path& temporary, const fs::path& target, const Layer& layer,
                const std::vector<FieldType>& types) {
  if (lowered(target.extension().string()) == ".csv") return writeCsvPoints(temporary, layer);
  const SameDay day;
  const std::string driver = driverFor(target);
  if (driver == "KML" && layer.crs.empty())
    throw Error("Without a reference system the places have no longitude and latitude for KML.");
  const auto& columns = layer.table.columns;
  const std::string first = columns.empty() ? "" : columns[0];
  if (driver != "GeoJSON" && driver != "KML")
    return putLayer(createVector(temporary, driver), driver, temporary, layer, types);
  const MemoryFile text(target);
  putLayer(createVector(text.path(), driver, first), driver, temporary, layer, types);
  writeUnseen(temporary, text.bytes());
}

std::vector<Sentence> lostIn(const fs::path& target, const Table& table) {
  constexpr size_t kName = 10, kText = 254;
  std::vector<Sentence> lost;
  if (lowered(target.extension().string()) != ".shp") return lost;
  std::vector<std::string> names;
  for (const auto& c : table.columns)
    if (c.size() > kName) names.push_back(c);
  if (!names.empty())
    lost.push_back(Sentence("A shapefile keeps {} characters of a column's name; cut are {}.",
                            kName, listed(names)));
  std::vector<std::string> texts;
  for (size_t c = 0; c < table.columns.size(); ++c)
    if (std::any_of(table.rows.begin(), table.rows.end(),
                    [&](const auto& row) { return row[c].size() > kText; }))
      texts.push_back(table.columns[c]);
  if (!texts.empty())
    lost.push_back(Sentence("A shapefile keeps {} bytes of a text; cut are some of {}.", kText,
                            listed(texts)));
  return lost;
}

void appendLayer(const fs::path& file, const Layer& layer, const std::vector<FieldType>& types) {
  startGdal();
  Dataset d;
  if (fs::exists(file))
    d.reset(static_cast<GDALDataset*>(
        GDALOpenEx(file.c_str(), GDAL_OF_VECTOR | GDAL_OF_UPDATE, nullptr, nullptr, nullptr)));
  else
    d = createVector(file, "GPKG");
  putLayer(std::move(d), "GPKG", file, layer, types);
}

std::vector<Place> placesOf(const Layer& layer) {
  std::vector<Place> places;
  for (const auto& s : layer.shapes) {
    if (s.points.empty()) throw Error("These places are not points; choose a layer of points.");
    places.push_back(s.points[0]);
  }
  return places;
}

}  // namespace zp
