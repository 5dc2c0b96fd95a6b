#pragma once
#include <memory>

#include "outline/layer.h"

class OGRGeometry;

namespace zp {

/// Adds the polygons, points and lines of a geometry to a shape; arcs are drawn as lines. Nothing
/// for nullptr.
void addGeometry(const OGRGeometry* geometry, Shape& shape);
/// The first point of a shape that has points, else its polygons, else its lines.
std::unique_ptr<OGRGeometry> toGeometry(const Shape& shape);

}  // namespace zp
