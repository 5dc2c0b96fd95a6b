#pragma once
#include "desks/desk.h"
#include "desks/scenes/archive_panel.h"
#include "desks/scenes/bring_in_panel.h"
#include "desks/scenes/composite_card.h"
#include "desks/scenes/delivery_row.h"
#include "desks/scenes/making_panel.h"
#include "desks/scenes/mask_panel.h"
#include "desks/scenes/outline_style.h"
#include "desks/scenes/time_line.h"
#include "shell/latest.h"
#include "view/thumbnail.h"

namespace zp {

/// Brings scenes in, gives their bands roles, and shows them as composites by meaning.
class ScenesDesk : public Desk {
  Q_OBJECT
 public:
  ScenesDesk(Workbench& bench, MapView& view);
  void refresh() override;
  void leave() override { mask_->leave(); }
  void forget() override;
  /// Files and folders of a delivery: brought in at once where they say all there is to know, else
  /// shown for a look before.
  void offer(const QStringList& paths);
  /// The archive, with another catalogue where one is named.
  void openArchive(const QString& catalogue = {});
  /// What the archive's chosen scenes cover.
  std::vector<ViewShape> shapes() const;

 Q_SIGNALS:
  void shapesChanged();
  void factsAsked(const QString& id);
  /// Something that is not in the study yet is looked at, or no more.
  void lookAsked(const zp::Picture& picture);
  void lookEnded();

 public Q_SLOTS:
  void chooseFiles();
  void chooseFolder();

 private:
  /// What stands in place of the scenes and their pages.
  enum class Guest { None, Archive, Incoming };
  void showGuest(Guest guest);
  void fillHeading();
  void fillScene();
  void fillBands(const Scene& scene);
  void fillComposites(const StudyScene& scene);
  void showComposite(std::array<size_t, 3> bands, const QString& title);
  void applyPreset(int index);
  void keepPreset();
  void nameScene();
  void dateScene();
  void convertBands(int row, int column, const QString& text);
  const StudyScene* chosen() const;
  void showPage(int page);

  void fillTimeLine();
  void askShares();
  void lookAtLayer(const QString& layer);

  enum Page { kLook, kBands, kAside, kMake, kArea, kPages };
  QPushButton* pageChips_[kPages];
  QWidget* pages_[kPages];
  int page_ = 0;
  QPushButton *drawArea_, *useArea_, *archiveChip_, *back_;
  QWidget* bringRow_;
  ArchivePanel* archive_;
  BringInPanel* incoming_;
  Guest guest_ = Guest::None;

  TimeLine* timeLine_;
  QWidget* details_;
  QLabel *sceneTitle_, *usable_;
  QPushButton* sceneFacts_;
  QComboBox *preset_, *state_;
  QLineEdit *nodata_, *name_, *date_;
  QPushButton *keep_, *forget_;
  QTableWidget* bands_;
  MaskPanel* mask_;
  MakingPanel* making_;
  FlowLayout* composites_;
  QComboBox* free_[3];
  QLabel* facts_;
  QListWidget* outlines_;
  OutlineStyle* style_;
  DeliveryRow* delivery_;
  bool filling_ = false;
  Latest shares_, layer_;
  std::vector<ViewShape> incomingShapes_;
  std::map<std::string, double> shareOf_;  // set aside, by mask file
  Thumbnails thumbnails_;
};

}  // namespace zp
