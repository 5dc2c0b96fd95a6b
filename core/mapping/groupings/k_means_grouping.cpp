#include "base/words.h"
#include "mapping/cluster_method.h"
#include "mapping/k_means.h"

namespace zp {
namespace grouped {
namespace {
Clusters findByKMeans(const ClusterPixels& pixels, std::vector<double> start, size_t,
                      const Json& settings, const Progress& progress) {
  return kMeans(pixels, std::move(start), settings.at("passes"), progress);
}
}  // namespace

extern const ClusterMethod kMeansGrouping{
    .id = "k-means",
    .title = words("k-means"),
    .about = words("Puts each pixel into the group with the nearest mean and takes the means anew, "
                   "again and again, until they stay."),
    .assumes = words("Groups are about equally wide and round in all features."),
    .fails = words("When one kind of cover is much wider or much rarer than the others: the wide "
                   "one is cut into several, the rare one joins a neighbour."),
    .source = words("Lloyd 1982; start by Arthur and Vassilvitskii 2007"),
    .parameters = withUsual({}),
    .find = &findByKMeans};
}  // namespace grouped
}  // namespace zp
