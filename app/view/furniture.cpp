#include "view/furniture.h"

#include <QPainterPath>
#include <cmath>
#include <numbers>

#include "look/look.h"
#include "view/ramp.h"

namespace zp {

Inks viewInks() {
  QColor halo = tokens().around;
  halo.setAlpha(190);
  return {tokens().text, halo, tokens().overlay};
}

Inks paperInks() {
  return {QColor(20, 20, 20), QColor(255, 255, 255, 220), Qt::transparent};
}

double metresPerUnit(const std::string& crs, Place at) {
  if (crs.empty()) return 0;
  if (crsIsGeographic(crs)) return 111320 * std::cos(at.y * std::numbers::pi / 180);
  return crsMetresPerUnit(crs);
}

double northAngle(const std::string& crs, Place at) {
  if (crs.empty() || crsIsGeographic(crs)) return 0;
  try {
    const std::string degrees = crsFrom("EPSG:4326");
    Place north = at;
    if (!CrsChange(crs, degrees).apply(north)) return 0;
    north.y += 0.001;
    if (!CrsChange(degrees, crs).apply(north)) return 0;
    return std::atan2(north.x - at.x, north.y - at.y) * 180 / std::numbers::pi;
  } catch (const std::exception&) {
    return 0;
  }
}

void paintScaleBar(QPainter& p, QPointF at, double most, const std::string& crs, Place centre,
                   double unitsPerPixel, const Inks& inks, const QFont& font) {
  const double unit = metresPerUnit(crs, centre);
  const double perPixel = (unit > 0 ? unit : 1) * unitsPerPixel;
  double length = std::pow(10, std::floor(std::log10(most * perPixel)));
  for (const double times : {5.0, 2.0})
    if (length * times <= most * perPixel) {
      length *= times;
      break;
    }
  const double w = length / perPixel;
  const QString text = unit <= 0        ? txt("%1 pixels").arg(compact(length))
                       : length >= 1000 ? QString::number(length / 1000) + " km"
                                        : QString::number(length) + " m";
  p.setFont(font);
  const double line = p.fontMetrics().height(), y = at.y() - line;
  const double x = at.x();
  // Readable on any picture, and on the empty ground beside it.
  const QPolygonF bar(
      {QPointF(x, y - line / 3), QPointF(x, y), QPointF(x + w, y), QPointF(x + w, y - line / 3)});
  p.setBrush(Qt::NoBrush);
  p.setPen(QPen(inks.halo, line / 4));
  p.drawPolyline(bar);
  p.setPen(QPen(inks.text, line / 10));
  p.drawPolyline(bar);
  QPainterPath path;
  path.addText(x, at.y() - line * 0.1, p.font(), text);
  p.strokePath(path, QPen(inks.halo, 3));
  p.fillPath(path, inks.text);
}

void paintNorth(QPainter& p, QPointF middle, double degrees, const Inks& inks, const QFont& font) {
  p.save();
  p.setFont(font);
  const double size = p.fontMetrics().height();
  p.translate(middle);
  p.rotate(degrees);
  QPainterPath arrow;
  arrow.moveTo(0, -size * 1.3);
  arrow.lineTo(size * 0.55, size * 0.5);
  arrow.lineTo(0, size * 0.15);
  arrow.lineTo(-size * 0.55, size * 0.5);
  arrow.closeSubpath();
  p.strokePath(arrow, QPen(inks.halo, 4));
  p.fillPath(arrow, inks.text);
  QPainterPath letter;
  letter.addText(-p.fontMetrics().horizontalAdvance("N") / 2.0, size * 1.45, p.font(), "N");
  p.strokePath(letter, QPen(inks.halo, 3));
  p.fillPath(letter, inks.text);
  p.restore();
}

bool hasRamp(const Picture& picture) {
  return picture.kind == Picture::Kind::Index || picture.kind == Picture::Kind::Formula ||
         (picture.kind == Picture::Kind::Composite && picture.singleBand());
}

namespace {

struct KeyLine {
  QColor colour;
  QString text;
  int code;
  bool dim;
};

std::vector<KeyLine> linesOf(const Picture& picture, const Stretch* stretch) {
  std::vector<KeyLine> lines;
  if (picture.kind == Picture::Kind::Classes)
    for (const auto& c : picture.legend.classes)
      lines.push_back({toQt(c.colour), q(c.name), c.code,
                       (picture.onlyClass != 0 && picture.onlyClass != c.code) ||
                           picture.display.hidden.count(c.code) > 0});
  if (stretch == nullptr || stretch->edges.size() < 3 || !hasRamp(picture)) return lines;
  const auto& edges = stretch->edges;
  for (size_t i = edges.size() - 1; i > 0; --i)
    lines.push_back({QColor(colourOf(ramp(picture.ramp), *stretch, (edges[i - 1] + edges[i]) / 2)),
                     txt("%1 to %2").arg(compact(edges[i - 1]), compact(edges[i])), 0, false});
  return lines;
}

}  // namespace

std::vector<KeyRow> paintKey(QPainter& p, const Picture& picture, const Stretch* stretch,
                             QPointF corner, bool atRight, const Inks& inks, const QFont& font) {
  std::vector<KeyRow> rows;
  const auto lines = linesOf(picture, stretch);
  if (lines.empty()) return rows;
  p.setFont(font);
  const QFontMetricsF m(p.font(), p.device());
  const double row = m.height() * 1.4, sign = m.height() * 0.72;
  double wide = 0;
  for (const auto& l : lines) wide = std::max(wide, m.horizontalAdvance(l.text));
  const double w = wide + sign + row * 1.6, h = row * static_cast<double>(lines.size()) + row * 0.5;
  const QRectF box(atRight ? corner.x() - w : corner.x(), corner.y(), w, h);
  p.setPen(Qt::NoPen);
  p.setBrush(inks.box);
  p.drawRoundedRect(box, 4, 4);
  double y = box.top() + row * 0.25;
  for (const auto& l : lines) {
    p.setOpacity(l.dim ? 0.4 : 1);
    p.setBrush(l.colour);
    p.setPen(Qt::NoPen);
    p.drawRoundedRect(QRectF(box.left() + row * 0.5, y + (row - sign) / 2, sign, sign), 2, 2);
    p.setPen(inks.text);
    p.drawText(QRectF(box.left() + row * 0.95 + sign, y, wide + row * 0.5, row), Qt::AlignVCenter,
               l.text);
    p.setOpacity(1);
    rows.push_back({QRectF(box.left(), y, box.width(), row), l.code});
    y += row;
  }
  return rows;
}

double paintRamp(QPainter& p, const Picture& picture, const Stretch& stretch, QPointF corner,
                 double height, const Inks& inks, const QFont& font) {
  const auto& colours = ramp(picture.ramp);
  const double wide = height * 3.4;
  constexpr int kParts = 90;
  for (int i = 0; i < kParts; ++i) {
    const float v = stretch.low[0] +
                    (stretch.high[0] - stretch.low[0]) * (static_cast<float>(i) + 0.5f) / kParts;
    p.fillRect(QRectF(corner.x() + i * wide / kParts, corner.y() + height * 0.3,
                      wide / kParts + 0.5, height * 0.4),
               QColor(colourOf(colours, stretch, v)));
  }
  p.setFont(font);
  p.setPen(inks.text);
  const QString range = compact(stretch.low[0]) + "…" + compact(stretch.high[0]);
  const double text = QFontMetricsF(p.font(), p.device()).horizontalAdvance(range);
  p.drawText(QRectF(corner.x() + wide + height * 0.3, corner.y(), text + 10, height),
             Qt::AlignVCenter, range);
  return wide + height * 0.3 + text;
}

}  // namespace zp
