#pragma once
#include "charts/chart.h"
#include "training/samples.h"

namespace zp {

/// Training pixels in two features, with an ellipse around each class. A rectangle drawn with the
/// mouse chooses some of them.
class FeatureScatter : public Chart {
  Q_OBJECT
 public:
  explicit FeatureScatter(QWidget* parent = nullptr);
  /// `chosen`: code of the class that stands out; 0 for none. Takes back what was chosen.
  void show(const Samples& samples, const SignatureSet& set, const Legend& colours, size_t x,
            size_t y, int chosen);
  QPoint pointOf(double x, double y) const;  // in the widget
  /// Around what was chosen; empty: nothing.
  bool anyChosen() const { return mark_ != nullptr; }

 Q_SIGNALS:
  /// In the values of both; empty: nothing is chosen any more.
  void brushed(const QRectF& values);

 protected:
  void mousePressEvent(QMouseEvent*) override;
  void mouseReleaseEvent(QMouseEvent*) override;

 private:
  QPoint pressed_;
  void addDots(const Samples& samples, int code, size_t x, size_t y, const QColor& colour,
               bool strong);
  void addEllipse(const Signature& signature, size_t x, size_t y, const QColor& colour,
                  bool strong);
  void mark(const QRectF& values);
  QCPItemRect* mark_ = nullptr;
};

}  // namespace zp
