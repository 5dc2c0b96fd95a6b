#pragma once
#include "desks/mapping/cluster_list.h"
#include "study/cluster_naming.h"

namespace zp {

/// What the board shows of clusters: by wavelength where the features are bands of a scene that
/// have one, else one feature beside the other, each over the range of its clusters. `signatures`:
/// of the classes in the same features, or nullptr.
std::vector<ClusterRow> clusterRows(const Study& study, const Product& clusters,
                                    const SignatureSet* signatures);

}  // namespace zp
