#pragma once
#include "legend/change_classes.h"
#include "study/study.h"

namespace zp {

/// The map of change that a class map is, or was tidied or touched up from; nullptr for others.
const Product* changeBehind(const Study& study, const Product& map);
/// Its classes, with the colours that the study gives those of the two dates.
std::optional<ChangeClasses> changeClassesOf(const Study& study, const Product& map);

}  // namespace zp
