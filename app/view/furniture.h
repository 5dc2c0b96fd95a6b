#pragma once
#include <QColor>
#include <QPainter>

#include "look/look.h"
#include "view/picture.h"

namespace zp {

// What stands on a picture besides its pixels: key, scale bar, north arrow. In the view and on the
// map to hand over.

struct Inks {
  QColor text, halo, box;  // box: behind a key
};
Inks viewInks();
Inks paperInks();

/// Metres a map unit at a place; 0 without a reference system.
double metresPerUnit(const std::string& crs, Place at);
/// Degrees clockwise from up to where north is, at a place of the map; 0 where that is not known.
double northAngle(const std::string& crs, Place at);

/// With its lower left corner at `at`; a bar of at most `most` pixels.
void paintScaleBar(QPainter& p, QPointF at, double most, const std::string& crs, Place centre,
                   double unitsPerPixel, const Inks& inks, const QFont& font = textFont(9.5));
void paintNorth(QPainter& p, QPointF middle, double degrees, const Inks& inks,
                const QFont& font = textFont(9.5));

struct KeyRow {
  QRectF box;
  int code = 0;  // of a class; 0 for a step
};
/// The classes of a class picture, or the steps of a classed one, in a box whose upper left corner
/// (or right, `atRight`) is `corner`. What is hidden is dim.
std::vector<KeyRow> paintKey(QPainter& p, const Picture& picture, const Stretch* stretch,
                             QPointF corner, bool atRight, const Inks& inks,
                             const QFont& font = textFont(9.5));
/// The ramp of a continuous picture with its ends, `height` high; tells its width.
double paintRamp(QPainter& p, const Picture& picture, const Stretch& stretch, QPointF corner,
                 double height, const Inks& inks, const QFont& font = figureFont(9));
/// Whether a picture has a ramp of colours to explain.
bool hasRamp(const Picture& picture);

}  // namespace zp
