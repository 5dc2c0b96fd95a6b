// make-haven FOLDER: writes the demo data.
// make-haven --study FOLDER NEW-STUDY: copies the study to start from out of it.
// make-haven --demo FOLDER NEW-STUDY: archive and outlines in FOLDER, and a study to learn with.
#include <fmt/format.h>

#include <cstdio>
#include <string>

#include "base/error.h"
#include "haven.h"

int main(int argc, char** argv) {
  if (argc == 2 && std::string(argv[1]) == "--version") {
    fmt::print("make-haven {}\n", ZP_VERSION);
    return 0;
  }
  const std::string how = argc == 4 ? argv[1] : "";
  const bool folder = argc == 2 && argv[1][0] != '-';
  if (!folder && how != "--study" && how != "--demo") {
    fmt::print(stderr,
               "Usage: make-haven FOLDER | make-haven --study FOLDER NEW-STUDY | make-haven --demo "
               "FOLDER NEW-STUDY\n");
    return 2;
  }
  try {
    if (how == "--study") {
      haven::copyStudy(argv[2], argv[3]);
      return 0;
    }
    int last = -1;
    const zp::Progress progress([&](double share) {
      const int percent = static_cast<int>(share * 100);
      if (percent == last) return;
      fmt::print("Making Ondrey Haven: {} %\n", percent);
      std::fflush(stdout);
      last = percent;
    });
    if (how == "--demo") {
      haven::writeDemo(argv[2], argv[3], progress);
      return 0;
    }
    fmt::print("Checksum of all pixels: {:016x}\n", haven::writeHaven(argv[1], progress));
    return 0;
  } catch (const std::exception& e) {
    fmt::print(stderr, "The demo could not be made: {}\n", e.what());
    return 1;
  }
}
