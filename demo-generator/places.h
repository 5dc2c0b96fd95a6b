#pragma once
#include "cover.h"
#include "outline/layer.h"

namespace haven {

/// The corner of the picture in its reference system (metres, y to the north).
inline constexpr double kLeft = 406000, kTop = 5725000;
inline constexpr const char* kSystem = "EPSG:32627";

/// A place of the world as map coordinates, rounded to centimetres.
Place onMap(Place world);

zp::Layer studyArea();
zp::Layer compartmentLayer(const World& world);
/// Training areas of every class and subclass, on pure ground but for one careless area.
zp::Layer trainingLayer(const World& world);

/// Surface temperature in °C on a coarser geographic grid, row by row.
struct Temperature {
  zp::Grid grid;
  std::vector<float> values;
};
Temperature surfaceTemperature(const World& world);

}  // namespace haven
