#pragma once
#include "background/latest.h"
#include "charts/number_chart.h"
#include "desks/mapping/features_panel.h"
#include "desks/mapping/kept_classes.h"
#include "desks/mapping/method_choice.h"
#include "desks/panel.h"

namespace zp {

/// Clusters without training: in which features, by which method, how many. Then their naming.
class ClusteredPanel : public Panel {
  Q_OBJECT
 public:
  explicit ClusteredPanel(Workbench& bench);
  void refresh() override;
  void forget() override;
  Heading heading() const override;
  QString action() const override;
  QString missing() const override;
  Json step() const override;
  QPushButton* besideAction() const override { return name_; }
  bool offersBeside() const override { return newest() != nullptr; }

 Q_SIGNALS:
  void namingAsked(const QString& product);

 private:
  void offerMethod();
  const Product* newest() const;
  void tellNewest();
  QWidget* buildHowMany();
  /// Another question, or its answer.
  void askHowMany();
  void showHowMany(const std::vector<NumberTrial>& trials);

  FeaturesPanel* features_;
  MethodChoice* method_;
  KeptClasses* kept_;
  QCheckBox* inside_;
  Latest howManyJob_;
  QString howManyOf_;  // what the chart stands for; empty while it is closed
  QWidget* howMany_;
  NumberChart* chart_;
  QLabel* best_;
  QWidget* found_;
  QLabel *foundTitle_, *foundNote_;
  QPushButton *name_, *toBin_;
};

/// How many of the clusters have a name or are left out.
size_t namedOf(const Study& study, const Product& clusters);
/// The map made of clusters by naming them, the newest one; nullptr for none.
const Product* mapOfClusters(const Study& study, const Product& clusters);

}  // namespace zp
