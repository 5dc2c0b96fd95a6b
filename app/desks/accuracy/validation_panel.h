#pragma once
#include "background/latest.h"
#include "desks/accuracy/elsewhere_part.h"
#include "desks/accuracy/label_book.h"
#include "desks/accuracy/reference_part.h"
#include "desks/accuracy/second_part.h"
#include "desks/panel.h"

namespace zp {

/// What is known of points before they are labelled.
struct KnownOfPoints {
  std::map<int, int> onClass;  // of the map
  size_t inTraining = 0;
};

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
  void typedAsked();
  void planAsked(const QString& map);

 private:
  void begin();
  void buildChoices();
  void buildTables();
  void fillChoices();
  void chooseTheirMap();
  QString freeName() const;
  void showReference();
  void showOrder();
  void showKnown();
  void countPoints(const Product& map, const Product& points);
  void showProgress();
  void showAccuracies();
  void startLabelling(LabelBook::Task task);
  bool mapSeen() const;

  MapView& view_;
  LabelBook& book_;
  Latest known_;
  QComboBox *map_, *points_, *block_;
  QSpinBox* seed_;
  QLineEdit* who_;
  QWidget *mapRow_, *pointsRow_, *orderRow_, *whoRow_;
  ReferencePart* reference_;
  ElsewherePart* elsewhere_;
  SecondPart* second_;
  QLabel *state_, *advice_, *warning_;
  QProgressBar* bar_;
  bool anyPoints() const { return points_->count() > 0; }
  /// Map, points and where the labels come from are to be chosen.
  bool starting() const { return book_.none() || again_; }
  bool again_ = false;

  QPushButton *fresh_, *all_, *plan_;
  QTableWidget *table_, *knownTable_;
};

}  // namespace zp
