// The file of a study; what it names is not there.
#include "study/study.h"

#include "fuzz.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](const std::string& text) {
    zp::Study study = zp::Study::read(written("study.json", text).parent_path());
    for (const auto& product : study.products) study.outOfDate(product);
    study.takeId("p");
  });
}
