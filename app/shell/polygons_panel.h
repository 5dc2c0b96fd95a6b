#pragma once
#include <QtWidgets>

#include "look/parts.h"
#include "shell/workbench.h"

namespace zp {

/// Which classes of a map become polygons, the smallest size and the smoothing; writes them.
class PolygonsPanel : public QWidget {
  Q_OBJECT
 public:
  explicit PolygonsPanel(Workbench& bench, QWidget* parent = nullptr);
  /// Of a class map. Nothing when it cannot be read, which the workbench tells.
  bool offer(const Product& map);

 Q_SIGNALS:
  void written();

 private:
  void fillClasses(const Legend& legend);
  void write();

  Workbench& bench_;
  std::string map_;
  QDoubleSpinBox* smallest_;
  QSpinBox* smoothing_;
  FlowLayout* classes_;
  QPushButton* write_;
};

}  // namespace zp
