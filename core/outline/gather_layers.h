#pragma once
#include "outline/layer.h"

namespace zp {

/// Where the rows of one table or layer come from, and what it is.
struct GatheredFrom {
  std::string name;   // "FILE" or "FILE:LAYER"
  std::string label;  // what its rows are marked by
};

/// The rows of tables below each other: the columns of the first, then those that others have
/// besides; a row has nothing in a column that its table has not. With `mark`, a column of that
/// name comes first and holds the label. With `shapes`, the places are brought into the first's
/// system. Error: what one of them cannot be read for; `mark` is a column of one of them already.
Layer gatherLayers(const std::vector<GatheredFrom>& from, const std::string& mark, bool shapes);

}  // namespace zp
