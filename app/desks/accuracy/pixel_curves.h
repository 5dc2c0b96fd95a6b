#pragma once
#include <QtCore>
#include <optional>
#include <vector>

#include "study/study.h"

namespace zp {

/// Something that scenes of several dates tell of a pixel: a role of theirs, radar in decibels, or
/// an index of the book.
struct SeasonQuantity {
  std::string id;
  QString title;
  std::string formula;  // over the roles
  std::vector<std::string> roles;
  std::vector<Scene> scenes;  // that have them, by date
};

/// Those that two or more dates tell: radar first, then the indices one looks for first.
std::vector<SeasonQuantity> seasonQuantities(const Study& study);

/// What scenes have at the place of a point: its values band by band, and through the season.
struct PixelCurves {
  struct Reflectance {
    QVector<double> along, values;
    QStringList bands;        // what they are called
    QString quantity, scene;  // what the values are, and whose
  };
  bool byWavelength = true;  // else along 1, 2, 3…, where a band of any scene has none
  std::vector<Reflectance> reflectances;  // one a scene
  QVector<double> days, season;
};

/// `place` in `crs`. For any thread. Error: a file that cannot be read.
PixelCurves curvesAt(Place place, const std::string& crs, const std::vector<Scene>& scenes,
                     const std::optional<SeasonQuantity>& season);

}  // namespace zp
