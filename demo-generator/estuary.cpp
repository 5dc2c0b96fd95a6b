#include "estuary.h"

#include <algorithm>
#include <cmath>

#include "base/random.h"
#include "noise.h"
#include "outline/scanline.h"
#include "steady_math.h"

namespace haven {
namespace {

constexpr double kReach = 170;  // metres to which a creek shapes the ground

Course mainChannel() {
  Course c = through({{-900, 6150},
                      {600, 5750},
                      {2000, 5500},
                      {3300, 5050},
                      {4400, 4250},
                      {5600, 4050},
                      {6700, 4650},
                      {7900, 4950},
                      {9000, 4600},
                      {9900, 4500},
                      {10700, 3950},
                      {11400, 3300},
                      {12400, 3150}},
                     0, 26);
  for (size_t i = 0; i < c.places.size(); ++i) {
    const double inland = std::clamp(c.places[i].x / 11500, 0.0, 1.0), open = 1 - inland;
    c.halfWidth[i] = 26 + 780 * open * open * open + 260 * open * open * smooth(0, 0.5, open);
  }
  return c;
}

/// Grows a creek from a mouth and, from it, smaller ones: each wanders, keeps roughly to its
/// heading and ends as a thread.
void grow(Place p, double heading, double width, double length, int order, zp::Random& random,
          std::vector<Course>& out) {
  Course c;
  const double step = 24;
  const auto steps = static_cast<int>(length / step);
  double turn = 0;
  int sinceBranch = 0;
  struct Branch {
    Place at;
    double heading, width, length;
  };
  std::vector<Branch> branches;
  for (int i = 0; i <= steps; ++i) {
    const double rest = 1 - static_cast<double>(i) / (steps + 1);
    const double w = std::max(1.2, width * (0.12 + 0.88 * rest));
    c.places.push_back(p);
    c.halfWidth.push_back(w);
    turn = 0.85 * turn + random.between(-0.22, 0.22);
    const double h = heading + turn + 0.75 * steadySin(i * 0.24 + heading * 5);
    p = {p.x + step * steadyCos(h), p.y + step * steadySin(h)};
    ++sinceBranch;
    if (order < 3 && sinceBranch > 4 + order && rest > 0.2 && random.uniform() < 0.17) {
      const double side = random.uniform() < 0.5 ? -1 : 1;
      branches.push_back({p, h + side * random.between(0.6, 1.15), w * random.between(0.45, 0.7),
                          length * rest * random.between(0.4, 0.75)});
      sinceBranch = 0;
    }
  }
  out.push_back(std::move(c));
  for (const auto& b : branches)
    if (b.length > 70) grow(b.at, b.heading, b.width, b.length, order + 1, random, out);
}

std::vector<Course> makeCreeks(const Course& channel) {
  std::vector<Course> creeks;
  zp::Random random(20310718);
  // Mouths along the channel, by turns on either bank.
  const double mouths[][3] = {{1500, -1, 30}, {2300, 1, 26},  {3100, -1, 34}, {3650, 1, 20},
                              {4350, 1, 30},  {4600, -1, 24}, {5350, 1, 28},  {5900, -1, 36},
                              {6600, 1, 22},  {7200, -1, 20}, {8000, 1, 24},  {8700, -1, 14},
                              {9500, 1, 12}};
  for (const auto& [x, side, width] : mouths) {
    size_t i = 0;
    while (i + 1 < channel.places.size() && channel.places[i].x < x) ++i;
    const double y = channel.places[i].y + side * channel.halfWidth[i] * 0.85;
    const double heading = side * 1.5708 + random.between(-0.3, 0.45);
    grow({x, y}, heading, width, 700 + width * 42, 0, random, creeks);
  }
  return creeks;
}

double coast(double y) {
  return 640 + 430 * layered(y / 2300, 3.7, 4, 11) + 60 * noise(y / 300, 1.1, 12);
}

/// Ground without creeks: mud rises slowly from the water, hills stand behind.
double ground(Place p, double edge) {
  const double steep = 1.05 + 0.75 * layered(p.x / 2300, p.y / 2300, 3, 21);
  if (edge < 0) return std::max(-9.0, edge * 0.011);
  const double s = std::max(0.45, steep);
  const double plain = 5.2 * (1 - 1 / (1 + edge * s / 520));
  const double hills = 26 + 44 * layered(p.x / 3300, p.y / 3300, 5, 22);
  const double back = smooth(520 / s, 2300 / s, edge + 240 * layered(p.x / 900, p.y / 900, 3, 23));
  return plain + std::max(0.0, hills) * back;
}

}  // namespace

/// Longer than a function may be: the place from its channel to its heights, each step after what
/// it stands on.
Estuary makeEstuary() {
  Estuary e;
  e.channel = mainChannel();
  e.creeks = makeCreeks(e.channel);
  e.polder = {{3520, 5640}, {3900, 5180}, {4330, 4840}, {4900, 4620}, {5500, 4560}, {6050, 4760},
              {6420, 5080}, {6560, 5500}, {6350, 5950}, {5600, 6120}, {4700, 6180}, {3950, 6060}};
  std::vector<Place> front(e.polder.begin(), e.polder.begin() + 8);
  e.wall = through(front, 6);
  e.creekDistance = edgeDistance(e.creeks, kReach);

  // The wall is open where the creeks go through it.
  std::vector<float> whole = edgeDistance({e.wall}, 40);
  for (size_t i = 0; i < kPixels; ++i)
    if (e.creekDistance[i] < 16) whole[i] = 40;
  e.wallDistance = std::move(whole);

  zp::Grid grid;
  grid.width = kWidth, grid.height = kHeight;
  grid.transform = {0, kPixel, 0, 0, 0, kPixel};
  zp::Shape shape;
  shape.rings = {through(e.polder, 0).places};
  e.insidePolder.assign(kPixels, 0);
  for (const auto& span : zp::pixelsInside(shape, grid))
    for (int x = span.from; x < span.to; ++x)
      e.insidePolder[static_cast<size_t>(span.row) * kWidth + static_cast<size_t>(x)] = 1;

  // Distance to channel and sea on a coarse net, then bent by noise at every pixel.
  constexpr double kNet = 40;
  constexpr int nw = 340, nh = 265, margin = 20;
  std::vector<double> net(static_cast<size_t>(nw) * nh);
  forRows(nh, [&](int r) {
    for (int c = 0; c < nw; ++c)
      net[static_cast<size_t>(r) * nw + static_cast<size_t>(c)] =
          edgeDistanceAt(e.channel, {(c - margin) * kNet, (r - margin) * kNet});
  });
  const auto onNet = [&](Place p) {
    const double x = std::clamp(p.x / kNet + margin, 0.0, nw - 1.001),
                 y = std::clamp(p.y / kNet + margin, 0.0, nh - 1.001);
    const auto c = static_cast<size_t>(x), r = static_cast<size_t>(y);
    const double u = x - static_cast<double>(c), v = y - static_cast<double>(r);
    const double* n = net.data() + r * nw + c;
    return (n[0] * (1 - u) + n[1] * u) * (1 - v) + (n[nw] * (1 - u) + n[nw + 1] * u) * v;
  };
  e.height.resize(kPixels);
  forRows(kHeight, [&](int row) {
    for (int col = 0; col < kWidth; ++col) {
      const Place p{(col + 0.5) * kPixel, (row + 0.5) * kPixel};
      const double wx = 150 * layered(p.x / 800, p.y / 800, 4, 31),
                   wy = 150 * layered(p.x / 800, p.y / 800, 4, 32);
      const double narrow = smooth(9000, 11500, p.x);  // the river keeps its line
      const Place bent{p.x + wx * (1 - 0.85 * narrow), p.y + wy * (1 - 0.85 * narrow)};
      const double edge = std::min(onNet(bent), p.x + 0.5 * wx - coast(p.y + wy));
      double h = ground(p, edge);
      const size_t i = static_cast<size_t>(row) * kWidth + static_cast<size_t>(col);
      const double creek = e.creekDistance[i];
      if (creek < kReach) {
        const double bank = creek + 5 * noise(p.x / 18, p.y / 18, 33);
        const double rim = 9 + 24 * smooth(-0.6, 0.7, noise(p.x / 260, p.y / 260, 34));
        const double cut = creek < 0 ? -0.5 : 1.1 * bank / rim - 0.15;
        h = std::min(h, cut);
      }
      e.height[i] = static_cast<float>(h + 0.1 * layered(p.x / 60, p.y / 60, 3, 35));
    }
  });
  return e;
}

}  // namespace haven
