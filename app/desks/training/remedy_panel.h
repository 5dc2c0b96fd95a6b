#pragma once
#include "desks/training/signatures_panel.h"
#include "mapping/split_class.h"
#include "training/outliers.h"

namespace zp {

/// What can be done about the training of the chosen class: a mixed one is split in two by its own
/// clusters, pixels that lie far from the rest are dropped. Both are seen in the view before they
/// are done.
class RemedyPanel : public Panel {
  Q_OBJECT
 public:
  RemedyPanel(Workbench& bench, MapView& view, std::function<int()> chosenClass);
  /// Of splitting and of the outliers; they stand where one reads of the class.
  std::array<QPushButton*, 2> openers() const { return {openSplit_, openOutliers_}; }
  void refresh() override;
  void leave() override { close(); }
  void forget() override;
  std::vector<ViewShape> shapes() const override;
  std::vector<ViewPoint> points() const override;
  /// nullptr while not known.
  void setTraining(const Training* training);
  /// Another class is chosen.
  void showClass();

 private:
  QWidget* buildSplit();
  QWidget* buildOutliers();
  void askSplit();
  void askOutliers();
  void showSplit(const ClassSplit& split);
  void showOutliers(const std::vector<Outlier>& found);
  void acceptSplit();
  void dropPart();
  void dropOutliers();
  void close();
  void change(const std::vector<TrainingArea>& areas, const QString& what);
  QString className() const;
  const ClassHealth* health() const;
  std::string sceneCrs() const;

  MapView& view_;
  std::function<int()> chosenClass_;
  Latest job_;
  const Training* training_ = nullptr;
  QPushButton *openSplit_, *openOutliers_;
  QWidget *splitCard_, *outlierCard_;
  QLabel *splitSaid_, *outliersSaid_;
  std::array<QLineEdit*, 2> names_;
  std::array<QLabel*, 2> told_;
  QTableWidget* outlierTable_;
  QPushButton* drop_;
  std::optional<ClassSplit> split_;
  std::vector<Outlier> outliers_;
  std::shared_ptr<const Samples> samples_;  // of what is open
};

}  // namespace zp
