#pragma once
#include <QtWidgets>

#include "accuracy/assessment.h"
#include "look/spoken.h"

namespace zp {

/// A confusion matrix small enough to stand beside another: classes, tinted cells and user's
/// accuracies. Cells are counts, or shares of the area where the assessment is weighted.
class SmallMatrix : public QWidget, public Spoken {
 public:
  explicit SmallMatrix(QWidget* parent = nullptr);
  void set(const ConfusionMatrix& m, const Assessment& a, const Legend& legend);
  QAccessible::Role role() const override { return QAccessible::Table; }
  QAccessible::Role partRole() const override { return QAccessible::Cell; }
  QList<SpokenPart> parts() const override;

 protected:
  void paintEvent(QPaintEvent*) override;

 private:
  QString cellText(size_t map, size_t reference) const;
  QRect cellRect(size_t map, size_t reference) const;
  ConfusionMatrix matrix_;
  Assessment assessment_;
  Legend legend_;
};

/// Class by class, how right two maps are: a ring for the first, a disc for the second.
class AccuracyDots : public QWidget, public Spoken {
 public:
  struct Line {
    QString name;
    QColor colour;
    double first, second;  // NaN where not defined
  };
  explicit AccuracyDots(QWidget* parent = nullptr);
  void set(std::vector<Line> lines);
  QAccessible::Role role() const override { return QAccessible::List; }
  QList<SpokenPart> parts() const override;

 protected:
  void paintEvent(QPaintEvent*) override;

 private:
  std::vector<Line> lines_;
};

}  // namespace zp
