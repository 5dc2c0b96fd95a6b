#pragma once
#include <map>
#include <string>
#include <vector>

#include "accuracy/confusion_matrix.h"

namespace zp {

/// What the points of a matrix say of the map, by the plan they were drawn with. Vectors are in the
/// order of the matrix's classes. What is not defined (a class nothing is mapped as, say) is NaN.
struct Assessment {
  bool weighted = false;  // by the areas of strata; else every point counts the same
  std::vector<std::vector<double>> shares;  // [map][reference], of the area or points; sum 1
  Estimate overall, kappa;
  double quantity = 0, allocation = 0;  // disagreement (Pontius and Millones 2011); sum 1 − overall
  std::vector<Estimate> users, producers;
  std::vector<Estimate> f1;    // harmonic mean of the two
  std::vector<Estimate> area;  // share of the area (or points) that is the class on the ground

  double mapShare(size_t map) const;
};

/// Every point counts the same, as of a simple random sample. Intervals: Wilson; of F1 by the share
/// it is a function of (right among those that either side says); of kappa the delta method.
Assessment assessCounts(const ConfusionMatrix& m);

/// A point with the class of the map that it was drawn in, which may be another map than is judged.
struct DrawnPoint {
  int stratum = 0, mapped = 0, reference = 0;
};

/// Points drawn class by class of a map: weighted by the area of each of these strata (Olofsson et
/// al. 2014, eq. 1–11; Stehman 2014 where the strata are those of another map). `sizes`: area of
/// each stratum, in any unit. Points with an empty side are left out. Standard errors are those of
/// the sources; intervals are as in Strata. Error: a stratum without a point, by its name in
/// `legend` where it has one there; a point of none.
Assessment assessByStrata(const ConfusionMatrix& m, const std::vector<DrawnPoint>& points,
                          const std::map<int, double>& sizes, const Legend& legend = {});

/// A convention for the strength of kappa (Landis and Koch 1977): "poor" … "almost perfect"; ""
/// where it is not defined.
std::string strengthOf(double kappa);

Json toJson(const Assessment& a);

}  // namespace zp
