#pragma once
#include "background/latest.h"
#include "charts/chart.h"
#include "desks/accuracy/label_book.h"
#include "desks/panel.h"

namespace zp {

/// The labelling desk: one point at three zooms, its curves, and a key a class. What the map says
/// is nowhere on it.
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
  struct Curves {
    QVector<double> wavelengths, reflectance, days, backscatter;
    QString reflectanceTitle, radarTitle;
  };
  QLayout* buildHead();
  QLayout* buildPane(size_t i, const QString& name);
  QLayout* buildCurves();
  QLayout* buildHints();
  QWidget* buildLate();
  void fillPictures();
  void fillKeys();
  void showPanes(const ValidationPoint& point);
  void showProgress();
  QString tellLooking() const;
  void askCurves(Place place);
  static void readReflectance(const Scene& scene, Place place, const std::string& crs, Curves& c);
  static void readBackscatter(const std::vector<Scene>& radar, Place place, const std::string& crs,
                              Curves& c);
  void showCurves(const Curves& curves);
  void setPicture(Pane& pane, int index);
  void label(int code);
  void askWhy(int code);
  void recordChange();
  void endChange();
  bool looking() const;
  void step(int way);
  void zoom(double factor);
  void closeLabelling();

  Workbench& bench_;
  LabelBook& book_;
  Latest curvesJob_;
  std::array<Pane, 3> panes_;
  std::vector<Picture> pictures_;
  QLabel *order_, *count_, *reflectanceTitle_, *radarTitle_;
  QProgressBar* bar_;
  LineChart *reflectance_, *radar_;
  QPlainTextEdit* note_;
  QHBoxLayout* keys_;
  QPushButton *unsure_, *close_;
  QWidget *hints_, *late_;
  QLabel* lateTold_;
  QLineEdit *why_, *who_;
  int lateCode_ = 0;  // what a closed label is to become
  double zoom_ = 1;
  QElapsedTimer pace_;
  size_t paced_ = 0;
};

}  // namespace zp
