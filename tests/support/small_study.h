#pragma once
#include "study/step.h"
#include "support/rasters.h"

namespace zp::testing {

/// A study in FOLDER/study with a scene of two covers and training areas.
Study makeStudy(const Folder& folder);

/// Runs the step and keeps what it made; its id.
std::string add(Study& study, const Json& step);

}  // namespace zp::testing
