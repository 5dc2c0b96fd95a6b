#pragma once
#include "desks/panel.h"

namespace zp {

/// The areas of the classes of the newest map.
class MappedAreas : public Panel {
  Q_OBJECT
 public:
  explicit MappedAreas(Workbench& bench);
  void refresh() override;

 private:
  QLabel* title_;
  QTableWidget* table_;
};

/// The newest map made on this desk, by a method, of named clusters or tidied; nullptr when there
/// is none.
const Product* newestMap(const Study& study);
/// The newest one by a trained method.
const Product* newestTrainedMap(const Study& study);

}  // namespace zp
