#pragma once
#include <QString>

#include "study/study.h"

namespace zp {

/// What a feature of a step is called for people: by its name, and the date of the scene it is of,
/// as far as it is not the step's own. `feature`: its place among those of the step.
QString titleOfFeature(const Study& study, const Json& step, size_t feature,
                       const std::string& name);

}  // namespace zp
