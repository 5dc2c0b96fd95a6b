#pragma once
#include <QtWidgets>

#include "charts/chart.h"
#include "shell/workbench.h"
#include "view/map_view.h"

namespace zp {

/// A panel that floats over the view's right edge, with a title and a closing sign.
class FloatingPanel : public QFrame {
  Q_OBJECT
 public:
  FloatingPanel(const QString& title, QWidget* over);
  QVBoxLayout* body() const { return body_; }
  void setTitle(const QString& title);
  /// At the view's lower right, above its buttons.
  void place();

 protected:
  void keyPressEvent(QKeyEvent*) override;

 private:
  QLabel* title_;
  QToolButton* close_;
  QVBoxLayout* body_;
};

/// How the front picture is displayed: its stretch on its histogram, where that is taken from,
/// steps and ramp; or the opacity and hidden classes of a class picture.
class DisplayPanel : public FloatingPanel {
  Q_OBJECT
 public:
  DisplayPanel(Workbench& bench, MapView& view, TileStore& tiles);
  void refresh();

 private:
  QVBoxLayout* part(QWidget*& holder);
  void buildStretch(QVBoxLayout* into);
  void buildSteps(QVBoxLayout* into);
  void buildClasses(QVBoxLayout* into);
  void takeShownRange(Display& display) const;
  void drag(const std::vector<double>& cuts);
  void takeFrom(int part);
  void fillHistogram();
  void change(const std::function<void(Display&)>& how);
  size_t channel() const { return static_cast<size_t>(std::max(0, channel_->currentIndex())); }

  Workbench& bench_;
  MapView& view_;
  TileStore& tiles_;
  bool filling_ = false;
  QLabel *what_, *none_;
  QWidget *stretchBox_, *stepBox_, *classBox_;
  QPushButton* range_[3];
  QComboBox *from_, *channel_, *steps_;
  QSpinBox* count_;
  ThresholdChart* chart_;
  QSlider* opacity_;
  QPushButton *all_, *reset_;
};

}  // namespace zp
