// Signatures, and maps' ways to learn from them.
#include "fuzz.h"
#include "mapping/model.h"
#include "training/signature.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](const std::string& text) {
    const zp::SignatureSet set = zp::signaturesFrom(zp::parseJson(text, "signatures"));
    for (const auto& a : set.classes)
      for (const auto& b : set.classes) zp::jeffriesMatusita(a, b);
    for (const auto* method : zp::methods())
      if (method->bySignatures) zp::modelOf(set, {method->id}, {});
  });
}
