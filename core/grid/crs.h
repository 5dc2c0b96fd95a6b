#pragma once
#include <memory>
#include <optional>
#include <string>

#include "grid/grid.h"

namespace zp {

/// "EPSG:n" when the system carries that code, else the WKT, else "".
std::string crsName(const std::string& wkt);
/// What a person calls it; "no reference system" for an empty one.
std::string crsTitle(const std::string& wkt);
/// WKT of "EPSG:n" or of WKT; Error when it is neither.
std::string crsFrom(const std::string& definition);
bool crsIsGeographic(const std::string& wkt);
/// 1 for metres, 0.3048 for feet; of a projected system.
double crsMetresPerUnit(const std::string& wkt);
bool crsSame(const std::string& a, const std::string& b);

/// Brings places from one reference system to another, x before y in both.
class CrsChange {
 public:
  /// Error when one of them is empty or no way leads from one to the other.
  CrsChange(const std::string& from, const std::string& to);
  ~CrsChange();
  CrsChange(CrsChange&&) noexcept;
  CrsChange& operator=(CrsChange&&) noexcept;
  bool identity() const { return !change_; }
  /// False when the place has no counterpart.
  bool apply(Place& place) const;

 private:
  struct Deleter {
    void operator()(void* change) const;
  };
  std::unique_ptr<void, Deleter> change_;
};

/// What holds an extent in another system; nothing when no part of its edge has a counterpart.
std::optional<Extent> broughtTo(const Extent& extent, const std::string& from,
                                const std::string& to);

}  // namespace zp
