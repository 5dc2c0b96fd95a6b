// Sensor presets, as in data/sensors.json and in a user's own.
#include "fuzz.h"
#include "scene/sensor.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](const std::string& text) {
    zp::sensorsFrom(zp::parseJson(text, "presets"), "presets");
  });
}
