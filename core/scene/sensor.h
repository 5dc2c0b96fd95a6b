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
  std::string id, title, source;
  bool own = false;  // made by the user
  std::vector<SensorBand> bands;
  double scale = 1, offset = 0;
  std::optional<double> nodata;
  ValueState state = ValueState::Unknown;
};

/// Reads presets. Error: not the format, or which preset is wrong and how.
std::vector<Sensor> sensorsFrom(const Json& json, const std::string& name);

/// The shipped presets, then the user's own.
const std::vector<Sensor>& sensors();
/// Keeps the bands, scale, offset and state of a scene as a preset of one's own. Error: no title,
/// or one that is taken. Not for several threads at once, as dropSensor.
void keepSensor(const Scene& scene, const std::string& title);
void dropSensor(const std::string& id);
/// Why a preset does not fit the scene; empty when it does.
Sentence whyNot(const Sensor& sensor, const Scene& scene);
/// Error with the nearest known id.
const Sensor& sensor(const std::string& id);
/// Fills roles, wavelengths, state, and scale, offset and no-data where the file gives none.
/// Error saying why when the preset does not fit.
void applySensor(Scene& scene, const Sensor& sensor);

}  // namespace zp
