#pragma once
#include <string>
#include <vector>

#include "base/parameter.h"
#include "mapping/clusters.h"

namespace zp {

/// A way to group pixels without training: what is said of it, its parameters, and how it groups.
/// One file each in mapping/groupings/, one line in mapping/groupings.cpp; the desk, zpatch and the
/// help follow.
struct ClusterMethod {
  std::string id, title, about, assumes, fails, source;
  std::vector<Parameter> parameters;
  /// `settings`: complete and checked. `start`: means drawn by k-means++, as in Clusters, perhaps
  /// fewer than asked for; `count`: of the pixels, about.
  Clusters (*find)(const ClusterPixels& pixels, std::vector<double> start, size_t count,
                   const Json& settings, const Progress& progress);
};

/// All there are, in the order they are offered in.
const std::vector<const ClusterMethod*>& clusterMethods();
/// Error with the nearest known id.
const ClusterMethod& clusterMethod(const std::string& id);

/// The parameters that every one has: clusters, from, pixels, scale, passes, seed; and then its
/// own.
std::vector<Parameter> withUsual(std::vector<Parameter> own);

}  // namespace zp
