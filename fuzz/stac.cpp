// STAC items and item collections; the files they name are not there.
#include "fuzz.h"
#include "scene/catalogue.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](const std::string& text) {
    for (const auto& entry : zp::itemsIn(zp::parseJson(text, "item"), "/nowhere"))
      zp::openEntry(entry);
  });
}
