#pragma once
#include "desks/panel.h"
#include "shell/find_box.h"
#include "shell/trail.h"

namespace zp {

/// The desk of a stage, put together from panels: heading, panels, and one primary action at the
/// bottom. Problems are said in place, above the action.
class Desk : public QWidget {
  Q_OBJECT
 public:
  Desk(Workbench& bench, MapView& view, const QString& title);

  /// The stage is entered, the study or its scene changed.
  void refresh();
  virtual void leave();
  /// Another study comes, or none.
  virtual void forget();
  void say(const QString& sentence);
  QString said() const { return notice_->text(); }

  /// What its panels lay over the view.
  std::vector<ViewShape> shapes() const;
  std::vector<ViewPoint> points() const;
  /// What the trail says of the stage; its name is the trail's.
  virtual Trail::Station station() const = 0;
  /// A product that stands for its stage and has no picture.
  virtual void showProduct(const QString& id) { (void)id; }
  /// What find offers of it beside its controls.
  virtual std::vector<FindOffer> offers() { return {}; }

 Q_SIGNALS:
  void stageAsked(int stage);
  void pictureAsked(const zp::Picture& picture);
  void productAsked(const QString& id);
  void behindAsked(const QString& id);
  void overlayChanged();

 protected:
  struct Missing {
    QString sentence, action;  // and the words on the button that leads
    int stage = 0;             // there
  };
  /// What the stage lacks to be worked on; nothing where the sentence is empty.
  virtual Missing missing() const { return {}; }
  /// Shows what is of the desk itself, before its panels are refreshed.
  virtual void fill() {}
  virtual Panel::Heading heading() const;

  /// A part that is always seen.
  void addPanel(Panel* panel, int stretch = 0);
  /// One of several parts of which one is seen; the chip with this name and title shows it. Without
  /// a chip, the desk shows it itself.
  void addPage(Panel* page, const char* chip = "", const QString& title = {});
  void showPage(Panel* page);
  Panel* page() const { return page_; }
  /// Where the chips of the pages are.
  QWidget* chips() const { return chips_; }
  /// Where a button leads that no panel claims; it can be pressed while `mayGoOn`.
  void setNext(const QString& words, int stage);
  virtual bool mayGoOn() const { return true; }
  /// Of a station that stands for a product.
  Trail::State stateOf(const Product& product) const {
    return bench_.study().outOfDate(product) ? Trail::State::Half : Trail::State::Filled;
  }
  /// Names the scene the desk works on beside its title, to be chosen there.
  void nameScene() { namesScene_ = true; }
  QVBoxLayout* body() const { return body_; }
  /// What stands on the button, over the desk and beside the button.
  void tell();

  Workbench& bench_;
  MapView& view_;

 private:
  void buildHead(const QString& title);
  void buildBody();
  void buildFooter();
  void connectPanel(Panel* panel);
  void fillScenes();
  void showArea(size_t training);
  void tellMissing(const Missing& missing);
  /// Whose action is on the button.
  Panel* acting() const;
  bool isSeen(const Panel* panel) const;

  QString name_;
  QVBoxLayout* head_;
  QLabel *title_, *second_, *notice_, *need_, *missing_;
  QComboBox* scene_;
  bool namesScene_ = false;
  QPushButton *missingAction_, *primary_;
  int missingStage_ = 0, nextStage_ = 0;
  QString next_;
  QWidget *inside_, *chips_, *footerBox_;
  QScrollArea* scroll_;
  QVBoxLayout* body_;
  QHBoxLayout* footer_;
  std::vector<Panel*> panels_;
  std::map<Panel*, QPushButton*> pages_;  // with their chips
  Panel* page_ = nullptr;
};

}  // namespace zp
