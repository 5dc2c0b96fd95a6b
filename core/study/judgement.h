#pragma once
#include <optional>

#include "accuracy/class_groups.h"
#include "study/study.h"

namespace zp {

/// What labels say of a map: of the points alone, and weighted by area where they were drawn class
/// by class.
struct Judged {
  ConfusionMatrix matrix;
  Assessment counts;
  std::optional<Assessment> weighted;
  Sentence whyNotWeighted{""};  // of points that were drawn class by class
  const Assessment& first() const { return weighted ? *weighted : counts; }
};

/// The points that labels are of; nullptr when they are gone.
const Product* pointsOf(const Study& study, const Product& labels);
/// They were drawn class by class of a map.
bool drawnPerClass(const Study& study, const Product& labels);
/// How they were placed, where that gives an accuracy no interval: "by-hand"; "cells" for their
/// centres, which no chance chose; "blocks", for which an interval of single points would be too
/// narrow; else "".
std::string withoutInterval(const Study& study, const Product& labels);

/// How many places lie in the training areas as they are now; 0 where no way leads from one system
/// to the other.
size_t pointsInTraining(const Study& study, const std::vector<Place>& places,
                        const std::string& crs);

/// `points`: labels against the classes of a map, with the strata they were drawn in. `file`: what
/// is in that of `labels`. Error: no point with both sides.
Judged judge(const Study& study, const Product& labels, const LabelsFile& file,
             const std::vector<DrawnPoint>& points, const ClassGroups& groups = {});

}  // namespace zp
