#include "mapping/cluster_method.h"

#include "base/words.h"
#include "mapping/drawn_pixels.h"

namespace zp {

std::vector<Parameter> withUsual(std::vector<Parameter> own) {
  std::vector<Parameter> all{
      {.id = "clusters",
       .title = words("Clusters"),
       .about = words("How many groups are sought. Some more than there are classes is usual: "
                      "several can get the same class. More clusters are not more accuracy."),
       .type = Parameter::Type::Whole,
       .initial = 12,
       .lowest = 2,
       .highest = 255},
      {.id = "from",
       .title = words("Found from"),
       .about = words("The groups are found from a draw of the pixels, and all pixels are then put "
                      "into the nearest; or from all of them, which takes a reading of the scene "
                      "for every pass."),
       .type = Parameter::Type::Choice,
       .initial = "draw",
       .choices = {{"draw", words("a draw of pixels")}, {"all", words("all pixels")}},
       .seldom = true},
      {.id = "pixels",
       .title = words("Pixels drawn"),
       .about = words("How many pixels the draw has, about; fewer where there are not so many."),
       .type = Parameter::Type::Whole,
       .initial = 200000,
       .lowest = 1000,
       .highest = 2000000,
       .seldom = true},
      {.id = "scale",
       .title = words("Scale"),
       .about = words("Distances in the spread of each feature, so that features of other units "
                      "count alike, or in the numbers as they are."),
       .type = Parameter::Type::Choice,
       .initial = "spread",
       .choices = {{"spread", words("by the spread")}, {"none", words("as it is")}},
       .seldom = true},
      {.id = "passes",
       .title = words("Passes"),
       .about = words("It ends sooner once no group moves any more."),
       .type = Parameter::Type::Whole,
       .initial = 30,
       .lowest = 1,
       .highest = 1000,
       .seldom = true},
      seedOfTheDraw()};
  all.insert(all.begin() + 1, own.begin(), own.end());
  return all;
}

}  // namespace zp
