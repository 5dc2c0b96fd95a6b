#pragma once
#include <QtWidgets>

namespace zp {

/// The strip at the top: the study, the six stations with their figures and states, and find.
class Trail : public QWidget {
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
  void setCurrent(int index);
  int current() const { return current_; }
  void setStudy(const QString& name, const QString& state);
  QToolButton* studyButton() const { return study_; }
  QLineEdit* find() const { return find_; }
  const std::vector<Station>& stations() const { return stations_; }
  QRect stationRect(int index) const;

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
  int current_ = 0;
  QToolButton* study_;
  QLabel* state_;
  QLineEdit* find_;
};

}  // namespace zp
