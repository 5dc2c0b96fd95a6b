#pragma once
#include <QtWidgets>

#include "accuracy/assessment.h"

namespace zp {

/// A confusion matrix small enough to stand beside another: classes, tinted cells and user's
/// accuracies. Cells are counts, or shares of the area where the assessment is weighted.
class SmallMatrix : public QWidget {
 public:
  explicit SmallMatrix(QWidget* parent = nullptr);
  void set(const ConfusionMatrix& m, const Assessment& a, const Legend& legend);

 protected:
  void paintEvent(QPaintEvent*) override;

 private:
  ConfusionMatrix matrix_;
  Assessment assessment_;
  Legend legend_;
};

/// Class by class, how right two maps are: a ring for the first, a disc for the second.
class AccuracyDots : public QWidget {
 public:
  struct Line {
    QString name;
    QColor colour;
    double first, second;  // NaN where not defined
  };
  explicit AccuracyDots(QWidget* parent = nullptr);
  void set(std::vector<Line> lines);

 protected:
  void paintEvent(QPaintEvent*) override;

 private:
  std::vector<Line> lines_;
};

}  // namespace zp
