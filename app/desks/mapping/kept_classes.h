#pragma once
#include "desks/mapping/class_ticks.h"

namespace zp {

/// Of which map some classes stay as they are, so that only the rest is mapped or grouped.
class KeptClasses : public QWidget {
  Q_OBJECT
 public:
  /// `prefix`: of the names of its controls.
  KeptClasses(const QString& prefix, Workbench& bench);
  void refresh();
  void forget();
  /// Adds `kept` and `kept_classes`; nothing where no map is chosen. Error: no class is ticked.
  void addTo(Json& step) const;

 Q_SIGNALS:
  void changed();

 private:
  const Product* map() const;
  Workbench& bench_;
  LongChoice* of_;
  ClassTicks* classes_;
};

}  // namespace zp
