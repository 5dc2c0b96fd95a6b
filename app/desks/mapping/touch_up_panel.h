#pragma once
#include "desks/panel.h"
#include "mapping/touch_up.h"

namespace zp {

/// A map put right by hand: areas are drawn and given a class. They are kept apart from the map, in
/// a list, and taken back one by one.
class TouchUpPanel : public Panel {
  Q_OBJECT
 public:
  TouchUpPanel(Workbench& bench, MapView& view);
  void refresh() override;
  void leave() override;
  void forget() override { map_->clear(); }
  Heading heading() const override;
  QString action() const override { return txt("Touch up map"); }
  QString missing() const override;
  Json step() const override;
  std::vector<ViewShape> shapes() const override;

 private:
  /// Those drawn for the map in hand, and in which system.
  std::vector<TouchUp> corrections() const;
  void setCorrections(const std::vector<TouchUp>& all, const QString& what);
  Json kept() const;
  std::string crs() const;
  /// A correction, in a system.
  void add(const Shape& shape, const std::string& from);
  void takePatch(Place place);
  double brushWidth() const;
  void tellBrush();
  void guarded(const std::function<void()>& action);
  std::array<std::pair<QPushButton*, MapView::Tool>, 3> tools() const;
  void takeOut();
  void fillList();
  QString className(int code) const;
  std::string mapId() const { return map_->currentData().toString().toStdString(); }

  MapView& view_;
  QComboBox *map_, *becomes_, *only_;
  QPushButton *draw_, *brush_, *patch_, *out_;
  QSpinBox* width_;
  QTableWidget* list_;
};

}  // namespace zp
