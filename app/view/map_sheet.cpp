#include "view/map_sheet.h"

#include <QPageSize>
#include <QPainter>
#include <QPainterPath>
#include <QPdfWriter>
#include <cmath>
#include <filesystem>

#include "base/error.h"
#include "base/outputs.h"
#include "look/look.h"
#include "view/ramp.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

constexpr int kDotsPerInch = 200;
constexpr double kMargin = 14, kColumn = 60, kGap = 7, kTicks = 6;  // mm

double dots(double millimetres) {
  return millimetres / 25.4 * kDotsPerInch;
}

QSizeF millimetresOf(const QString& paper) {
  const QSizeF upright = paper.startsWith("A3") ? QSizeF(297, 420) : QSizeF(210, 297);
  return paper.endsWith("portrait") ? upright : upright.transposed();
}

/// A face in points of the paper, whatever the screen's are.
QFont inPoints(QFont font, double points) {
  font.setPixelSize(static_cast<int>(points / 72 * kDotsPerInch + 0.5));
  return font;
}
QFont paperText(double points, QFont::Weight weight = QFont::Normal) {
  return inPoints(textFont(points, weight), points);
}

/// The piece of the map that fills a frame of so many dots and shows all of an extent.
MapPiece pieceFor(const Extent& e, QSize frame) {
  const double units =
      std::max((e.right - e.left) / frame.width(), (e.top - e.bottom) / frame.height());
  const double x = (e.left + e.right) / 2, y = (e.bottom + e.top) / 2;
  return {x - units * frame.width() / 2, y + units * frame.height() / 2, units, frame.width(),
          frame.height()};
}

/// The pictures alone, and the stretch of the one in front.
QImage paintPictures(const MapSheet& sheet, const MapPiece& piece, Stretch& stretch) {
  QImage image(piece.width, piece.height, QImage::Format_ARGB32_Premultiplied);
  image.fill(Qt::white);
  QPainter p(&image);
  PicturePainter painter;
  const bool through =
      sheet.front.kind == Picture::Kind::Classes && sheet.front.display.opacity < 1;
  if (through && !sheet.back.none())
    p.drawImage(0, 0,
                painter.paint(sheet.back, painter.overview(sheet.back).stretch, piece, sheet.crs));
  stretch = painter.overview(sheet.front).stretch;
  p.setOpacity(through ? sheet.front.display.opacity : 1);
  p.drawImage(0, 0, painter.paint(sheet.front, stretch, piece, sheet.crs));
  return image;
}

void paintShapes(QPainter& p, const MapSheet& sheet, const MapPiece& piece, const QRectF& frame) {
  p.save();
  p.setClipRect(frame);
  for (const auto& s : sheet.shapes) {
    QPainterPath path;
    path.setFillRule(Qt::OddEvenFill);
    const auto along = [&](const std::vector<Place>& places) {
      QPolygonF polygon;
      for (const auto& at : places)
        polygon << QPointF(frame.left() + (at.x - piece.left) / piece.unitsPerPixel,
                           frame.top() + (piece.top - at.y) / piece.unitsPerPixel);
      path.addPolygon(polygon);
    };
    for (const auto& ring : s.shape.rings) {
      along(ring);
      path.closeSubpath();
    }
    for (const auto& line : s.shape.lines) along(line);
    QColor fill = s.colour;
    fill.setAlpha(70);
    p.setBrush(s.filled && s.shape.lines.empty() ? QBrush(fill) : QBrush(Qt::NoBrush));
    const double width = s.width * dots(0.25);
    p.setPen(QPen(QColor(0, 0, 0, 130), width * 1.9));
    p.drawPath(path);
    QPen pen(s.colour, width);
    if (s.dashed) pen.setDashPattern({5, 4});
    p.setPen(pen);
    p.drawPath(path);
    if (s.label.isEmpty()) continue;
    p.setFont(paperText(8));
    QPainterPath label;
    const QPointF middle = path.boundingRect().center();
    label.addText(middle.x() - QFontMetricsF(p.font(), p.device()).horizontalAdvance(s.label) / 2,
                  middle.y(), p.font(), s.label);
    p.strokePath(label, QPen(QColor(255, 255, 255, 220), dots(0.7)));
    p.fillPath(label, QColor(20, 20, 20));
  }
  p.restore();
}

/// Lines of text one below the other, wrapped; tells where they end.
double paintLines(QPainter& p, const QRectF& column, double y, const QStringList& lines) {
  for (const auto& line : lines) {
    if (line.isEmpty()) continue;
    const QRectF box(column.left(), y, column.width(), column.bottom() - y);
    QRectF used;
    p.drawText(box, Qt::TextWordWrap, line, &used);
    y = used.bottom() + dots(1.2);
  }
  return y;
}

/// As large as the room allows, in the shape of what it shows.
QRectF frameFor(const Extent& e, const QRectF& room) {
  const double shape = (e.right - e.left) / (e.top - e.bottom);
  double w = room.width(), h = w / shape;
  if (h > room.height()) h = room.height(), w = h * shape;
  return {room.left(), room.top(), std::floor(w), std::floor(h)};
}

double niceStep(double span, int most) {
  const double rough = span / most, power = std::pow(10, std::floor(std::log10(rough)));
  for (const double times : {1.0, 2.0, 5.0})
    if (power * times >= rough) return power * times;
  return power * 10;
}

/// Coordinates at round values along the frame: a tick outside, a small cross inside.
void paintCoordinates(QPainter& p, const MapPiece& piece, const QRectF& frame, bool degrees) {
  const double right = piece.left + piece.unitsPerPixel * piece.width,
               bottom = piece.top - piece.unitsPerPixel * piece.height;
  const double step = niceStep(std::max(right - piece.left, piece.top - bottom), 8);
  const auto x = [&](double v) { return frame.left() + (v - piece.left) / piece.unitsPerPixel; };
  const auto y = [&](double v) { return frame.top() + (piece.top - v) / piece.unitsPerPixel; };
  const auto said = [&](double v) {
    const int decimals = std::max(0, static_cast<int>(std::ceil(-std::log10(step) - 1e-9)));
    if (degrees) return decimal(v, decimals) + "°";
    return decimals > 0 ? decimal(v, decimals) : grouped(static_cast<qulonglong>(std::abs(v)));
  };
  p.setFont(inPoints(figureFont(8), 8));
  const QFontMetricsF m(p.font(), p.device());
  const double tick = dots(1.2);
  const QPen ink(QColor(60, 60, 60), dots(0.18));
  for (double v = std::ceil(piece.left / step) * step; v < right; v += step) {
    p.setPen(ink);
    p.drawLine(QPointF(x(v), frame.bottom()), QPointF(x(v), frame.bottom() + tick));
    p.drawLine(QPointF(x(v), frame.top()), QPointF(x(v), frame.top() - tick));
    const QString text = said(v);
    const double w = m.horizontalAdvance(text);
    if (x(v) - w / 2 > frame.left() - tick && x(v) + w / 2 < frame.right() + tick)
      p.drawText(QPointF(x(v) - w / 2, frame.bottom() + tick + m.ascent()), text);
  }
  for (double v = std::ceil(bottom / step) * step; v < piece.top; v += step) {
    p.setPen(ink);
    p.drawLine(QPointF(frame.left(), y(v)), QPointF(frame.left() - tick, y(v)));
    p.drawLine(QPointF(frame.right(), y(v)), QPointF(frame.right() + tick, y(v)));
    const QString text = said(v);
    const double w = m.horizontalAdvance(text);
    if (y(v) - w / 2 < frame.top() || y(v) + w / 2 > frame.bottom()) continue;
    p.save();
    p.translate(frame.left() - tick - m.descent(), y(v) + w / 2);
    p.rotate(-90);
    p.drawText(QPointF(0, 0), text);
    p.restore();
  }
  p.setPen(QPen(QColor(255, 255, 255, 150), dots(0.2)));
  for (double v = std::ceil(piece.left / step) * step; v < right; v += step)
    for (double u = std::ceil(bottom / step) * step; u < piece.top; u += step) {
      p.drawLine(QPointF(x(v) - tick, y(u)), QPointF(x(v) + tick, y(u)));
      p.drawLine(QPointF(x(v), y(u) - tick), QPointF(x(v), y(u) + tick));
    }
}

/// The classes with their colours, and their areas where they are given; tells where it ends.
double paintClasses(QPainter& p, const MapSheet& sheet, const QRectF& column, double y) {
  p.setFont(paperText(9.5));
  const QFontMetricsF m(p.font(), p.device());
  const double row = m.height() * 1.45, sign = m.height() * 0.8;
  const Inks inks = paperInks();
  for (const auto& c : sheet.front.legend.classes) {
    if ((sheet.front.onlyClass != 0 && sheet.front.onlyClass != c.code) ||
        sheet.front.display.hidden.count(c.code) > 0)
      continue;
    p.setPen(QPen(QColor(90, 90, 90), dots(0.1)));
    p.setBrush(toQt(c.colour));
    p.drawRect(QRectF(column.left(), y + (row - sign) / 2, sign * 1.5, sign));
    const auto area = sheet.areas.find(c.code);
    const QString figure = area == sheet.areas.end() ? QString() : areaText(area->second) + " ha";
    const double room =
        column.width() - sign * 2.2 - (figure.isEmpty() ? 0 : m.horizontalAdvance(figure) + sign);
    p.setPen(inks.text);
    p.drawText(QRectF(column.left() + sign * 2.2, y, room, row), Qt::AlignVCenter,
               m.elidedText(q(c.name), Qt::ElideRight, room));
    p.drawText(QRectF(column.left(), y, column.width(), row), Qt::AlignVCenter | Qt::AlignRight,
               figure);
    y += row;
  }
  return y;
}

double paintPictureKey(QPainter& p, const MapSheet& sheet, const Stretch& stretch,
                       const QRectF& column, double y) {
  if (sheet.front.kind == Picture::Kind::Classes) return paintClasses(p, sheet, column, y);
  const Inks inks = paperInks();
  const auto rows =
      paintKey(p, sheet.front, &stretch, {column.left(), y}, false, inks, paperText(9.5));
  if (!rows.empty()) return rows.back().box.bottom();
  if (!hasRamp(sheet.front)) return y;
  paintRamp(p, sheet.front, stretch, {column.left(), y}, dots(8), inks, inPoints(figureFont(9), 9));
  return y + dots(9);
}

/// The column beside the map: what is seen, how to read it, and where it comes from.
void paintColumn(QPainter& p, const MapSheet& sheet, const Stretch& stretch, const MapPiece& piece,
                 const QRectF& column) {
  const Inks inks = paperInks();
  p.setPen(inks.text);
  p.setFont(paperText(11, QFont::DemiBold));
  double y = paintLines(p, column, column.top(), {sheet.front.title});
  p.setFont(paperText(9));
  y = paintLines(p, column, y,
                 {sheet.front.detail == sheet.date ? QString() : sheet.front.detail, sheet.date});
  y = paintPictureKey(p, sheet, stretch, column, y + dots(2)) + dots(5);
  const Place centre{piece.left + piece.unitsPerPixel * piece.width / 2,
                     piece.top - piece.unitsPerPixel * piece.height / 2};
  const bool placed = !sheet.crs.empty();
  if (placed) {
    paintNorth(p, {column.left() + dots(4), y + dots(7)}, northAngle(sheet.crs, centre), inks,
               paperText(9.5));
    paintScaleBar(p, {column.left() + dots(14), y + dots(10)}, dots(36), sheet.crs, centre,
                  piece.unitsPerPixel, inks, paperText(9.5));
  }
  // From below: the source stands where the map ends.
  const QStringList source{
      sheet.source.isEmpty() ? QString() : txt("Source: %1").arg(sheet.source),
      placed ? txt("System: %1").arg(q(crsTitle(sheet.crs))) : QString(),
      txt("Made %1 with %2")
          .arg(niceDate(QDate::currentDate().toString(Qt::ISODate).toStdString()), "Zany Patch"),
      sheet.credit};
  p.setFont(paperText(8));
  double tall = 0;
  for (const auto& line : source)
    if (!line.isEmpty())
      tall += p.fontMetrics()
                  .boundingRect(QRect(0, 0, static_cast<int>(column.width()), 100000),
                                Qt::TextWordWrap, line)
                  .height() +
              dots(1.2);
  const double top = std::max(y + dots(22), column.bottom() - tall);
  p.setPen(QPen(QColor(190, 190, 190), dots(0.15)));
  p.drawLine(QPointF(column.left(), top - dots(2)), QPointF(column.right(), top - dots(2)));
  p.setPen(QColor(60, 60, 60));
  paintLines(p, QRectF(column.left(), top, column.width(), 1e5), top, source);
}

void paintSheet(QPainter& p, const MapSheet& sheet, const QSizeF& paper) {
  const QRectF page(0, 0, dots(paper.width()), dots(paper.height()));
  p.fillRect(page, Qt::white);
  p.setRenderHint(QPainter::Antialiasing);
  const double m = dots(kMargin);
  p.setPen(paperInks().text);
  p.setFont(paperText(20, QFont::DemiBold));
  const double head = QFontMetricsF(p.font(), p.device()).height();
  p.drawText(QRectF(m, m, page.width() - 2 * m, head), Qt::AlignVCenter,
             QFontMetricsF(p.font(), p.device())
                 .elidedText(sheet.title, Qt::ElideRight, page.width() - 2 * m));
  const bool upright = paper.height() > paper.width();
  const double left = m + dots(kTicks), top = m + head + dots(4);
  // Beside the map, or below it where the paper stands upright.
  const QRectF room(left, top, page.right() - m - left - (upright ? 0 : dots(kColumn + kGap)),
                    page.bottom() - m - dots(kTicks) - top - (upright ? dots(72) : 0));
  const QRectF frame = frameFor(sheet.extent, room);
  const MapPiece piece =
      pieceFor(sheet.extent, {static_cast<int>(frame.width()), static_cast<int>(frame.height())});
  Stretch stretch;
  p.drawImage(frame.topLeft(), paintPictures(sheet, piece, stretch));
  paintShapes(p, sheet, piece, frame);
  if (!sheet.crs.empty()) paintCoordinates(p, piece, frame, crsIsGeographic(sheet.crs));
  p.setPen(QPen(QColor(40, 40, 40), dots(0.3)));
  p.setBrush(Qt::NoBrush);
  p.drawRect(frame);
  const QRectF beside(frame.right() + dots(kGap), frame.top(),
                      page.right() - m - frame.right() - dots(kGap), frame.height());
  const QRectF below(left, frame.bottom() + dots(kTicks + 4), page.right() - m - left,
                     page.bottom() - m - frame.bottom() - dots(kTicks + 4));
  QRectF column = upright ? below : beside;
  if (upright) column.setWidth(std::min(column.width(), dots(110)));
  if (!upright) column.setWidth(std::min(column.width(), dots(80)));
  paintColumn(p, sheet, stretch, piece, column);
}

}  // namespace

QStringList sheetPapers() {
  return {words("A4 landscape"), words("A4 portrait"), words("A3 landscape"), words("A3 portrait")};
}

void writeMapSheet(const MapSheet& sheet, const QString& paper, const QString& file) {
  const QSizeF size = millimetresOf(paper);
  const bool pdf = file.endsWith(".pdf", Qt::CaseInsensitive);
  if (!pdf && !file.endsWith(".png", Qt::CaseInsensitive))
    throw Error("A map is written as PNG or PDF; end its name with .png or .pdf.");
  Outputs outputs(true);
  const QString temporary = q(outputs.add(file.toStdString()).string());
  bool written = true;
  if (pdf) {
    QPdfWriter writer(temporary);
    writer.setTitle(sheet.title);
    writer.setCreator("Zany Patch");
    writer.setPageSize(QPageSize(size, QPageSize::Millimeter));
    writer.setPageMargins(QMarginsF(0, 0, 0, 0));
    writer.setResolution(kDotsPerInch);
    QPainter p;
    written = p.begin(&writer);
    if (written) paintSheet(p, sheet, size), written = p.end();
  } else {
    QImage image(static_cast<int>(dots(size.width())), static_cast<int>(dots(size.height())),
                 QImage::Format_RGB32);
    image.setDotsPerMeterX(static_cast<int>(kDotsPerInch / 0.0254));
    image.setDotsPerMeterY(image.dotsPerMeterX());
    QPainter p(&image);
    paintSheet(p, sheet, size);
    p.end();
    written = image.save(temporary, "PNG");
  }
  if (!written)
    throw Error("“{}” could not be written; choose another folder.", file.toStdString());
  outputs.commit();
}

}  // namespace zp
