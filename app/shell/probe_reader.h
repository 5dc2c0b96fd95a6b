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
  ProbeAnswer::Value learnedValue(const Picture& picture, const ProbeQuestion& question);
  /// Of something that is only looked at; empty outside.
  std::vector<float> featuresAt(const QString& key, const Scope& scope, const Features& features,
                                const ProbeQuestion& question);

  OpenRasters open_;
  QString featuresKey_;
  std::unique_ptr<FeatureReader> features_;
};

}  // namespace zp
