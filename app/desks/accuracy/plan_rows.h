#pragma once
#include <QtWidgets>

#include "accuracy/validation_plan.h"
#include "shell/workbench.h"

namespace zp {

/// The classes of a map in rows: how much of it each is, how right one expects it to be, how many
/// points it gets, and the margin that follows.
class PlanRows : public QWidget {
  Q_OBJECT
 public:
  explicit PlanRows(QWidget* parent = nullptr);
  struct Class {
    int code;
    QString name;
    QColor colour;
    double share;
    double accuracy;
  };
  void setClasses(const std::vector<Class>& classes);
  /// Without telling.
  void setPoints(const std::vector<size_t>& points);
  std::vector<size_t> points() const;
  /// Share and expected accuracy of each.
  std::vector<PlannedClass> classes() const;
  /// `inProportion`: where the points of each would be in proportion to area; margins wider than
  /// `widest` stand out.
  void tell(const PlanMargins& margins, const std::vector<size_t>& inProportion, double widest);

 Q_SIGNALS:
  void accuracyChanged();
  void pointsChanged();  // by hand

 private:
  struct Row;
  void addRow(int at, const Class& c);
  std::vector<std::shared_ptr<Row>> rows_;
  QGridLayout* grid_;
  bool filling_ = false;
};

}  // namespace zp
