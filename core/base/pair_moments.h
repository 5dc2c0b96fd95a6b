#pragma once

namespace zp {

/// Means, variances and covariance of two variables seen together, by sums about the first pair:
/// they keep their digits where the spread is small against the values, and need no division a
/// pair. Variances and covariance are those of what was seen (divided by n); of nothing, all are
/// NaN.
class PairMoments {
 public:
  void add(double x, double y) {
    if (n_ == 0) firstX_ = x, firstY_ = y;
    const double dx = x - firstX_, dy = y - firstY_;
    n_ += 1;
    x_ += dx, y_ += dy;
    xx_ += dx * dx, yy_ += dy * dy, xy_ += dx * dy;
  }
  double count() const { return n_; }
  double meanX() const { return firstX_ + x_ / n_; }
  double meanY() const { return firstY_ + y_ / n_; }
  double varianceX() const { return atLeast0(xx_ / n_ - x_ / n_ * (x_ / n_)); }
  double varianceY() const { return atLeast0(yy_ / n_ - y_ / n_ * (y_ / n_)); }
  double covariance() const { return xy_ / n_ - x_ / n_ * (y_ / n_); }

 private:
  static double atLeast0(double v) { return v < 0 ? 0 : v; }
  double n_ = 0, firstX_ = 0, firstY_ = 0;
  double x_ = 0, y_ = 0, xx_ = 0, yy_ = 0, xy_ = 0;
};

}  // namespace zp
