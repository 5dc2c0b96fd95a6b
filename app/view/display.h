#pragma once
#include <array>
#include <set>
#include <string>
#include <vector>

#include "base/json.h"
#include "outline/layer.h"

namespace zp {

/// How the values of a continuous picture become colours, and how a class picture lies over what is
/// behind it. Kept with the study for each scene and product.
struct Display {
  enum class Range { Automatic, Full, ByHand };  // automatic: all but the outer 1 % at each end
  enum class From { Whole, Area, Visible };      // where the values are looked at
  enum class Steps { None, Equal, EqualCounts };

  Range range = Range::Automatic;
  From from = From::Whole;
  Steps steps = Steps::None;
  int count = 5;                       // of steps
  std::array<float, 3> low{}, high{};  // by hand; a channel each
  std::vector<Shape> part;             // of Area and Visible
  std::string partCrs;                 // that `part` is in
  double opacity = 1;                  // of a class picture over the back one
  std::set<int> hidden;                // codes of classes
  bool lit = false;                    // only values from low[0] to high[0], in one colour

  bool plain() const { return *this == Display(); }
  bool operator==(const Display& o) const;
};

inline constexpr int kMostSteps = 12;

/// Without the shapes of a study area, which the study has.
Json toJson(const Display& display);
/// What is not right in it is left at its default.
Display displayFrom(const Json& json);

}  // namespace zp
