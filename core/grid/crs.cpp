#include "grid/crs.h"

#include <cpl_conv.h>
#include <fmt/format.h>
#include <ogr_spatialref.h>

#include <cmath>

#include "base/error.h"
#include "grid/gdal_start.h"

namespace zp {
namespace {

OGRSpatialReference parsed(const std::string& definition) {
  startGdal();
  OGRSpatialReference srs;
  srs.SetAxisMappingStrategy(OAMS_TRADITIONAL_GIS_ORDER);
  GdalMessages quiet;
  if (!definition.empty()) srs.SetFromUserInput(definition.c_str());
  return srs;
}

}  // namespace

std::string crsName(const std::string& wkt) {
  if (wkt.empty()) return "";
  const auto srs = parsed(wkt);
  const char* authority = srs.GetAuthorityName(nullptr);
  const char* code = srs.GetAuthorityCode(nullptr);
  if (authority != nullptr && code != nullptr) return fmt::format("{}:{}", authority, code);
  return wkt;
}

std::string crsTitle(const std::string& wkt) {
  if (wkt.empty()) return "no reference system";
  const auto srs = parsed(wkt);
  const char* name = srs.GetName();
  return name != nullptr ? name : "unnamed system";
}

std::string crsFrom(const std::string& definition) {
  const auto srs = parsed(definition);
  char* wkt = nullptr;
  if (!srs.IsEmpty()) srs.exportToWkt(&wkt);
  const std::string text = wkt != nullptr ? wkt : "";
  CPLFree(wkt);
  if (text.empty())
    throw Error("“{}” is not a known reference system; give it as EPSG:n.", definition);
  return text;
}

bool crsIsGeographic(const std::string& wkt) {
  return !wkt.empty() && parsed(wkt).IsGeographic() != 0;
}

double crsMetresPerUnit(const std::string& wkt) {
  return parsed(wkt).GetLinearUnits();
}

bool crsSame(const std::string& a, const std::string& b) {
  if (a == b) return true;
  if (a.empty() || b.empty()) return false;
  const auto x = parsed(a), y = parsed(b);
  const char* loose[] = {"IGNORE_DATA_AXIS_TO_SRS_AXIS_MAPPING=YES",
                         "CRITERION=EQUIVALENT_EXCEPT_AXIS_ORDER_GEOGCRS", nullptr};
  return x.IsSame(&y, loose) != 0;
}

void CrsChange::Deleter::operator()(void* change) const {
  OGRCoordinateTransformation::DestroyCT(static_cast<OGRCoordinateTransformation*>(change));
}

CrsChange::CrsChange(const std::string& from, const std::string& to) {
  if (from == to) return;
  if (from.empty() || to.empty())
    throw Error(
        "One of the layers has no reference system; give it one before using them "
        "together.");
  if (crsSame(from, to)) return;
  const auto a = parsed(from), b = parsed(to);
  GdalMessages messages;
  change_.reset(OGRCreateCoordinateTransformation(&a, &b));
  if (!change_)
    throw Error("There is no way from {} to {}; bring the layers into one system first.",
                crsTitle(from), crsTitle(to));
}

CrsChange::~CrsChange() = default;
CrsChange::CrsChange(CrsChange&&) noexcept = default;
CrsChange& CrsChange::operator=(CrsChange&&) noexcept = default;

bool CrsChange::apply(Place& place) const {
  if (!change_) return true;
  GdalMessages quiet;
  double x = place.x, y = place.y;
  auto* change = static_cast<OGRCoordinateTransformation*>(change_.get());
  if (!change->Transform(1, &x, &y) || !std::isfinite(x) || !std::isfinite(y)) return false;
  place = {x, y};
  return true;
}

std::optional<Extent> broughtTo(const Extent& e, const std::string& from, const std::string& to) {
  const CrsChange change(from, to);
  std::optional<Extent> out;
  constexpr int kParts = 20;
  for (int i = 0; i <= kParts; ++i) {
    const double x = e.left + (e.right - e.left) * i / kParts,
                 y = e.bottom + (e.top - e.bottom) * i / kParts;
    for (Place p : {Place{x, e.bottom}, Place{x, e.top}, Place{e.left, y}, Place{e.right, y}}) {
      if (!change.apply(p)) continue;
      if (!out) out = Extent{p.x, p.y, p.x, p.y};
      out->include(p);
    }
  }
  return out;
}

}  // namespace zp
