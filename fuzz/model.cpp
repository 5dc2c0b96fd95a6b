// Models: read, and asked about some pixels.
#include "mapping/model.h"

#include <limits>

#include "fuzz.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](const std::string& text) {
    const zp::Model model = zp::readModel(written("model.json", text));
    constexpr size_t kPixels = 5;
    const std::vector<float> values{0, 0.1F, -1e30F, std::numeric_limits<float>::quiet_NaN(), 1};
    const std::vector<const float*> features(model.classifier->features(), values.data());
    std::vector<uint16_t> codes(kPixels);
    std::vector<float> sure(kPixels);
    model.classifier->classify(features, kPixels, codes.data());
    zp::classifySurely(*model.classifier, features, kPixels, codes.data(), sure.data());
    zp::toJson(model);
  });
}
