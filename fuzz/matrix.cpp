// Matrices of counts as text: read, and assessed.
#include "accuracy/typed_matrix.h"
#include "fuzz.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](const std::string& text) {
    zp::typedMatrix(text, true);
    zp::assess(zp::typedMatrix(text));
  });
}
