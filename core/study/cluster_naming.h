#pragma once
#include <map>

#include "study/study.h"
#include "training/signature.h"

namespace zp {

/// Which class each cluster is said to be: code of the cluster → class of the legend, 0 for one
/// that is left out; those not named yet are not in it.
using ClusterNaming = std::map<int, int>;

/// As it is kept with a product of kind Clusters. A class that the legend has no more is not named.
ClusterNaming namingOf(const Product& clusters, const Legend& legend);
Json toJson(const ClusterNaming& naming);

/// The step that makes a class map of it.
Json namingStep(const Product& clusters, const ClusterNaming& naming, const std::string& name);

/// The signatures of the study's classes in the features that clusters were found in. Error: no
/// training, something the clusters were made from is gone.
SignatureSet signaturesFor(const Study& study, const Product& clusters,
                           const Progress& progress = Progress());

}  // namespace zp
