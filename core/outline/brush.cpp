#include "outline/brush.h"

#include <ogr_geometry.h>

#include "base/error.h"
#include "outline/ogr_shape.h"

namespace zp {

Shape brushed(const Ring& along, double width) {
  constexpr int kPerQuarter = 8;
  Shape shape;
  if (along.empty()) return shape;
  if (!(width > 0)) throw Error("A brush has a width above 0.");
  OGRLineString line;
  for (const auto& p : along) line.addPoint(p.x, p.y);
  const OGRPoint dot(along[0].x, along[0].y);
  const bool still = line.get_Length() <= 0;
  const std::unique_ptr<OGRGeometry> whole(still ? dot.Buffer(width / 2, kPerQuarter)
                                                 : line.Buffer(width / 2, kPerQuarter));
  addGeometry(whole.get(), shape);
  return shape;
}

}  // namespace zp
