#pragma once
#include <QString>

#include "study/study.h"

namespace zp {

/// What a scene or product is and what made it, in words, as rich text; "" for neither.
QString factsOf(const Study& study, const QString& id);

}  // namespace zp
