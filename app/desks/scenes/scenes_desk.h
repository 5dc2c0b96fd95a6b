#pragma once
#include "desks/desk.h"
#include "desks/scenes/archive_panel.h"
#include "desks/scenes/bring_in_panel.h"
#include "desks/scenes/mask_shares.h"
#include "desks/scenes/scene_head.h"
#include "desks/scenes/time_line.h"

namespace zp {

/// Brings scenes in, and tells, changes and shows what they are.
class ScenesDesk : public Desk {
  Q_OBJECT
 public:
  ScenesDesk(Workbench& bench, MapView& view);
  void forget() override;
  Trail::Station station() const override;
  std::vector<FindOffer> offers() override;
  /// Files and folders of a delivery: brought in at once where they say all there is to know, else
  /// shown for a look before.
  void offer(const QStringList& paths);
  /// The archive, with another catalogue where one is named.
  void openArchive(const QString& catalogue = {});

 Q_SIGNALS:
  void factsAsked(const QString& id);
  /// Something that is not in the study yet is looked at, or no more.
  void lookAsked(const zp::Picture& picture);
  void lookEnded();

 public Q_SLOTS:
  void chooseFiles();
  void chooseFolder();

 protected:
  void fill() override;
  Panel::Heading heading() const override;
  bool mayGoOn() const override { return bench_.currentScene() != nullptr; }

 private:
  void buildBringRow();
  void buildScenes();
  void buildPages();
  void chooseOutline();
  void fillTimeLine();
  /// The archive or the files to come stand in place of the scenes.
  bool guestIsThere() const { return page() == archive_ || page() == incoming_; }
  void showGuest(Panel* guest);
  void backToScenes() { showPage(scenePage_); }

  QWidget* bringRow_;
  QPushButton* back_;
  TimeLine* timeLine_;
  QFrame* line_;
  MaskShares shares_;
  SceneHead* head_;
  ArchivePanel* archive_;
  BringInPanel* incoming_;
  Panel *look_, *scenePage_;  // the first page; that which was seen before a guest came
};

}  // namespace zp
