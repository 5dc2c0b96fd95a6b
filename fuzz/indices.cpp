// The index book, as in data/indices.json and in a user's own.
#include "fuzz.h"
#include "index/index_book.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](const std::string& text) {
    zp::indexEntriesFrom(zp::parseJson(text, "book"), "book");
  });
}
