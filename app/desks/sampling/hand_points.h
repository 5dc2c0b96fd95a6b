#pragma once
#include "desks/panel.h"

namespace zp {

/// Points put down by hand in the view, kept with the study from click to click; each can be taken
/// back.
class HandPoints : public QWidget {
  Q_OBJECT
 public:
  HandPoints(Workbench& bench, MapView& view);
  void refresh();
  void leave();
  /// From now on clicks in the view put points down.
  void start();
  bool putting() const { return put_->isChecked(); }
  /// In a system; those that have no counterpart there are left out.
  std::vector<Place> places(const std::string& crs) const;
  size_t count() const { return kept().size(); }

 Q_SIGNALS:
  void changed();

 private:
  struct Kept {
    std::string crs;
    std::vector<Place> places;
  };
  Kept all() const;
  std::vector<Place> kept() const { return all().places; }
  void keep(const std::vector<Place>& places, const QString& what);
  void clicked(Place place);

  Workbench& bench_;
  MapView& view_;
  QPushButton *put_, *last_, *none_;
};

}  // namespace zp
