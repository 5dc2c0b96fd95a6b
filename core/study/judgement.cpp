#include "study/judgement.h"

#include <algorithm>

#include "accuracy/reference_from.h"
#include "base/error.h"
#include "base/words.h"

namespace zp {

const Product* pointsOf(const Study& study, const Product& labels) {
  return study.product(labels.step.value("points", ""));
}

bool drawnPerClass(const Study& study, const Product& labels) {
  const Product* points = pointsOf(study, labels);
  return points != nullptr && points->step.value("plan", "") == "stratified";
}

std::string withoutInterval(const Study& study, const Product& labels) {
  const Product* points = pointsOf(study, labels);
  if (points == nullptr) return "";
  if (points->step.value("do", "") == "cells") return "cells";
  const std::string plan = points->step.value("plan", "");
  return plan == "by-hand" || plan == "blocks" ? plan : "";
}

size_t pointsInTraining(const Study& study, const std::vector<Place>& places,
                        const std::string& crs) {
  Layer areas{"areas", study.trainingCrs, {{"area"}, {}}, {}};
  for (const auto& area : study.training)
    if (!area.shape.rings.empty()) {
      areas.shapes.push_back(area.shape);
      areas.table.rows.push_back({"in"});
    }
  if (areas.shapes.empty() || crs.empty()) return 0;
  try {
    const auto in = saidByPolygons(places, crs, areas, "area");
    return static_cast<size_t>(std::count(in.begin(), in.end(), "in"));
  } catch (const Error&) {
    return 0;
  }
}

Judged judge(const Study& study, const Product& labels, const LabelsFile& file,
             const std::vector<DrawnPoint>& drawn, const ClassGroups& groups) {
  const auto points = groups.grouped(drawn);
  std::vector<MapAndReference> pairs;
  for (const auto& p : points) pairs.push_back({p.mapped, p.reference});
  Judged j;
  const Legend legend = groups.legend(file.legend(study.legend));
  j.matrix = confusionMatrix(pairs, legend);
  j.counts = assessCounts(j.matrix);
  if (!drawnPerClass(study, labels)) return j;
  if (file.strata.empty()) {
    j.whyNotWeighted =
        Sentence(words("The points were drawn per class of an earlier state of the map."));
    return j;
  }
  try {
    j.weighted = assessByStrata(j.matrix, points, file.strata, legend);
  } catch (const std::exception& e) {
    j.whyNotWeighted = saidBy(e);
  }
  return j;
}

}  // namespace zp
