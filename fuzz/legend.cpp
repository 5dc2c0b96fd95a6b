// Legends, as JSON or as a table.
#include "fuzz.h"
#include "training/legend_file.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](const std::string& text) {
    zp::readLegendFile(written(text.starts_with("{") ? "legend.json" : "legend.csv", text));
  });
}
