#include "mapping/drawn_pixels.h"

#include "base/words.h"

namespace zp {

Parameter pixelsOfAClass(const std::string& about, int initial) {
  return {.id = "pixels",
          .title = words("Pixels of a class"),
          .about = about,
          .type = Parameter::Type::Whole,
          .initial = initial,
          .lowest = 10,
          .highest = 20000};
}

Parameter seedOfTheDraw() {
  return {.id = "seed",
          .title = words("Seed"),
          .about = words("The same seed draws the same, and so makes the same map."),
          .type = Parameter::Type::Whole,
          .initial = 1,
          .lowest = 0,
          .highest = 1e9,
          .seldom = true};
}

}  // namespace zp
