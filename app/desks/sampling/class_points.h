#pragma once
#include "desks/panel.h"

namespace zp {

/// How many points each class of a map gets: a tick, its share of the area, and a number that can
/// be given.
class ClassPoints : public QTableWidget {
  Q_OBJECT
 public:
  ClassPoints();
  /// nullptr: none. Ticks and given numbers stay while the map is the same.
  void show(const Study& study, const Product* map);
  /// Numbers are given here; a class that has none yet gets this.
  void setGiven(bool given, int count);
  /// What the plan gives, where that is not given.
  void tell(const std::map<int, size_t>& planned, const std::map<int, size_t>& asked);
  Json leftOut() const;
  Json given() const;
  void take(const Json& step);
  bool none() const;

 Q_SIGNALS:
  void classesChanged();

 private:
  int code(int row) const { return item(row, 0)->data(Qt::UserRole).toInt(); }
  bool ticked(int row) const { return item(row, 0)->checkState() == Qt::Checked; }
  void fillNumbers();

  std::string of_;  // the map, in its state
  bool given_ = false;
  std::map<int, int> numbers_;  // given, by class
};

}  // namespace zp
