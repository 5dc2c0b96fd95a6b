#pragma once
#include "background/latest.h"
#include "charts/chart.h"
#include "desks/accuracy/label_book.h"
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
  bool ready() const;  // all three pictures are painted

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
    double span = 300;  // map units across; set when the desk opens
    QString name;
  };
  QLayout* buildHead();
  QLayout* buildPane(size_t i, const QString& name);
  QLayout* buildCurves();
  QLayout* buildHints();
  void fillSeason();
  void fillPictures();
  void fillKeys();
  void showPanes(const ValidationPoint& point);
  void showProgress();
  QString tellOrder() const;
  QString tellLooking() const;
  QString tellSettling() const;
  QString tellMixed() const;
  QString className(int code) const;
  Place pixelCentre(Place place) const;
  void askCurves(Place place);
  void showCurves(const PixelCurves& curves);
  void setPicture(Pane& pane, int index);
  void label(int code);
  void labelled();
  void settle(int code);
  void mix();
  void askWhy(int code);
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
  std::vector<Picture> pictures_;
  QLabel *order_, *count_, *reflectanceTitle_;
  QComboBox* seasonOf_;
  std::vector<SeasonQuantity> quantities_;
  QProgressBar* bar_;
  LineChart *reflectance_, *season_;
  QPlainTextEdit* note_;
  QHBoxLayout* keys_;
  QPushButton *unsure_, *mixed_, *close_;
  QWidget* hints_;
  LateChangeStrip* late_;  // in place of the hints
  int lateCode_ = 0;       // what a closed label is to become
  /// Of a mixed place: its first class is to come, or (a code) its second.
  static constexpr int kNotMixed = 0, kFirstToCome = -1;
  int mixing_ = kNotMixed;
  std::set<int> open_;  // points to settle, by their ids
  Grid mapGrid_;        // of the map at stake; none when it went away
  double zoom_ = 1;
  QElapsedTimer pace_;
  size_t paced_ = 0;
};

}  // namespace zp
