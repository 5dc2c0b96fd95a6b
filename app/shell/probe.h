#pragma once
#include <QtWidgets>

#include "shell/latest.h"
#include "shell/workbench.h"

namespace zp {

/// The strip under the view: coordinates, the scene's profile and the values of the pictures under
/// the pointer.
class Probe : public QWidget {
  Q_OBJECT
 public:
  explicit Probe(Workbench& bench, QWidget* parent = nullptr);
  void setPictures(const Picture& front, const Picture& back);
  void look(Place place);
  void rest();
  /// What it says: the place, in degrees too, and the values under it.
  QString text() const;

 protected:
  void paintEvent(QPaintEvent*) override;

 private:
  struct Value {
    QString label, text;
    QColor colour;
  };
  struct Answer {
    std::vector<std::pair<double, double>> profile;  // wavelength, value
    std::vector<Value> values;
  };
  static Answer read(Place place, const std::string& crs, const Scene* scene,
                     const std::vector<Picture>& pictures);

  QString where() const;

  Workbench& bench_;
  Latest latest_;
  Picture front_, back_;
  Place place_;
  bool resting_ = true;
  Answer answer_;
};

}  // namespace zp
