#pragma once
#include <QtWidgets>

#include "look/spoken.h"

namespace zp {

/// The strip at the top: the study, the six stations with their figures and states, and find.
class Trail : public QWidget, public Spoken {
  Q_OBJECT
 public:
  enum class State { Hollow, Filled, Half, Busy, Notch };
  struct Station {
    QString name, figure, tip;
    State state = State::Hollow;
    double share = 0;
  };

  explicit Trail(QWidget* parent = nullptr);
  void setStations(const std::vector<Station>& stations);
  /// −1: none, and no keys are taken.
  void setCurrent(int index);
  int current() const { return current_; }
  /// `trouble`: the state is nothing that one may overlook.
  void setStudy(const QString& name, const QString& state, bool trouble = false);
  QToolButton* studyButton() const { return study_; }
  QLineEdit* find() const { return find_; }
  const std::vector<Station>& stations() const { return stations_; }
  QRect stationRect(int index) const;
  QAccessible::Role role() const override { return QAccessible::PageTabList; }
  QAccessible::Role partRole() const override { return QAccessible::PageTab; }
  QList<SpokenPart> parts() const override;

 Q_SIGNALS:
  void chosen(int index);

 protected:
  void paintEvent(QPaintEvent*) override;
  void mousePressEvent(QMouseEvent*) override;
  void keyPressEvent(QKeyEvent*) override;
  bool event(QEvent*) override;

 private:
  double stationX(int index) const;
  std::vector<Station> stations_;
  int current_ = -1;
  QToolButton* study_;
  QLabel* state_;
  QLineEdit* find_;
};

}  // namespace zp
