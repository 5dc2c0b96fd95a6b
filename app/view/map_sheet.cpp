#include "view/map_sheet.h"

#include <QPageSize>
#include <QPainter>
#include <QPainterPath>
#include <QPdfWriter>
#include <filesystem>

#include "base/error.h"
#include "base/outputs.h"
#include "look/look.h"
#include "view/ramp.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

constexpr int kDotsPerInch = 200;
constexpr double kMargin = 12, kColumn = 58, kGap = 5;  // mm

double dots(double millimetres) {
  return millimetres / 25.4 * kDotsPerInch;
}

QSizeF millimetresOf(const QString& paper) {
  const QSizeF upright = paper.startsWith("A3") ? QSizeF(297, 420) : QSizeF(210, 297);
  return paper.endsWith("portrait") ? upright : upright.transposed();
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
    for (const auto& ring : s.shape.rings) {
      QPolygonF polygon;
      for (const auto& at : ring)
        polygon << QPointF(frame.left() + (at.x - piece.left) / piece.unitsPerPixel,
                           frame.top() + (piece.top - at.y) / piece.unitsPerPixel);
      path.addPolygon(polygon);
      path.closeSubpath();
    }
    QColor fill = s.colour;
    fill.setAlpha(70);
    p.setBrush(s.filled ? QBrush(fill) : QBrush(Qt::NoBrush));
    const double width = s.width * dots(0.25);
    p.setPen(QPen(QColor(0, 0, 0, 130), width * 1.9));
    p.drawPath(path);
    QPen pen(s.colour, width);
    if (s.dashed) pen.setDashPattern({5, 4});
    p.setPen(pen);
    p.drawPath(path);
    if (s.label.isEmpty()) continue;
    p.setFont(textFont(7));
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

void paintSheet(QPainter& p, const MapSheet& sheet, const QSizeF& paper) {
  const QRectF page(0, 0, dots(paper.width()), dots(paper.height()));
  p.fillRect(page, Qt::white);
  p.setRenderHint(QPainter::Antialiasing);
  const Inks inks = paperInks();
  const double m = dots(kMargin);
  p.setPen(inks.text);
  p.setFont(textFont(17, QFont::DemiBold));
  const double head = QFontMetricsF(p.font(), p.device()).height();
  p.drawText(QRectF(m, m, page.width() - 2 * m, head), Qt::AlignVCenter, sheet.title);
  p.setFont(textFont(8));
  const double foot = QFontMetricsF(p.font(), p.device()).height() * 1.5;
  const QRectF frame(m, m + head + dots(3), std::floor(page.width() - 2 * m - dots(kColumn + kGap)),
                     std::floor(page.height() - 2 * m - head - foot - dots(5)));
  const MapPiece piece =
      pieceFor(sheet.extent, {static_cast<int>(frame.width()), static_cast<int>(frame.height())});
  Stretch stretch;
  p.drawImage(frame.topLeft(), paintPictures(sheet, piece, stretch));
  paintShapes(p, sheet, piece, frame);
  p.setPen(QPen(QColor(60, 60, 60), dots(0.25)));
  p.setBrush(Qt::NoBrush);
  p.drawRect(frame);

  const QRectF column(frame.right() + dots(kGap), frame.top(), dots(kColumn), frame.height());
  double y = column.top();
  p.setPen(inks.text);
  p.setFont(textFont(10, QFont::DemiBold));
  y = paintLines(p, column, y, {sheet.front.title});
  p.setFont(textFont(8.5));
  y = paintLines(p, column, y, {sheet.front.detail == sheet.date ? QString() : sheet.front.detail});
  y += dots(1.5);
  p.setFont(textFont(9.5));
  const double inset = 0.7 * QFontMetricsF(p.font(), p.device()).height();  // of a key's signs
  const auto rows = paintKey(p, sheet.front, &stretch, {column.left() - inset, y}, false, inks);
  if (!rows.empty()) {
    y = rows.back().box.bottom() + dots(4);
  } else if (hasRamp(sheet.front)) {
    paintRamp(p, sheet.front, stretch, {column.left(), y}, dots(7), inks);
    y += dots(11);
  }
  const Place centre{piece.left + piece.unitsPerPixel * piece.width / 2,
                     piece.top - piece.unitsPerPixel * piece.height / 2};
  const bool placed = !sheet.crs.empty();
  if (placed) {
    paintNorth(p, {column.left() + dots(4), y + dots(7)}, northAngle(sheet.crs, centre), inks);
    paintScaleBar(p, {column.left() + dots(14), y + dots(9)}, dots(34), sheet.crs, centre,
                  piece.unitsPerPixel, inks);
    y += dots(18);
  }
  p.setPen(QColor(80, 80, 80));
  p.setFont(textFont(8));
  paintLines(p, column, y,
             {sheet.source.isEmpty() ? QString() : "Source: " + sheet.source,
              sheet.date.isEmpty() ? QString() : "Date: " + sheet.date,
              placed ? "System: " + q(crsTitle(sheet.crs)) : QString(),
              "Made " + QDate::currentDate().toString("d MMM yyyy") + " with Zany Patch"});
  p.drawText(QRectF(m, page.bottom() - m - foot, page.width() - 2 * m, foot),
             Qt::AlignBottom | Qt::AlignLeft, sheet.credit);
}

}  // namespace

QStringList sheetPapers() {
  return {"A4 landscape", "A4 portrait", "A3 landscape", "A3 portrait"};
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
    throw Error("“" + file.toStdString() + "” could not be written; choose another folder.");
  outputs.commit();
}

}  // namespace zp
