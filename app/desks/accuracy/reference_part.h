#pragma once
#include "background/latest.h"
#include "desks/panel.h"

namespace zp {

/// Where the reference labels come from: given on the labelling desk, or from elsewhere (a column
/// of the points, a class map, polygons), with what stands there matched to the legend.
class ReferencePart : public QWidget {
  Q_OBJECT
 public:
  explicit ReferencePart(Workbench& bench);
  /// Of which points, and against which map.
  void refresh(const QString& points, const QString& map);
  void forget();
  bool fromElsewhere() const { return !choice().empty(); }
  /// What the step of the labels says of it.
  void addTo(Json& step) const;

 Q_SIGNALS:
  void changed();
  void trouble(const QString& sentence);

 private:
  const Product* mapAtStake() const;
  bool ofChange() const;
  Legend legend() const;  // what the labels are to be of
  std::string choice() const;
  std::string id() const;
  void fillFields();
  void ask();
  void fillMatch(const std::map<std::string, size_t>& said);

  Workbench& bench_;
  Latest job_;
  QString points_, map_, of_;  // of_: what the choices were made for
  QComboBox *from_, *field_;
  QWidget* fieldRow_;
  QLabel* told_;
  QTableWidget* match_;
  std::map<std::string, int> chosen_;  // what stands there → class, where somebody chose
};

}  // namespace zp
