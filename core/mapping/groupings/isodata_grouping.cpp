#include <algorithm>
#include <cmath>

#include "base/words.h"
#include "mapping/cluster_method.h"
#include "mapping/isodata.h"

namespace zp {
namespace grouped {
namespace {

Clusters findByIsodata(const ClusterPixels& pixels, std::vector<double> start, size_t count,
                       const Json& settings, const Progress& progress) {
  IsodataPlan plan;
  plan.wanted = settings.at("clusters");
  const double share = settings.at("smallest").get<double>() / 100;
  plan.smallest =
      std::max(size_t{1}, static_cast<size_t>(std::ceil(share * static_cast<double>(count))));
  plan.split = settings.at("split");
  plan.merge = settings.at("merge");
  plan.passes = settings.at("passes");
  return isodata(pixels, std::move(start), plan, progress);
}

}  // namespace

extern const ClusterMethod isodataGrouping{
    .id = "isodata",
    .title = words("ISODATA"),
    .about = words("As k-means, but between passes wide groups are parted, near ones joined and "
                   "small ones dissolved. How many come out is up to the data: from about half to "
                   "twice as many as asked for."),
    .assumes = words("The spreads and distances you set fit the data: groups are round and have "
                     "about that width."),
    .fails = words("With a split or merge distance that fits one part of the scene and not the "
                   "other. It may swing between parting and joining until the passes are over."),
    .source = words("Ball and Hall 1965"),
    .parameters = withUsual(
        {{.id = "split",
          .title = words("Split above"),
          .about = words("A group whose spread in its widest feature is larger may be parted. In "
                         "the spread of that feature over all pixels, unless the scale is as it "
                         "is."),
          .initial = 0.5,
          .lowest = 0},
         {.id = "merge",
          .title = words("Merge below"),
          .about = words("Two groups whose means are nearer than this are joined; in the same "
                         "unit, over all features together."),
          .initial = 0.5,
          .lowest = 0},
         {.id = "smallest",
          .title = words("Smallest group, %"),
          .about = words("Of the pixels. A group with fewer is dissolved."),
          .initial = 0.5,
          .lowest = 0,
          .highest = 50,
          .seldom = true}}),
    .find = &findByIsodata};
}  // namespace grouped
}  // namespace zp
