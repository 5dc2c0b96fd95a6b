#pragma once
#include "mapping/method.h"
#include "mapping/unlikeness.h"

namespace zp {

/// Where a map is a guess, from a look at the whole of it at a reduced size.
struct MapDoubts {
  struct At {
    Place place;            // in the system of the grid
    int code = 0;           // the class it is given
    double confidence = 0;  // Classifier::support
    double unlikeness = 0;  // over its limit: above 1 it is a guess
    int other = 0;          // the class that another method gives it; 0 without one
  };
  size_t pixels = 0, unlike = 0;                     // looked at, and beyond the limit
  std::map<int, std::pair<size_t, size_t>> classes;  // both of each class
  // Worst first, spread over the whole.
  std::vector<At> leastSure, mostUnlike, disagreed;
};

/// `other`: what another method learned from the same samples; where the two are both sure of
/// different classes they disagree most. nullptr: none. `most`: of each list. Places of a list lie
/// apart by an eighth of the shorter side at least; what counts is the mean of 3 by 3 of the pixels
/// looked at, so that none is a single odd one.
MapDoubts doubtsOf(const FeatureReader& reader, const Classifier& classifier,
                   const Unlikeness& unlikeness, size_t most = 8,
                   const Progress& progress = Progress(), const Classifier* other = nullptr);

/// The worst of some scores, row by row, the highest first, none nearer to another than `apart`;
/// NaN and 0 count as nothing. Places in `scores`.
std::vector<size_t> worstApart(const std::vector<float>& scores, int width, size_t most,
                               double apart);

}  // namespace zp
