#pragma once
#include <QtWidgets>

#include "desks/accuracy/accuracy_desk.h"
#include "desks/accuracy/comparison_sheet.h"
#include "desks/accuracy/labelling_sheet.h"
#include "desks/accuracy/matrix_sheet.h"
#include "desks/accuracy/plan_sheet.h"
#include "desks/accuracy/typed_sheet.h"
#include "desks/indices/indices_desk.h"
#include "desks/mapping/mapping_desk.h"
#include "desks/mapping/naming_sheet.h"
#include "desks/sampling/table/table_sheet.h"
#include "desks/scenes/scenes_desk.h"
#include "desks/training/signature_sheet.h"
#include "desks/training/training_desk.h"
#include "shell/find_box.h"
#include "shell/message_bars.h"
#include "shell/outline_overlay.h"
#include "shell/pictures_shown.h"
#include "shell/polygons_panel.h"
#include "shell/probe.h"
#include "shell/shelf.h"
#include "shell/start_page.h"
#include "shell/study_menu.h"
#include "shell/text_panel.h"
#include "shell/trail.h"
#include "shell/view_tools.h"

namespace zp {

class Walk;

/// What the application's loop ends with when the window is to be built again in another look,
/// language or size.
inline constexpr int kAnotherLook = 100;

/// The window: trail, view with probe, desk, shelf; or a sheet in place of view and desk. It puts
/// the parts together and leads from one to the other; what a part does is its own.
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
  PlanSheet& plan() { return *plan_; }
  ComparisonSheet& comparison() { return *comparison_; }
  NamingSheet& naming() { return *naming_; }
  SignatureSheet& signatures() { return *signatures_; }
  TableSheet& table() { return *table_; }
  TrainingDesk& training() { return *trainingDesk_; }
  MappingDesk& mapping() { return *mappingDesk_; }
  Walk& walk() { return *walk_; }
  int stage() const { return stage_; }
  static QString stageName(size_t stage);
  void goTo(int stage);
  /// A study folder is opened; anything else comes in as scenes.
  void openOrBringIn(const QStringList& paths);
  void openLabelling();
  void openMatrix();
  void openPlan(const QString& map);
  void openComparison();
  /// A matrix from elsewhere.
  void openTyped();
  /// The naming board of a product of clusters.
  void openNaming(const QString& product);
  /// The sheet of signatures, at a class.
  void openSignatures(int code);
  /// The sheet of a table.
  void openTable(const QString& product);
  /// Nothing is running and everything shown has been painted.
  bool settled() const;
  QString notice() const { return noticeBar_->text(); }

 protected:
  void dragEnterEvent(QDragEnterEvent*) override;
  void dropEvent(QDropEvent*) override;
  void keyPressEvent(QKeyEvent*) override;
  void closeEvent(QCloseEvent*) override;
  bool focusNextPrevChild(bool next) override;

 private:
  enum Page {
    kWork,
    kLabelling,
    kMatrix,
    kNaming,
    kSignatures,
    kTable,
    kPlan,
    kComparison,
    kTyped
  };
  void buildDesks();
  QWidget* buildWork();
  void buildMiddle();
  void buildOverView();
  void buildStudyMenu();
  void buildFind();
  void buildShortcuts();
  void connectBench();
  void connectShelf();
  void connectView();
  void connectSheets();
  void tellOwnTroubles();

  void studyChanged();
  void showStudy(bool any);
  void refresh();
  void picturesChanged();
  void updateTrail();
  void updateOverlays();
  void trouble(const QString& sentence);
  void showFront(const QString& id);
  void showBehind(const Picture& picture);
  void showSheetOf(const QString& id);
  void explain(const QString& title, const QString& text);
  void choosePolygons(const QString& id);
  void showKeys();
  void undo();
  void exportPicture(const QString& file);
  bool mayLeave();
  void takeDress(const QString& setting, const QVariant& value);
  bool toggledByKey(const QKeyEvent& e);
  void dropCard(const QString& id, QPoint at);
  void rememberPlace();
  void restorePlace();
  std::vector<FindOffer> offers();
  std::vector<FindOffer> commandOffers();
  std::vector<FindOffer> outlineOffers();
  void leaveSheets() {
    if (pages_->currentIndex() != kWork) goTo(stage_);
  }
  Desk& desk() { return *desk_[static_cast<size_t>(stage_)]; }

  Workbench bench_;
  LabelBook book_;
  TileStore tiles_;
  Trail* trail_;
  QStackedWidget *pages_, *desks_;
  MapView* view_;
  std::unique_ptr<PicturesShown> pictures_;
  std::unique_ptr<OutlineOverlay> outlines_;
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
  AccuracyDesk* accuracyDesk_;
  LabellingSheet* labelling_;
  MatrixSheet* matrix_;
  PlanSheet* plan_;
  ComparisonSheet* comparison_;
  TypedSheet* typed_;
  MappingDesk* mappingDesk_;
  NamingSheet* naming_;
  SignatureSheet* signatures_;
  TableSheet* table_;
  NoticeBar* noticeBar_;
  QTimer placeTimer_;
  StudyMenu* studyMenu_;
  FindBox* find_;
  StartPage* start_;
  Walk* walk_;
  int stage_ = 0;
  bool restoring_ = false;
};

}  // namespace zp
