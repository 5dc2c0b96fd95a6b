#pragma once
#include <QColor>

#include "feature/compute_index.h"
#include "sampling/readings.h"
#include "view/picture.h"

namespace zp {

/// What is read at one place: a scene's profile and the values of pictures.
struct ProbeQuestion {
  Place place;
  std::string crs;
  std::optional<Scene> scene;
  std::vector<Picture> pictures;
};

struct ProbeAnswer {
  struct Value {
    QString label, text;
    QColor colour;
  };
  std::vector<std::pair<double, double>> profile;  // wavelength, value
  std::vector<Value> values;
};

/// Reads single pixels, from files that stay open. Belongs to one thread, which is not the
/// window's.
class ProbeReader {
 public:
  ProbeAnswer read(const ProbeQuestion& question, const Progress& progress);

 private:
  ProbeAnswer::Value valueOf(const Picture& picture, const ProbeQuestion& question);
  QString compositeText(const Picture& picture, const ProbeQuestion& question);
  float formulaAt(const Picture& picture, Place place, const std::string& crs);

  OpenRasters open_;
  QString formulaKey_;
  std::unique_ptr<FeatureReader> formula_;
};

}  // namespace zp
