#pragma once
#include "legend/legend.h"

namespace zp {

/// A colour of suggestedColour's set for a class of this name: blue for water, green for
/// forest, yellow for crops, in English or German; a darker or paler one where a class `beside` it
/// has that colour. For any other name the first from the n-th on that no class beside it has.
Colour colourFor(const std::string& className, const std::vector<LegendClass>& beside, size_t n);

/// For all of its classes, in their order.
void proposeColours(Legend& legend);

}  // namespace zp
