#pragma once
#include <QtWidgets>

#include "desks/accuracy/accuracy_desk.h"
#include "desks/accuracy/labelling_sheet.h"
#include "desks/accuracy/matrix_sheet.h"
#include "desks/indices/indices_desk.h"
#include "desks/mapping/mapping_desk.h"
#include "desks/sampling/sampling_desk.h"
#include "desks/scenes/scenes_desk.h"
#include "desks/training/training_desk.h"
#include "shell/probe.h"
#include "shell/shelf.h"
#include "shell/trail.h"

namespace zp {

/// What the application's loop ends with when the window is to be built again in another look.
inline constexpr int kAnotherLook = 100;

/// The window: trail, view with probe, desk, shelf; or a sheet in place of view and desk.
class MainWindow : public QMainWindow {
  Q_OBJECT
 public:
  MainWindow();
  ~MainWindow() override;

  Workbench& bench() { return bench_; }
  MapView& view() { return *view_; }
  Trail& trail() { return *trail_; }
  LabelBook& book() { return book_; }
  LabellingSheet& labelling() { return *labelling_; }
  MatrixSheet& matrix() { return *matrix_; }
  TrainingDesk& training() { return *trainingDesk_; }
  int stage() const { return stage_; }
  void goTo(int stage);
  /// A study folder is opened; anything else comes in as scenes.
  void openOrBringIn(const QStringList& paths);
  void openLabelling();
  void openMatrix();
  /// Nothing is running and everything shown has been painted.
  bool settled() const;
  QString notice() const { return notice_->text(); }

 protected:
  void dragEnterEvent(QDragEnterEvent*) override;
  void dropEvent(QDropEvent*) override;
  void keyPressEvent(QKeyEvent*) override;
  void closeEvent(QCloseEvent*) override;

 private:
  void buildStudyMenu();
  void buildViewTools();
  void fillBinMenu(QMenu* menu);
  void dropCard(const QString& id, QPoint at);
  void buildShortcuts();
  void buildFind();
  void buildStart();
  void studyChanged();
  void refresh();
  Picture asItIsNow(const Picture& shown) const;
  void dropPreview();
  void setFront(const Picture& p);
  void setBack(const Picture& p);
  void showFront(const QString& id);
  void updateTrail();
  void updateOverlays();
  void updateJob();
  void tell(const QString& sentence, bool warning);
  void showSheetOf(const QString& id);
  void rememberPlace();
  void restorePlace();
  void newStudy();
  void openStudy();
  void fillFind(const QString& text);
  void runFind(int row);

  Workbench bench_;
  LabelBook book_;
  TileStore tiles_;
  Trail* trail_;
  QStackedWidget *pages_, *desks_;
  MapView* view_;
  QWidget* viewTools_;
  QToolButton* curtainButton_;
  Probe* probe_;
  Shelf* shelf_;
  std::array<Desk*, 6> desk_{};
  ScenesDesk* scenesDesk_;
  TrainingDesk* trainingDesk_;
  SamplingDesk* samplingDesk_;
  AccuracyDesk* accuracyDesk_;
  LabellingSheet* labelling_;
  MatrixSheet* matrix_;
  QWidget *noticeBar_, *jobBar_;
  QLabel *notice_, *jobText_;
  QProgressBar* jobProgress_;
  QTimer noticeTimer_, placeTimer_;
  QMenu* studyMenu_;
  QListWidget* findList_;
  QWidget* start_;
  std::vector<std::function<void()>> findActions_;
  int stage_ = 0;
  bool restoring_ = false;
  std::map<std::string, std::vector<ViewShape>> outlineShapes_;
};

}  // namespace zp
