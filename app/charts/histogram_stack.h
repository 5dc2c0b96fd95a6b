#pragma once
#include <QtWidgets>

#include "look/spoken.h"

namespace zp {

/// Small histograms under each other, one a feature, and over each the outline of another one.
class HistogramStack : public QWidget, public Spoken {
  Q_OBJECT
 public:
  struct Row {
    QString name;
    std::vector<double> shape;  // heights 0…1; empty where nothing varies
    std::vector<double> over;   // perhaps none
    bool peaks = false;         // it has two
    QString low, high;          // at its ends
  };
  explicit HistogramStack(QWidget* parent = nullptr);
  void show(std::vector<Row> rows, const QColor& colour);
  const std::vector<Row>& rows() const { return rows_; }
  QAccessible::Role role() const override { return QAccessible::List; }
  QList<SpokenPart> parts() const override;

 protected:
  void paintEvent(QPaintEvent*) override;
  bool event(QEvent*) override;

 private:
  QRect rowAt(int i) const;
  static QString told(const Row& row);
  void paintRow(QPainter& p, const Row& row, QRect place) const;
  std::vector<Row> rows_;
  QColor colour_;
  int names_ = 84;  // width of their column
};

}  // namespace zp
