#include "shell/outline_overlay.h"

#include "look/look.h"

namespace zp {
namespace {

std::string keyOf(const StudyOutline& o) {
  return o.layer + "|" + o.label;
}

std::vector<ViewShape> readShapes(const StudyOutline& o, const std::string& crs) {
  const Layer layer = readLayer(o.layer, crs);
  const auto& columns = layer.table.columns;
  const auto field =
      static_cast<size_t>(std::find(columns.begin(), columns.end(), o.label) - columns.begin());
  std::vector<ViewShape> shapes;
  for (size_t i = 0; i < layer.shapes.size(); ++i) {
    ViewShape v;
    v.shape = layer.shapes[i];
    if (field < columns.size()) v.label = q(layer.table.rows[i][field]);
    shapes.push_back(std::move(v));
  }
  return shapes;
}

}  // namespace

const std::vector<ViewShape>& OutlineOverlay::read(const StudyOutline& o) {
  const auto [at, fresh] = read_.try_emplace(keyOf(o));
  if (!fresh) return at->second;
  try {
    at->second = readShapes(o, view_.crs());
  } catch (const std::exception& e) {
    Q_EMIT trouble(sentenceOf(e));
  }
  return at->second;
}

std::vector<ViewShape> OutlineOverlay::shapes() {
  std::vector<ViewShape> shapes;
  if (!bench_.hasStudy()) return shapes;
  for (const auto& o : bench_.study().outlines) {
    if (!o.shown) continue;
    for (ViewShape v : read(o)) {
      v.colour = toQt(o.colour);
      v.width = o.width;
      v.filled = o.filled;
      v.dashed = o.studyArea;
      shapes.push_back(std::move(v));
    }
  }
  return shapes;
}

Extent OutlineOverlay::extentOf(const std::string& outline) const {
  Extent e{1e300, 1e300, -1e300, -1e300};
  for (const auto& o : bench_.study().outlines) {
    const auto at = read_.find(keyOf(o));
    if (o.id != outline || at == read_.end()) continue;
    for (const auto& v : at->second) {
      const Extent part = v.shape.extent();
      e.include({part.left, part.bottom});
      e.include({part.right, part.top});
    }
  }
  return e;
}

}  // namespace zp
