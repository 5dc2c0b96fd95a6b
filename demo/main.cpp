// make-haven FOLDER: writes the demo data.
#include <fmt/format.h>

#include "base/error.h"
#include "haven.h"

int main(int argc, char** argv) {
  if (argc != 2) {
    fmt::print(stderr, "Usage: make-haven FOLDER\n");
    return 2;
  }
  try {
    int last = -1;
    const zp::Progress progress([&](double share) {
      const int percent = static_cast<int>(share * 100);
      if (percent != last) fmt::print("Making Ondrey Haven: {} %\n", percent);
      last = percent;
    });
    fmt::print("Checksum of all pixels: {:016x}\n", haven::writeHaven(argv[1], progress));
    return 0;
  } catch (const std::exception& e) {
    fmt::print(stderr, "The demo could not be made: {}\n", e.what());
    return 1;
  }
}
