#pragma once
#include "background/latest.h"
#include "charts/feature_scatter.h"
#include "charts/histogram_stack.h"
#include "charts/tinted_grid.h"
#include "desks/training/area_table.h"
#include "desks/training/training_over.h"
#include "view/map_view.h"

namespace zp {

/// All there is to know of the training of a scene, over the whole window: of each class its curve,
/// its histograms, its areas, its spreads and how they go together, and its pixels in two features,
/// some of which can be looked up in the scene.
class SignatureSheet : public QWidget {
  Q_OBJECT
 public:
  explicit SignatureSheet(Workbench& bench);
  /// nullptr while it is being computed, or without training. It outlives what is shown of it.
  void setTraining(const Training* training);
  void open(int code);
  /// The study or its scene changed.
  void refresh();
  void forget();
  /// Everything shown has been painted.
  bool ready() const { return view_->complete() && !other_.pending(); }

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
  void fillOthers();
  void showClass();
  void showArea();
  void showEvidence();
  void showScatter();
  void showCurves();
  void showHistograms();
  void brush(const QRectF& values);
  void lookAt(size_t area);
  void compareWith(int index);
  void loadOther();
  void compared(const QString& name, const SignatureSet& set);
  void tellOther();
  void save();
  void say(const QString& sentence);

  Workbench& bench_;
  const Training* training_ = nullptr;
  Latest other_;  // signatures of another set of areas
  std::optional<SignatureSet> otherSet_;
  QString otherName_;
  std::unique_ptr<TileStore> tiles_;
  MapView* view_;
  QLabel *about_, *trouble_, *areasTitle_, *otherSaid_, *evidenceSaid_, *brushed_;
  QComboBox *others_, *x_, *y_;
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
