#pragma once
#include <memory>

#include "outline/layer.h"

class OGRGeometry;

namespace zp {

/// Adds the polygons and points of a geometry to a shape; lines are left out, arcs are drawn as
/// lines. Nothing for nullptr.
void addGeometry(const OGRGeometry* geometry, Shape& shape);
/// The first point of a shape that has points, else its polygons.
std::unique_ptr<OGRGeometry> toGeometry(const Shape& shape);

}  // namespace zp
