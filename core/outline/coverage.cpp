#include "outline/coverage.h"

#include <algorithm>
#include <cmath>

namespace zp {
namespace {

constexpr double kNothing = 1e-9;  // of a pixel: less is rounding

/// An edge in pixel units, a.y < b.y. `sign`: which side of it is inside.
struct Edge {
  Place a, b;
  double sign;
};

/// What an edge does to its row: in `column` it adds `right` (the area to its right), in all
/// columns after that `height`.
struct Step {
  int column;
  double right, height;
};

using Rings = std::vector<Ring>;

double signedArea(const Ring& ring) {
  double twice = 0;
  for (size_t i = 0; i < ring.size(); ++i) {
    const Place &p = ring[i], &q = ring[(i + 1) % ring.size()];
    twice += p.x * q.y - q.x * p.y;
  }
  return twice / 2;
}

bool holds(const Ring& ring, Place p) {
  bool inside = false;
  for (size_t i = 0, j = ring.size() - 1; i < ring.size(); j = i++) {
    const Place &a = ring[i], &b = ring[j];
    if ((a.y > p.y) != (b.y > p.y) && p.x < a.x + (p.y - a.y) / (b.y - a.y) * (b.x - a.x))
      inside = !inside;
  }
  return inside;
}

/// Whether most of a ring lies in another. Rings may touch, so more than one place is asked for.
bool liesIn(const Ring& ring, const Ring& other) {
  const size_t asked = std::min<size_t>(9, ring.size());
  size_t within = 0;
  for (size_t k = 0; k < asked; ++k) {
    const size_t i = k * ring.size() / asked;
    const Place &p = ring[i], &q = ring[(i + 1) % ring.size()];
    within += holds(other, {(p.x + q.x) / 2, (p.y + q.y) / 2}) ? 1 : 0;
  }
  return 2 * within > asked;
}

Rings inPixels(const Shape& shape, const Grid& grid) {
  Rings rings;
  for (const auto& ring : shape.rings) {
    rings.emplace_back();
    for (const auto& p : ring) rings.back().push_back(grid.toPixel(p));
  }
  return rings;
}

/// All but the level ones, sorted by the row they begin in.
std::vector<Edge> edgesOf(const Rings& rings) {
  std::vector<Edge> edges;
  for (size_t r = 0; r < rings.size(); ++r) {
    const double area = signedArea(rings[r]);
    if (!std::isfinite(area)) continue;
    size_t depth = 0;
    for (size_t o = 0; o < rings.size(); ++o)
      if (o != r && std::abs(signedArea(rings[o])) > std::abs(area) && liesIn(rings[r], rings[o]))
        ++depth;
    const double sign = (area >= 0) == (depth % 2 == 0) ? 1 : -1;
    for (size_t i = 0; i < rings[r].size(); ++i) {
      const Place &p = rings[r][i], &q = rings[r][(i + 1) % rings[r].size()];
      if (p.y < q.y) edges.push_back({p, q, -sign});
      if (p.y > q.y) edges.push_back({q, p, sign});
    }
  }
  std::sort(edges.begin(), edges.end(),
            [](const Edge& one, const Edge& other) { return one.a.y < other.a.y; });
  return edges;
}

/// The steps of a piece of an edge within one row: from a to b, which lie `height` apart.
void addSteps(Place a, Place b, double height, int width, std::vector<Step>& steps) {
  if (a.x > b.x) std::swap(a, b);
  const double across = b.x - a.x;
  const auto add = [&](int column, double from, double to) {
    const double part = across > 0 ? height * (to - from) / across : height;
    steps.push_back({column, part * (1 - ((from + to) / 2 - column)), part});
  };
  if (a.x < 0) {  // left of the grid: the first column lies to its right
    const double part = b.x <= 0 ? height : height * -a.x / across;
    steps.push_back({0, part, part});
    if (b.x <= 0) return;
  }
  const double from = std::max(0.0, a.x), to = std::min<double>(width, b.x);
  for (int c = static_cast<int>(std::floor(from)); c < width; ++c) {
    const double left = std::max(from, static_cast<double>(c)), right = std::min(to, c + 1.0);
    if (right < left || (right == left && across > 0)) break;
    add(c, left, right);
    if (across == 0) break;
  }
}

void addRuns(std::vector<Step>& steps, int row, int width, std::vector<CoveredRun>& runs) {
  std::sort(steps.begin(), steps.end(),
            [](const Step& a, const Step& b) { return a.column < b.column; });
  double before = 0;  // what all edges to the left add
  const auto emit = [&](int from, int to, double covered) {
    const double share = std::abs(covered);
    if (share < kNothing || from >= to) return;
    const float kept = share > 1 - kNothing ? 1.0f : static_cast<float>(share);
    if (!runs.empty() && runs.back().row == row && runs.back().to == from &&
        runs.back().share == kept)
      runs.back().to = to;
    else
      runs.push_back({row, from, to, kept});
  };
  for (size_t i = 0; i < steps.size();) {
    const int column = steps[i].column;
    double here = before;
    for (; i < steps.size() && steps[i].column == column; ++i)
      here += steps[i].right, before += steps[i].height;
    emit(column, column + 1, here);
    emit(column + 1, i < steps.size() ? steps[i].column : width, before);
  }
}

}  // namespace

std::vector<CoveredRun> coverageOf(const Shape& shape, const Grid& grid) {
  const auto edges = edgesOf(inPixels(shape, grid));
  std::vector<CoveredRun> runs;
  if (edges.empty()) return runs;
  std::vector<const Edge*> active;
  std::vector<Step> steps;
  size_t next = 0;
  const int first = static_cast<int>(std::clamp<double>(edges[0].a.y, 0, grid.height));
  for (int row = first; row < grid.height && (next < edges.size() || !active.empty()); ++row) {
    for (; next < edges.size() && edges[next].a.y < row + 1; ++next) active.push_back(&edges[next]);
    std::erase_if(active, [row](const Edge* e) { return e->b.y <= row; });
    steps.clear();
    for (const Edge* e : active) {
      const double top = std::max(e->a.y, static_cast<double>(row)),
                   bottom = std::min(e->b.y, row + 1.0);
      const auto at = [e](double y) {
        return Place{e->a.x + (y - e->a.y) / (e->b.y - e->a.y) * (e->b.x - e->a.x), y};
      };
      addSteps(at(top), at(bottom), e->sign * (bottom - top), grid.width, steps);
    }
    addRuns(steps, row, grid.width, runs);
  }
  return runs;
}

}  // namespace zp
