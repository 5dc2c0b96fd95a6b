#pragma once
#include "accuracy/report.h"
#include "base/progress.h"
#include "study/judgement.h"

namespace zp {

/// What somebody says of a report.
struct ReportWish {
  std::string title;  // "": the study's name
  std::string author, remarks;
  /// The second class of mixed places counts too.
  bool either = false;
};

/// What a study has to report of a labelling: the map, how it was made, its accuracy. Error: no
/// label yet, or the labelling is not closed; the labels or their map are gone.
Report reportOf(const Study& study, const Product& labels, const ReportWish& wish,
                const Progress& progress = Progress());

/// The labelled points as a layer: what the map and the reference say of each, by code and name.
Layer pointsLayer(const Study& study, const LabelsFile& labels);
std::vector<FieldType> pointsFieldTypes(const LabelsFile& labels);

}  // namespace zp
