#pragma once
#include <string>
#include <vector>

#include "scene/scene.h"

namespace zp {

struct SensorBand {
  std::string name, role;
  double wavelength = 0;  // centre, nm
  double width = 0;       // nm; 0 when not known
};

/// A preset of `data/sensors.json`.
struct Sensor {
  std::string id, title;
  std::vector<SensorBand> bands;
  double scale = 1, offset = 0;
  std::optional<double> nodata;
  ValueState state = ValueState::Unknown;
};

const std::vector<Sensor>& sensors();
/// Error with the nearest known id.
const Sensor& sensor(const std::string& id);
/// Fills roles, wavelengths, state, and scale, offset and no-data where the file gives none.
/// Error saying why when the preset does not fit.
void applySensor(Scene& scene, const Sensor& sensor);

}  // namespace zp
