#pragma once
#include "background/latest.h"
#include "charts/chart.h"
#include "desks/accuracy/label_book.h"
#include "desks/accuracy/label_pictures.h"
#include "desks/accuracy/late_change_strip.h"
#include "desks/accuracy/pixel_curves.h"
#include "desks/panel.h"

namespace zp {

/// The labelling desk: one point at three zooms, its curves, and a key a class. What the map says
/// is nowhere on it, nor what another labeller said before it comes to settling.
class LabellingSheet : public QWidget {
  Q_OBJECT
 public:
  LabellingSheet(Workbench& bench, LabelBook& book);
  /// Fills everything for the current point.
  void open();
  /// The current point again.
  void showPoint();
  bool painted() const;    // all three pictures are
  bool ready() const;      // and the curves are there
  bool readAhead() const;  // and the pictures of the next point

 Q_SIGNALS:
  void leaveAsked();
  /// The labelling was closed; that of a second labeller tells nothing of the map.
  void closed();

 protected:
  void keyPressEvent(QKeyEvent*) override;
  bool eventFilter(QObject*, QEvent*) override;

 private:
  struct Pane {
    std::unique_ptr<TileStore> tiles;
    MapView* view;
    QLabel* caption;
    QComboBox* picture;
    QString name;
    double pixels = 30;  // of the map, across
    double span = 300;   // the same in map units; set when the desk opens
  };
  QLayout* buildHead();
  QLayout* buildPane(size_t i);
  QLayout* buildCurves();
  QLayout* buildHints();
  void namePanes();
  void fillSeason();
  void fillPictures();
  void fillKeys();
  std::string placeOfPicture(size_t pane) const;
  void showPanes(const ValidationPoint& point);
  std::set<int> keysPressed(const ValidationPoint& point) const;
  Place inView(const ValidationPoint& point) const;
  std::optional<Place> pointAfter() const;
  void showProgress();
  QString tellOrder() const;
  QString tellLooking() const;
  QString tellSettling() const;
  QString tellMixed() const;
  QString tellChange() const;
  QString nameOfKey(int code) const;
  Place pixelCentre(Place place) const;
  std::vector<Scene> scenesTold() const;
  void askCurves(Place place);
  void showCurves(const PixelCurves& curves);
  void setPicture(Pane& pane, int index);
  void label(int code);
  void give(const Label& label);
  void labelled();
  void settle(const Label& to);
  void mix();
  void askWhy(const Label& to);
  void recordChange(const QString& who, const QString& why);
  void endChange();
  bool looking() const;
  bool settling() const { return book_.task() == LabelBook::Task::Settle; }
  void step(int way);
  bool wanted(const ValidationPoint& p) const;
  void findOpen();
  bool moveByKey(int key);
  bool turnByKey(int key);
  void zoom(double factor);
  void closeLabelling();

  Workbench& bench_;
  LabelBook& book_;
  Latest curvesJob_;
  std::array<Pane, 3> panes_;
  std::vector<LabelPicture> pictures_;
  QLabel *title_, *order_, *count_, *reflectanceTitle_;
  QComboBox* seasonOf_;
  std::vector<SeasonQuantity> quantities_;
  QProgressBar* bar_;
  LineChart *reflectance_, *season_;
  QPlainTextEdit* note_;
  QHBoxLayout* keys_;
  QPushButton *unsure_, *mixed_, *close_;
  QWidget *hints_, *mixedHint_;
  LateChangeStrip* late_;  // in place of the hints
  Label lateLabel_;        // what a closed label is to become
  /// Of a mixed place: its first class is to come, or (a code) its second.
  static constexpr int kNotMixed = 0, kFirstToCome = -1;
  int mixing_ = kNotMixed;
  int was_ = 0;  // of a change: the class that was here, while what is now is to come
  bool half() const { return mixing_ != kNotMixed || was_ != 0; }
  void dropHalf();
  std::set<int> open_;  // points to settle, by their ids
  Grid mapGrid_;        // of the map at stake; none when it went away
  double pixel_ = 10;   // of it, in map units
  double zoom_ = 1;
  QElapsedTimer pace_;
  size_t paced_ = 0;
};

}  // namespace zp
