// The sheets that stand in place of view and desk.
#include "shell/main_window.h"

namespace zp {

void MainWindow::connectSheets() {
  connect(&book_, &LabelBook::updated, this, [this] {
    updateTrail();
    updateOverlays();
  });
  connect(accuracyDesk_, &AccuracyDesk::labellingAsked, this, &MainWindow::openLabelling);
  connect(accuracyDesk_, &AccuracyDesk::matrixAsked, this, &MainWindow::openMatrix);
  connect(accuracyDesk_, &AccuracyDesk::planAsked, this, &MainWindow::openPlan);
  connect(plan_, &PlanSheet::leaveAsked, this, [this] { goTo(5); });
  connect(plan_, &PlanSheet::labellingAsked, this, &MainWindow::openLabelling);
  connect(labelling_, &LabellingSheet::leaveAsked, this, [this] { goTo(5); });
  connect(labelling_, &LabellingSheet::closed, this, &MainWindow::openMatrix);
  connect(mappingDesk_, &MappingDesk::namingAsked, this, &MainWindow::openNaming);
  connect(shelf_, &Shelf::namingAsked, this, &MainWindow::openNaming);
  connect(naming_, &NamingSheet::leaveAsked, this, [this] { goTo(3); });
  connect(trainingDesk_, &TrainingDesk::signaturesAsked, this, &MainWindow::openSignatures);
  connect(trainingDesk_, &TrainingDesk::trainingKnown, signatures_, &SignatureSheet::setTraining);
  connect(signatures_, &SignatureSheet::leaveAsked, this, [this] { goTo(2); });
  connect(matrix_, &MatrixSheet::leaveAsked, this, [this] { goTo(5); });
  connect(matrix_, &MatrixSheet::pointsAsked, this, [this] {
    goTo(5);
    if (const auto* m = book_.map()) showFront(q(m->id));
  });
  connect(matrix_, &MatrixSheet::labellingAsked, this, &MainWindow::openLabelling);
  connect(matrix_, &MatrixSheet::signaturesAsked, this, [this](int code) {
    goTo(2);
    openSignatures(code);
  });
  connect(matrix_, &MatrixSheet::comparisonAsked, this, &MainWindow::openComparison);
  connect(accuracyDesk_, &AccuracyDesk::typedAsked, this, &MainWindow::openTyped);
  connect(typed_, &TypedSheet::leaveAsked, this, [this] { goTo(5); });
  connect(comparison_, &ComparisonSheet::leaveAsked, this, &MainWindow::openMatrix);
  connect(comparison_, &ComparisonSheet::pointsAsked, this,
          [this](const QString& front, const QString& behind) {
            goTo(5);
            showFront(front);
            showBehind(bench_.pictureOf(behind));
          });
  connect(table_, &TableSheet::leaveAsked, this, [this] { goTo(4); });
  connect(table_, &TableSheet::tableAsked, this, &MainWindow::openTable);
  connect(table_, &TableSheet::pictureAsked, this, &MainWindow::showFront);
}

void MainWindow::openLabelling() {
  if (!book_.load() || book_.none()) return;
  stage_ = 5;
  trail_->setCurrent(5);
  shelf_->setVisible(false);
  pages_->setCurrentIndex(kLabelling);
  pages_->currentWidget()->layout()->activate();
  labelling_->open();
  // Once the panes have their size.
  QTimer::singleShot(0, labelling_, &LabellingSheet::showPoint);
}

/// Not before the labelling is closed: it tells what the map says.
void MainWindow::openMatrix() {
  if (book_.blind()) return goTo(5);
  stage_ = 5;
  trail_->setCurrent(5);
  shelf_->setVisible(true);
  pages_->setCurrentIndex(kMatrix);
  matrix_->open();
  updateTrail();
}

void MainWindow::openTyped() {
  goTo(5);
  shelf_->setVisible(false);
  pages_->setCurrentIndex(kTyped);
  typed_->open();
}

void MainWindow::openPlan(const QString& map) {
  goTo(5);
  shelf_->setVisible(false);
  pages_->setCurrentIndex(kPlan);
  pages_->currentWidget()->layout()->activate();
  const Json pace = bench_.place("label-pace");
  plan_->open(map, pace.is_number() ? pace.get<double>() : 0);
}

void MainWindow::openComparison() {
  shelf_->setVisible(true);
  pages_->setCurrentIndex(kComparison);
  comparison_->open();
}

void MainWindow::openNaming(const QString& product) {
  goTo(3);
  shelf_->setVisible(false);
  pages_->setCurrentIndex(kNaming);
  pages_->currentWidget()->layout()->activate();
  naming_->open(product);
}

void MainWindow::openSignatures(int code) {
  shelf_->setVisible(false);
  pages_->setCurrentIndex(kSignatures);
  pages_->currentWidget()->layout()->activate();
  signatures_->open(code);
}

void MainWindow::openTable(const QString& product) {
  goTo(4);
  pages_->setCurrentIndex(kTable);
  pages_->currentWidget()->layout()->activate();
  table_->open(product, view_->front());
}

}  // namespace zp
