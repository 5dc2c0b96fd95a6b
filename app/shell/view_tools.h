#pragma once
#include "shell/display_panel.h"
#include "shell/profile_card.h"

namespace zp {

/// Asks for what a map to hand over needs to say, and writes it.
class MapSheetPanel : public FloatingPanel {
  Q_OBJECT
 public:
  MapSheetPanel(Workbench& bench, MapView& view, std::function<std::vector<ViewShape>()> shapes);
  void open();
  void write(const QString& file);

 private:
  Workbench& bench_;
  MapView& view_;
  std::function<std::vector<ViewShape>()> shapes_;
  QLineEdit *title_, *credit_, *source_;
  QComboBox* paper_;
  QCheckBox* areas_;
};

/// The small buttons on the view: how two pictures are seen together, how the front one is shown,
/// and the map to hand over.
class ViewTools : public QWidget {
  Q_OBJECT
 public:
  ViewTools(Workbench& bench, MapView& view, TileStore& tiles,
            std::function<std::vector<ViewShape>()> shapes);
  void setMode(MapView::Mode mode);
  /// Off again when it is on.
  void toggleMode(MapView::Mode mode);
  void openSheet() { sheet_->open(); }
  void openDisplay();
  void refresh() { display_->refresh(); }
  ProfileCard& profiles() { return *profiles_; }
  /// Everything that lies on the view, out of the way or back.
  void setShown(bool shown);

 Q_SIGNALS:
  void modeChosen();

 protected:
  bool eventFilter(QObject*, QEvent*) override;

 private:
  MapView& view_;
  std::map<MapView::Mode, QToolButton*> modes_;
  DisplayPanel* display_;
  MapSheetPanel* sheet_;
  ProfileCard* profiles_;
};

}  // namespace zp
