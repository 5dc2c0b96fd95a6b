#pragma once
#include "study/study.h"

namespace zp {

/// What a scene, product or outline of an id is called, in the bin too; a word for what is gone.
std::string nameIn(const Study& study, const std::string& id);

/// How a product was made, in a line without ids: "from Finch 18 Jul; random forest; 48 features;
/// seed 1".
std::string howMade(const Study& study, const Product& product);

/// "2031-11-26…" as "26 November 2031"; what is no date as it is.
std::string dayInWords(const std::string& iso);

}  // namespace zp
