// Run sheets: read and checked, not run.
#include "fuzz.h"
#include "study/run_sheet.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](const std::string& text) {
    zp::requireRunSheet(zp::parseJson(text, "sheet"), "sheet");
  });
}
