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
#include "shell/find_box.h"
#include "shell/polygons_panel.h"
#include "shell/probe.h"
#include "shell/shelf.h"
#include "shell/text_panel.h"
#include "shell/trail.h"
#include "shell/view_tools.h"

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
  ViewTools& viewTools() { return *viewTools_; }
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
  void fillStudyMenu();
  void showKeys();
  void fillBinMenu(QMenu* menu);
  void dropCard(const QString& id, QPoint at);
  void buildShortcuts();
  void buildFind();
  void buildStart();
  void studyChanged();
  void refresh();
  Picture asItIsNow(const Picture& shown) const;
  void dropPreview();
  void lookAt(const Picture& picture);
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
  std::vector<FindOffer> offers();
  std::vector<FindOffer> places(const QString& text);
  void explain(const QString& title, const QString& text);
  void choosePolygons(const QString& id);
  std::vector<ViewShape> outlineShapes();
  void showAgain();
  void offerToGo(const QString& id);

  Workbench bench_;
  LabelBook book_;
  TileStore tiles_;
  Trail* trail_;
  QStackedWidget *pages_, *desks_;
  MapView* view_;
  ViewTools* viewTools_;
  Probe* probe_;
  Shelf* shelf_;
  TextPanel *facts_, *keys_;
  FloatingPanel* polygonsPanel_;
  PolygonsPanel* polygons_;
  std::array<Desk*, 6> desk_{};
  ScenesDesk* scenesDesk_;
  IndicesDesk* indicesDesk_;
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
  FindBox* find_;
  QWidget* start_;
  int stage_ = 0;
  bool restoring_ = false;
  std::optional<std::pair<Place, double>> beforeLook_;  // where the view was
  std::map<std::string, std::vector<ViewShape>> outlineShapes_;
};

}  // namespace zp
