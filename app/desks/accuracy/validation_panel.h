#pragma once
#include "background/latest.h"
#include "desks/accuracy/label_book.h"
#include "desks/panel.h"

namespace zp {

/// Which points confront which map, how far their labelling is, and what came of it.
class ValidationPanel : public Panel {
  Q_OBJECT
 public:
  ValidationPanel(Workbench& bench, MapView& view, LabelBook& book);
  void refresh() override;
  void forget() override;
  Heading heading() const override;
  QString action() const override;
  /// A new labelling of the map and points above.
  Json step() const override;
  void act() override;
  std::vector<ViewPoint> points() const override;

 Q_SIGNALS:
  void labellingAsked();
  void matrixAsked();
  void planAsked(const QString& map);

 private:
  void begin();
  void buildChoices();
  void buildTables();
  void fillChoices();
  void fillFields();
  void showKnown();
  void countPoints(const Product& map, const Product& points);
  void showProgress();
  void showAccuracies();

  MapView& view_;
  LabelBook& book_;
  Latest known_;
  QComboBox *map_, *points_, *field_;
  QWidget *fieldRow_, *pointsRow_;
  QString fieldsOf_;  // the points whose columns are offered
  QLabel *state_, *advice_;
  QProgressBar* bar_;
  bool anyPoints() const { return points_->count() > 0; }

  QPushButton *fresh_, *all_, *plan_;
  QTableWidget *table_, *knownTable_;
};

}  // namespace zp
