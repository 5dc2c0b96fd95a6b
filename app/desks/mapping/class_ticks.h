#pragma once
#include "desks/panel.h"

namespace zp {

/// The class maps of a study in a choice, the newest first.
std::vector<const Product*> classMapsOf(const Study& study);

/// Fills a choice with them; what was chosen stays, and at first it is the newest that was not made
/// by a kind of step.
void offerClassMaps(QComboBox& choice, const Study& study, const std::string& notBy);

/// The classes of a map with ticks; those that were ticked stay so while the map is the same.
class ClassTicks : public QListWidget {
 public:
  explicit ClassTicks(const QString& name, const QString& what);
  /// nullptr: none.
  void show(const Study& study, const Product* map);
  /// Codes of those that are ticked; empty where all are.
  Json codes() const;
  bool none() const { return tickedIn(*this).isEmpty(); }

 private:
  std::string of_;
};

}  // namespace zp
