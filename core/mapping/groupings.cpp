// Every way of grouping there is, each in the file of its name.
#include "base/error.h"
#include "base/text.h"
#include "mapping/cluster_method.h"

#define ZP_GROUPINGS(of) of(kMeansGrouping) of(isodataGrouping)

namespace zp {

namespace grouped {
#define ZP_DECLARED(method) extern const ClusterMethod method;
ZP_GROUPINGS(ZP_DECLARED)
}  // namespace grouped

const std::vector<const ClusterMethod*>& clusterMethods() {
#define ZP_LISTED(method) &grouped::method,
  static const std::vector<const ClusterMethod*> all{ZP_GROUPINGS(ZP_LISTED)};
  return all;
}

const ClusterMethod& clusterMethod(const std::string& id) {
  std::vector<std::string> ids;
  for (const auto* m : clusterMethods()) {
    if (m->id == id) return *m;
    ids.push_back(m->id);
  }
  throw Error("There is no way to cluster “{}”; there are {}.{}", id, listed(ids),
              didYouMean(id, ids));
}

}  // namespace zp
