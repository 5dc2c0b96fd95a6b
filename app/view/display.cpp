#include "view/display.h"

#include <algorithm>

#include "outline/shape_json.h"

namespace zp {

bool Display::operator==(const Display& o) const {
  return toJson(*this) == toJson(o);
}

Json toJson(const Display& d) {
  Json json = {{"range", static_cast<int>(d.range)},
               {"from", static_cast<int>(d.from)},
               {"steps", static_cast<int>(d.steps)},
               {"count", d.count},
               {"opacity", d.opacity},
               {"hidden", d.hidden}};
  if (d.lit) json["lit"] = true;
  if (d.range == Display::Range::ByHand) json["low"] = d.low, json["high"] = d.high;
  if (d.from == Display::From::Visible) {
    json["part"] = Json::array();
    for (const auto& s : d.part) json["part"].push_back(shapeJson(s));
    json["part_system"] = d.partCrs;
  }
  return json;
}

Display displayFrom(const Json& j) {
  Display d;
  try {
    d.range = static_cast<Display::Range>(std::clamp(j.value("range", 0), 0, 2));
    d.from = static_cast<Display::From>(std::clamp(j.value("from", 0), 0, 2));
    d.steps = static_cast<Display::Steps>(std::clamp(j.value("steps", 0), 0, 2));
    d.count = std::clamp(j.value("count", 5), 2, kMostSteps);
    d.opacity = std::clamp(j.value("opacity", 1.0), 0.0, 1.0);
    d.hidden = j.value("hidden", std::set<int>());
    if (d.range == Display::Range::ByHand) d.low = j.at("low"), d.high = j.at("high");
    if (d.from == Display::From::Visible) {
      for (const auto& s : j.at("part")) d.part.push_back(shapeFrom(s));
      d.partCrs = j.value("part_system", "");
    }
  } catch (const std::exception&) {
    return {};
  }
  return d;
}

}  // namespace zp
