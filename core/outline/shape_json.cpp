#include "outline/shape_json.h"

namespace zp {

Json shapeJson(const Shape& s) {
  Json rings = Json::array(), points = Json::array();
  for (const auto& ring : s.rings) {
    Json places = Json::array();
    for (const auto& p : ring) places.push_back({p.x, p.y});
    rings.push_back(std::move(places));
  }
  for (const auto& p : s.points) points.push_back({p.x, p.y});
  return {{"rings", rings}, {"points", points}};
}

Shape shapeFrom(const Json& j) {
  Shape s;
  for (const auto& ring : j.at("rings")) {
    s.rings.emplace_back();
    for (const auto& p : ring) s.rings.back().push_back({p.at(0), p.at(1)});
  }
  for (const auto& p : j.value("points", Json::array())) s.points.push_back({p.at(0), p.at(1)});
  return s;
}

}  // namespace zp
