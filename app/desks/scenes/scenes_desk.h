#pragma once
#include "desks/desk.h"
#include "desks/scenes/archive_panel.h"
#include "desks/scenes/bring_in_panel.h"
#include "desks/scenes/delivery_row.h"
#include "desks/scenes/making_panel.h"
#include "desks/scenes/mask_panel.h"
#include "desks/scenes/outline_style.h"

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

  QPushButton* pageChips_[4];
  QWidget* pages_[4];
  int page_ = 0;
  QPushButton *drawArea_, *useArea_, *archiveChip_, *back_;
  QWidget* bringRow_;
  ArchivePanel* archive_;
  BringInPanel* incoming_;
  Guest guest_ = Guest::None;

  QListWidget* list_;
  QWidget* details_;
  QComboBox *preset_, *state_;
  QLineEdit *nodata_, *name_, *date_;
  QPushButton *showFree_, *keep_, *forget_;
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
};

}  // namespace zp
