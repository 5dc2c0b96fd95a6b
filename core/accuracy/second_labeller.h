#pragma once
#include <string>
#include <vector>

#include "accuracy/confusion_matrix.h"
#include "accuracy/labels_file.h"

namespace zp {

/// Points for a second labeller: a share (above 0, at most 1) of those of the first, of each
/// stratum alike and at least one of it, in an order of their own. Without anything the first said
/// of them, and without the map's class. Error: a share outside of that.
Labelling pointsForSecond(const Labelling& first, double share, uint64_t seed);

/// A point that two labellers see differently. `settled`: the class they settled for; 0: not yet.
struct DisputedPoint {
  int id = 0, first = 0, second = 0, settled = 0;
};

/// How far two labellers say the same, as they labelled, before anything was settled.
struct Agreement {
  ConfusionMatrix matrix;                    // rows: the first labeller; columns: the second
  Estimate share, kappa;                     // of points both labelled; intervals as of counts
  std::vector<DisputedPoint> disagreements;  // in the order of the first's points

  size_t open() const;
};

/// Error: no point that both labelled.
Agreement agreementOf(const Labelling& first, const SecondLabels& second,
                      const Legend& legend = {});

/// The class that both settled for becomes the first's label; after the closing that is a late
/// change. What each said before is kept. Error: a point that is not of both.
void settle(Labelling& first, SecondLabels& second, int id, const Label& to, const std::string& now,
            const std::string& who, const std::string& why);

}  // namespace zp
