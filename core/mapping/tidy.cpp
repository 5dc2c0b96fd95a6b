#include "mapping/tidy.h"

#include "base/error.h"
#include "base/outputs.h"
#include "base/words.h"
#include "grid/raster_file.h"
#include "mapping/majority.h"
#include "mapping/smallest_patch.h"

namespace zp {
namespace {

size_t differing(const std::filesystem::path& before, const std::filesystem::path& after) {
  const RasterFile one(before), other(after);
  size_t count = 0;
  std::vector<uint16_t> a, b;
  for (const Window w :
       planWindows(other.grid(), other.blockWidth(), other.blockHeight(), size_t{4} << 20)) {
    a.resize(w.pixels());
    b.resize(w.pixels());
    one.readCodes(1, w, a.data());
    other.readCodes(1, w, b.data());
    for (size_t i = 0; i < a.size(); ++i) count += a[i] != b[i] ? 1 : 0;
  }
  return count;
}

}  // namespace

const std::vector<Parameter>& tidyParameters() {
  static const std::vector<Parameter> all{
      {.id = "majority",
       .title = words("Majority in, pixels"),
       .about =
           words("Each pixel gets the class that most pixels of the square around it have: the "
                 "side of the square in pixels, an odd number. Single pixels go, edges are "
                 "smoothed."),
       .type = Parameter::Type::Whole,
       .lowest = 3,
       .highest = 101,
       .unset = words("not done")},
      {.id = "smallest",
       .title = words("Smallest patch, pixels"),
       .about = words("Patches of fewer pixels go to the neighbour they share the longest border "
                      "with. Nothing else changes."),
       .type = Parameter::Type::Whole,
       .lowest = 2,
       .highest = 1e9,
       .unset = words("not done")},
      {.id = "neighbours",
       .title = words("A patch is"),
       .about = words("Pixels of one class that touch by a side, or also those that touch by a "
                      "corner."),
       .type = Parameter::Type::Choice,
       .initial = "sides",
       .choices = {{"sides", words("joined by sides")},
                   {"corners", words("joined by corners too")}}}};
  return all;
}

size_t tidy(const std::filesystem::path& map, const Json& settings,
            const std::filesystem::path& temporary, const Progress& progress) {
  const bool vote = settings.value("majority", Json()).is_number(),
             patches = settings.value("smallest", Json()).is_number();
  if (!vote && !patches)
    throw Error("Tidying needs a window for the majority, or a smallest patch; give one.");
  if (!patches) return majority(map, settings["majority"], temporary, progress);
  const auto neighbours = settings.value("neighbours", "sides") == "sides"
                              ? PatchNeighbours::Sides
                              : PatchNeighbours::SidesAndCorners;
  if (!vote) return removeSmallPatches(map, settings["smallest"], neighbours, temporary, progress);
  Outputs aside(true);
  const auto voted = aside.add(std::filesystem::path(temporary).concat(".voted.tif"));
  majority(map, settings["majority"], voted, progress.part(0, 0.5));
  removeSmallPatches(voted, settings["smallest"], neighbours, temporary, progress.part(0.5, 0.95));
  return differing(map, temporary);
}

}  // namespace zp
