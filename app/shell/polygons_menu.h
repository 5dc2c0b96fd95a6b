#pragma once
#include "shell/workbench.h"

class QPoint;
class QWidget;

namespace zp {

/// Asks which classes of a map, the smallest size and the smoothing, then where to, and writes
/// their polygons.
void exportPolygons(Workbench& bench, const Product& map, QWidget* over, const QPoint& at);

}  // namespace zp
