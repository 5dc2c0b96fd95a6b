#pragma once
#include <filesystem>

#include "legend/legend.h"
#include "mapping/cluster_method.h"
#include "mapping/pixel_sample.h"

namespace zp {

/// Clusters of some features, with what is needed to put pixels into them.
struct ClusterModel {
  std::vector<std::string> features;  // their names
  Standard scale;
  Clusters clusters;  // on that scale
  size_t asked = 0;
  size_t pixels = 0;  // they were found from
  /// In the unit of the feature.
  double mean(size_t cluster, size_t feature) const {
    return scale.back(clusters.mean(cluster)[feature], feature);
  }
};

/// Finds clusters. `settings`: what differs from the start. Error: settings that do not fit, no
/// pixel with values.
ClusterModel findClusters(const FeatureReader& reader, const ClusterMethod& method,
                          const Json& settings = Json::object(),
                          const Progress& progress = Progress());

/// Puts every pixel into its nearest cluster and writes them as a class map at `temporary`, coded
/// from 1 by falling size, "Cluster 1" and so on. The clusters of the model are brought into that
/// order and have these sizes then; one that no pixel is nearest to is left out.
void makeClusterMap(const FeatureReader& reader, ClusterModel& model,
                    const std::filesystem::path& temporary, const Progress& progress = Progress());

/// {clusters[{code pixels mean}] within_sum_of_squares iterations features asked found_from}, of a
/// model whose map was made.
Json toJson(const ClusterModel& model);

}  // namespace zp
