#include "lines.h"

#include <algorithm>
#include <cmath>

namespace haven {
namespace {

struct Segment {
  Place a, b;
  double wa, wb;
};

double distanceTo(const Segment& s, Place p) {
  const double dx = s.b.x - s.a.x, dy = s.b.y - s.a.y, length = dx * dx + dy * dy;
  const double t =
      length > 0 ? std::clamp(((p.x - s.a.x) * dx + (p.y - s.a.y) * dy) / length, 0.0, 1.0) : 0;
  const double ex = s.a.x + t * dx - p.x, ey = s.a.y + t * dy - p.y;
  return std::sqrt(ex * ex + ey * ey) - (s.wa + t * (s.wb - s.wa));
}

std::vector<Segment> segmentsOf(const Course& c) {
  std::vector<Segment> out;
  for (size_t i = 0; i + 1 < c.places.size(); ++i)
    out.push_back({c.places[i], c.places[i + 1], c.halfWidth[i], c.halfWidth[i + 1]});
  return out;
}

}  // namespace

Course through(const std::vector<Place>& k, double halfWidth, int steps) {
  Course c;
  const auto at = [&](size_t i) { return k[std::min(i, k.size() - 1)]; };
  for (size_t i = 0; i + 1 < k.size(); ++i) {
    const Place p0 = at(i == 0 ? 0 : i - 1), p1 = at(i), p2 = at(i + 1), p3 = at(i + 2);
    for (int s = 0; s < steps; ++s) {
      const double t = static_cast<double>(s) / steps, t2 = t * t, t3 = t2 * t;
      const auto blend = [&](double a, double b, double e, double d) {
        return 0.5 * (2 * b + (e - a) * t + (2 * a - 5 * b + 4 * e - d) * t2 +
                      (3 * b - a - 3 * e + d) * t3);
      };
      c.places.push_back({blend(p0.x, p1.x, p2.x, p3.x), blend(p0.y, p1.y, p2.y, p3.y)});
    }
  }
  c.places.push_back(k.back());
  c.halfWidth.assign(c.places.size(), halfWidth);
  return c;
}

std::vector<float> edgeDistance(const std::vector<Course>& courses, double reach) {
  constexpr int kBand = 64;  // rows of pixels a task
  const int bands = (kHeight + kBand - 1) / kBand;
  std::vector<std::vector<Segment>> perBand(static_cast<size_t>(bands));
  for (const auto& course : courses)
    for (const auto& s : segmentsOf(course)) {
      const double r = reach + std::max(s.wa, s.wb);
      const int from = std::max(0, static_cast<int>((std::min(s.a.y, s.b.y) - r) / kPixel / kBand));
      const int to =
          std::min(bands - 1, static_cast<int>((std::max(s.a.y, s.b.y) + r) / kPixel / kBand));
      for (int b = from; b <= to; ++b) perBand[static_cast<size_t>(b)].push_back(s);
    }
  std::vector<float> out(kPixels, static_cast<float>(reach));
  forRows(bands, [&](int band) {
    const int first = band * kBand, last = std::min(kHeight, first + kBand);
    for (const auto& s : perBand[static_cast<size_t>(band)]) {
      const double r = reach + std::max(s.wa, s.wb);
      const auto pixel = [](double v, int most) {
        return std::clamp(static_cast<int>(std::floor(v / kPixel)), 0, most);
      };
      const int x0 = pixel(std::min(s.a.x, s.b.x) - r, kWidth - 1),
                x1 = pixel(std::max(s.a.x, s.b.x) + r, kWidth - 1);
      const int y0 = std::max(first, pixel(std::min(s.a.y, s.b.y) - r, kHeight - 1));
      const int y1 = std::min(last - 1, pixel(std::max(s.a.y, s.b.y) + r, kHeight - 1));
      for (int y = y0; y <= y1; ++y)
        for (int x = x0; x <= x1; ++x) {
          float& d = out[static_cast<size_t>(y) * kWidth + static_cast<size_t>(x)];
          d = std::min(d,
                       static_cast<float>(distanceTo(s, {(x + 0.5) * kPixel, (y + 0.5) * kPixel})));
        }
    }
  });
  return out;
}

double edgeDistanceAt(const Course& course, Place p) {
  double d = 1e9;
  for (const auto& s : segmentsOf(course)) d = std::min(d, distanceTo(s, p));
  return d;
}

}  // namespace haven
