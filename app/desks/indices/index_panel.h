#pragma once
#include "desks/indices/book_search.h"
#include "desks/indices/dates_panel.h"
#include "desks/indices/formula_edit.h"
#include "desks/indices/threshold_panel.h"
#include "shell/polygons_panel.h"
#include "view/tile_store.h"

namespace zp {

/// An index of the book or a formula by hand: its live picture, and, once it is made, its
/// thresholds.
class IndexPanel : public Panel {
  Q_OBJECT
 public:
  /// `inside` tells the outline that results are cut to; "" for none.
  IndexPanel(Workbench& bench, MapView& view, TileStore& tiles,
             std::function<std::string()> inside);
  void refresh() override;
  void forget() override;
  void leave() override { thresholds_->leave(); }
  Heading heading() const override;
  QString action() const override;
  QString missing() const override;
  Json step() const override;
  void act() override;
  QPushButton* besideAction() const override { return polygons_; }
  bool offersBeside() const override { return made() != nullptr; }

  /// As chosen in the book; where the scene lacks a role, the book is opened and says which.
  void choose(const std::string& id);
  /// What is chosen to be seen stays in front; the preview comes with the next change.
  void keepFront();
  /// The thresholds are found anew.
  void startOver() { thresholds_->startOver(); }
  IndexInHand inHand() const;

 private:
  void buildBook();
  void buildFormula();
  void buildPolygons();
  void connectAll();
  void fillChips();
  void addChip(const IndexEntry& entry);
  void tellWhatCannot(const std::vector<const IndexEntry*>& cannot);
  void openBook(bool open);
  void chooseByHand();
  void chooseIndex(const IndexEntry& entry);
  const IndexEntry& rememberedOr(const IndexEntry& other) const;
  void keepInBook();
  void formulaChanged();
  void findEntry();
  void tellAbout();
  void showMade();
  void showPreview();
  void showRange(const Statistics& s, bool exact);
  void showWarnings();
  QString title() const;
  std::string ramp() const { return rampList_->currentData().toString().toStdString(); }
  std::map<std::string, std::string> used(const Formula& formula) const;
  /// The newest product of this formula over this scene.
  const Product* made() const;
  const Product* classMap() const;
  const StudyScene* scene() const { return bench_.currentScene(); }

  TileStore& tiles_;
  std::function<std::string()> inside_;
  FlowLayout* chips_;
  QLabel *cannot_, *error_, *range_, *warning_;
  BookSearch* book_;
  FormulaEdit* edit_;
  QComboBox* rampList_;
  Paragraph* about_;
  QPushButton *keep_, *drop_, *polygons_;
  ThresholdPanel* thresholds_;
  PolygonsPanel* polygonsPanel_;
  QTimer settle_;
  std::string index_;                  // id of the book, or "" for a formula by hand
  const IndexEntry* entry_ = nullptr;  // what the formula is in the book
  QString previewKey_;
  bool filling_ = false;
};

}  // namespace zp
