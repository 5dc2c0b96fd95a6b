#pragma once
#include "accuracy/error_places.h"
#include "background/latest.h"
#include "desks/accuracy/label_book.h"
#include "look/parts.h"
#include "look/spoken.h"

namespace zp {

/// Groups of points as bars: the share that is right, with its interval.
class ShareBars : public QWidget, public Spoken {
  Q_OBJECT
 public:
  ShareBars();
  void show(const std::vector<ErrorGroup>& groups);
  const std::vector<ErrorGroup>& groups() const { return groups_; }
  int chosen() const { return chosen_; }
  void choose(int group);
  QAccessible::Role role() const override { return QAccessible::List; }
  QList<SpokenPart> parts() const override;

 Q_SIGNALS:
  void groupChosen(int group);

 protected:
  void paintEvent(QPaintEvent*) override;
  void mousePressEvent(QMouseEvent*) override;
  void keyPressEvent(QKeyEvent*) override;

 private:
  static QString figure(const ErrorGroup& group);
  std::vector<ErrorGroup> groups_;
  int chosen_ = -1;
};

/// Where the errors are: by how far a point is from a border of classes, by how sure the map is of
/// it, by the region it lies in.
class ErrorsSide : public QWidget {
  Q_OBJECT
 public:
  ErrorsSide(Workbench& bench, LabelBook& book);
  void open();
  bool ready() const { return !job_.pending(); }

 Q_SIGNALS:
  void pointsAsked();
  void labellingAsked();

 private:
  void fillChoices();
  void fillFields();
  void ask();
  void tell(const std::vector<ErrorGroup>& groups);
  void choosePoints();

  Workbench& bench_;
  LabelBook& book_;
  Latest job_;
  QComboBox *by_, *field_;
  ShareBars* bars_;
  QLabel* told_;
  QPushButton *show_, *each_;
};

}  // namespace zp
