#pragma once
#include "charts/brushed_chart.h"
#include "training/samples.h"

namespace zp {

/// Training pixels in two features, with an ellipse around each class. A rectangle drawn with the
/// mouse chooses some of them.
class FeatureScatter : public BrushedChart {
  Q_OBJECT
 public:
  explicit FeatureScatter(QWidget* parent = nullptr);
  /// `chosen`: code of the class that stands out; 0 for none. Takes back what was chosen.
  void show(const Samples& samples, const SignatureSet& set, const Legend& colours, size_t x,
            size_t y, int chosen);

 private:
  void addDots(const Samples& samples, int code, size_t x, size_t y, const QColor& colour,
               bool strong);
  void addEllipse(const Signature& signature, size_t x, size_t y, const QColor& colour,
                  bool strong);
};

}  // namespace zp
