#pragma once
#include <qcustomplot.h>

#include "index/histogram.h"
#include "look/spoken.h"
#include "training/signature.h"

namespace zp {

/// A plot in our faces and greys, without a frame.
class Chart : public QCustomPlot, public Spoken {
 public:
  explicit Chart(QWidget* parent = nullptr);
  void setTitles(const QString& x, const QString& y);
  void restyle();
  QAccessible::Role role() const override { return QAccessible::Chart; }
};

/// A histogram cut by thresholds that can be dragged; each part has the colour of its class.
class ThresholdChart : public Chart {
  Q_OBJECT
 public:
  explicit ThresholdChart(QWidget* parent = nullptr);
  void setHistogram(const Histogram& histogram);
  void setCuts(const std::vector<double>& cuts, const std::vector<QColor>& colours);
  const std::vector<double>& cuts() const { return cuts_; }
  QPoint cutPosition(size_t i) const;  // of its handle, in the widget

  /// Whether dragging beside the handles chooses a range of values.
  void setBrushable(bool on) { brushable_ = on; }
  void clearBrush();
  QPoint pointOf(double value) const;  // in the middle of the plot, in the widget
  QList<SpokenPart> parts() const override;

 Q_SIGNALS:
  void dragged(const std::vector<double>& cuts);
  /// A range was chosen; low ≥ high: none is any more.
  void brushed(double low, double high);

 protected:
  void mousePressEvent(QMouseEvent*) override;
  void mouseMoveEvent(QMouseEvent*) override;
  void mouseReleaseEvent(QMouseEvent*) override;
  void keyPressEvent(QKeyEvent*) override;
  void paintEvent(QPaintEvent*) override;

 private:
  void redraw();
  void moveCut(size_t i, double value);
  Histogram histogram_;
  std::vector<double> cuts_;
  std::vector<QColor> colours_;
  int held_ = -1, last_ = 0;
  bool brushable_ = false, brushing_ = false;
  double brushFrom_ = 0, brushTo_ = 0;
};

/// Mean and spread of each class over the bands, by wavelength.
class SignatureChart : public Chart {
 public:
  explicit SignatureChart(QWidget* parent = nullptr);
  void show(const SignatureSet& set, const std::vector<double>& wavelengths, const Legend& colours,
            int chosen, const QString& unit);
  /// A mean over those that are shown.
  void lay(const Eigen::VectorXd& mean, const QColor& colour, Qt::PenStyle style);

 private:
  QVector<double> along_;  // where the bands are
};

/// A line over numbers or dates, and others beside it.
class LineChart : public Chart {
 public:
  explicit LineChart(QWidget* parent = nullptr);
  void show(const QVector<double>& x, const QVector<double>& y, const QString& xTitle,
            const QString& yTitle, bool dates, const QColor& colour);
  /// Names below the axis in place of numbers; numbers again without any.
  void nameTicks(const QVector<double>& x, const QStringList& names);
  /// Another in the same chart.
  void lay(const QVector<double>& x, const QVector<double>& y, const QColor& colour);
};

}  // namespace zp
