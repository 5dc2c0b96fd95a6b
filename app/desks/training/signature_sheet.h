#pragma once
#include "background/latest.h"
#include "charts/feature_scatter.h"
#include "charts/histogram_stack.h"
#include "charts/tinted_grid.h"
#include "desks/training/area_table.h"
#include "desks/training/compare_signatures.h"
#include "desks/training/training_over.h"
#include "view/map_view.h"

namespace zp {

/// All there is to know of the training, in the bands of the scene in hand or in the features that
/// a map is to be made by, over the whole window: of each class its curve, its histograms, its
/// areas, its spreads and how they go together, and its pixels in two features, some of which can
/// be looked up in the scene.
class SignatureSheet : public QWidget {
  Q_OBJECT
 public:
  /// `mapFeatures`: what a step says of the features chosen for a map.
  SignatureSheet(Workbench& bench, std::function<Json()> mapFeatures);
  /// In the bands of the scene in hand; nullptr while it is being computed, or without training. It
  /// outlives what is shown of it.
  void setTraining(const Training* training);
  void open(int code);
  /// The study or its scene changed.
  void refresh();
  void forget();
  /// Everything shown has been painted.
  bool ready() const { return view_->complete() && !other_->pending() && !job_.pending(); }

 Q_SIGNALS:
  void leaveAsked();

 protected:
  void keyPressEvent(QKeyEvent*) override;

 private:
  enum Evidence { Correlation, Covariance, Figures };
  QLayout* buildHead();
  QLayout* buildClasses();
  QLayout* buildCurves();
  QLayout* buildEvidence();
  QLayout* buildScatter();
  int chosen() const;
  void fillClasses();
  void fillFeatures();
  void fillOver();
  bool overFeatures() const { return over_->currentIndex() == 1; }
  Json stepShown() const;
  const Training* trainingOf(const Json& step);
  void showClass();
  void showArea();
  void showEvidence();
  void showScatter();
  void showCurves();
  void showHistograms();
  void brush(const QRectF& values);
  void lookAt(size_t area);
  void save();
  void say(const QString& sentence);

  Workbench& bench_;
  std::function<Json()> mapFeatures_;
  const Training* ofBands_ = nullptr;
  Latest job_;
  std::optional<Training> ofFeatures_;  // of the source asked for
  QString asked_;
  const Training* shown_ = nullptr;  // one of both
  SignatureSet titled_;              // its set, the features as people call them
  std::unique_ptr<TileStore> tiles_;
  MapView* view_;
  QLabel *about_, *trouble_, *areasTitle_, *evidenceSaid_, *brushed_;
  QComboBox *over_, *x_, *y_;
  CompareSignatures* other_;
  QTableWidget *classes_, *figures_;
  AreaTable* areas_;
  SignatureChart* curves_;
  HistogramStack* histograms_;
  QStackedWidget* evidence_;
  TintedGrid* grid_;
  std::array<QPushButton*, 3> kinds_{};
  FeatureScatter* scatter_;
};

}  // namespace zp
