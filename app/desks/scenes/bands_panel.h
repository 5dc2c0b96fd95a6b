#pragma once
#include "desks/panel.h"

namespace zp {

/// What the scene is: name, date, sensor, what its values are, the role and the conversion of each
/// band, no-data.
class BandsPanel : public Panel {
  Q_OBJECT
 public:
  explicit BandsPanel(Workbench& bench);
  void refresh() override;
  void leave() override { shown_.clear(); }

 private:
  void buildScene();
  void buildPreset();
  void buildBands();
  void fill(const Scene& scene);
  void fillPresets(const Scene& scene);
  void fillBands(const Scene& scene);
  QComboBox* roleBox(int band, const std::string& role);
  void setName();
  void setDate();
  void setNodata();
  void applyPreset(int index);
  void keepPreset();
  void convert(int row, int column, const QString& text);
  /// An edit of the chosen scene.
  void change(const QString& what, const std::function<void(Scene&)>& how);

  QLineEdit *name_, *date_, *nodata_;
  QComboBox *preset_, *state_;
  QPushButton *keep_, *forget_;
  QWidget* own_;
  QTableWidget* bands_;
  QString shown_;  // which scene, with all that is said of it
  bool filling_ = false;
};

}  // namespace zp
