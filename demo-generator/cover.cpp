#include "cover.h"

#include <algorithm>
#include <cmath>

#include "base/random.h"
#include "noise.h"
#include "steady_math.h"

namespace haven {
namespace {

struct Words {
  int code;
  const char* subclass;
};
constexpr Words kWords[kCovers] = {
    {1, "clear"},   {1, "silty"},   {2, "mud"},   {2, "sand"},      {3, "pioneer"}, {3, "high"},
    {4, "uncut"},   {4, "cut"},     {5, "young"}, {5, "old"},       {6, "meadow"},  {6, "sea wall"},
    {7, "bare"},    {7, "in leaf"}, {7, "ripe"},  {8, "broadleaf"}, {8, "conifer"}, {9, "roofs"},
    {9, "gardens"}, {9, "roads"},   {9, "quarry"}};

struct Town {
  Place centre;
  double radius, turn;
};
constexpr Town kTowns[] = {{{8650, 1950}, 720, 0.35},
                           {{10650, 6350}, 470, -0.2},
                           {{6850, 7850}, 250, 0.6},
                           {{2300, 2350}, 190, 0.1}};
constexpr Place kQuarry{10150, 1150};

std::vector<Course> roads() {
  return {
      through({{2300, 2350},
               {3600, 1700},
               {5400, 1250},
               {7200, 1500},
               {8650, 1950},
               {10100, 1900},
               {12200, 1150}},
              5),
      through({{8650, 1950},
               {9050, 2900},
               {9600, 3700},
               {10050, 4400},
               {10500, 5300},
               {10650, 6350},
               {11000, 7600},
               {10850, 9200}},
              5),
      through({{10650, 6350}, {9300, 6900}, {7900, 7500}, {6850, 7850}, {5200, 8100}, {3900, 9200}},
              4.5),
      through({{2300, 2350}, {2150, 1300}, {2600, -200}}, 4),
      through({{10050, 1150}, {9500, 1600}, {9350, 1900}}, 3.5)};
}

/// A field of stretched Voronoi cells: which one, and how far its edge is.
struct FieldAt {
  uint16_t number;
  double edge;
};

/// Each parish laid its fields out in its own direction.
double parishTurn(Place p) {
  const double x = p.x / 1900 + 0.35 * noise(p.x / 900, p.y / 900, 45),
               y = p.y / 1900 + 0.35 * noise(p.x / 900, p.y / 900, 46);
  const auto ix = static_cast<int64_t>(std::floor(x)), iy = static_cast<int64_t>(std::floor(y));
  double nearest = 1e9, turn = 0;
  for (int64_t b = iy - 1; b <= iy + 1; ++b)
    for (int64_t a = ix - 1; a <= ix + 1; ++a) {
      const double dx = static_cast<double>(a) + chance(a, b, 47) - x,
                   dy = static_cast<double>(b) + chance(a, b, 48) - y;
      if (dx * dx + dy * dy < nearest) nearest = dx * dx + dy * dy, turn = 2.6 * chance(a, b, 49);
    }
  return turn;
}

FieldAt fieldAt(Place p) {
  const double bend = 45 * layered(p.x / 1300, p.y / 1300, 2, 41);
  const double turn = parishTurn(p);
  const double c = steadyCos(turn), s = steadySin(turn);
  const double u = (c * p.x - s * p.y + bend) / 255, v = (s * p.x + c * p.y + bend) / 165;
  const auto iu = static_cast<int64_t>(std::floor(u)), iv = static_cast<int64_t>(std::floor(v));
  double first = 1e9, second = 1e9;
  uint16_t number = 0;
  for (int64_t b = iv - 1; b <= iv + 1; ++b)
    for (int64_t a = iu - 1; a <= iu + 1; ++a) {
      const double du = static_cast<double>(a) + 0.12 + 0.76 * chance(a, b, 43) - u;
      const double dv = static_cast<double>(b) + 0.12 + 0.76 * chance(a, b, 44) - v;
      // Straight hedges along the stretched axes: a mix of city-block and straight distance.
      const double d =
          0.55 * std::sqrt(du * du + dv * dv) + 0.45 * std::max(std::abs(du), std::abs(dv));
      if (d < first) {
        second = first, first = d;
        number = static_cast<uint16_t>(zp::mix(static_cast<uint64_t>(a * 4099 + b)) & 0xffff);
      } else {
        second = std::min(second, d);
      }
    }
  return {number, (second - first) * 95};
}

double fieldChance(uint16_t field, uint64_t seed) {
  return chance(field, 7, seed);
}

Cover crop(uint16_t field) {
  const double r = fieldChance(field, 51);
  return r < 0.3 ? Cover::FieldBare : r < 0.72 ? Cover::FieldLeaf : Cover::FieldYellow;
}

/// Streets, houses and gardens of a town; false outside its built ground.
bool townAt(Place p, Cover& cover) {
  for (const auto& t : kTowns) {
    const double dx = p.x - t.centre.x, dy = p.y - t.centre.y;
    const double wobble = 1 + 0.34 * layered(p.x / 420, p.y / 420, 3, 61);
    const double away = std::sqrt(dx * dx + dy * dy) / (t.radius * std::max(0.4, wobble));
    if (away > 1.05) continue;
    const double c = steadyCos(t.turn), s = steadySin(t.turn);
    const double bend = 34 * layered(p.x / 500, p.y / 500, 2, 62);
    const double u = c * dx - s * dy + bend, v = s * dx + c * dy - bend;
    const double bu = 120, bv = 66;  // a block
    const double cu = u - bu * std::floor(u / bu), cv = v - bv * std::floor(v / bv);
    if (cu < 7.5 || cv < 6.5) return cover = Cover::Road, away < 1;
    const auto lu = static_cast<int64_t>(std::floor(u / 20)),
               lv = static_cast<int64_t>(std::floor(v / 16.5));
    const double inU = u - 20 * std::floor(u / 20), inV = v - 16.5 * std::floor(v / 16.5);
    const double built = 0.93 - 0.5 * away * away;
    const bool house = chance(lu, lv, 63) < built && inU > 2.5 &&
                       inU < 12 + 7 * chance(lu, lv, 64) && inV > 2.5 &&
                       inV < 11 + 4.5 * chance(lu, lv, 65);
    cover = house ? Cover::Roof : Cover::Garden;
    const auto blockU = static_cast<int64_t>(std::floor(u / bu)),
               blockV = static_cast<int64_t>(std::floor(v / bv));
    return chance(blockU, blockV, 66) < 1.5 - 1.1 * away;  // blocks left open at the fringe
  }
  return false;
}

/// Low ground that tides and fresh water shape, by height.
Cover wetland(Place p, double h, double creek) {
  const double fresh = smooth(4200, 9500, p.x);  // reed likes the fresh end
  const double patch = layered(p.x / 310, p.y / 310, 4, 71);
  if (h < 0) return h < -1.4 ? Cover::ClearWater : Cover::SiltyWater;
  const double mudTop = 0.85 + 0.22 * patch;
  if (h < mudTop)
    return p.x + 500 * noise(p.x / 500, p.y / 500, 73) < 2300 && creek > 60 &&
                   noise(p.x / 700, p.y / 700, 72) > -0.1
               ? Cover::Sand
               : Cover::Mud;
  const double marshTop = 2.5 - 0.85 * fresh + 0.35 * patch;
  if (h < marshTop) return h < mudTop + 0.45 + 0.3 * patch ? Cover::LowMarsh : Cover::HighMarsh;
  const double reedTop = 2.75 + 0.8 * fresh + 0.45 * patch;
  if (h < reedTop) return Cover::ReedUncut;
  return Cover::WetMeadow;
}

Cover dryland(Place p, double h, uint16_t field, double edge) {
  const double wood = layered(p.x / 1500, p.y / 1500, 5, 81) + 0.006 * (h - 14);
  if (wood > 0.26 && h > 5.6)
    return layered(p.x / 900, p.y / 900, 2, 82) > 0.14 ? Cover::Conifer : Cover::Broadleaf;
  const double hedge = 2.6 + 2.2 * noise(p.x / 90, p.y / 90, 83);
  if (edge < hedge && h > 5.2) return Cover::Broadleaf;
  const double damp = smooth(13, 5, h + 3 * noise(p.x / 600, p.y / 600, 84));
  if (fieldChance(field, 52) < 0.16 + 0.75 * damp) return Cover::WetMeadow;
  return crop(field);
}

bool inQuarry(Place p) {
  const double dx = (p.x - kQuarry.x) / 1.35, dy = p.y - kQuarry.y;
  return std::sqrt(dx * dx + dy * dy) < 175 + 55 * layered(p.x / 160, p.y / 160, 3, 91);
}

constexpr double kCompartmentRadius = 145;

/// The cell of a seed among its neighbours: a circle of sixteen corners cut by the bisectors.
std::vector<Place> voronoiCell(size_t own, const std::vector<Place>& seeds, double radius) {
  const Place s = seeds[own];
  std::vector<Place> cell;
  for (int k = 0; k < 16; ++k)
    cell.push_back(
        {s.x + radius * steadyCos(k * 0.39269908), s.y + radius * steadySin(k * 0.39269908)});
  for (size_t j = 0; j < seeds.size(); ++j) {
    if (j == own) continue;
    const Place mid{(s.x + seeds[j].x) / 2, (s.y + seeds[j].y) / 2},
        n{seeds[j].x - s.x, seeds[j].y - s.y};
    const auto beyond = [&](Place p) { return (p.x - mid.x) * n.x + (p.y - mid.y) * n.y; };
    std::vector<Place> kept;
    for (size_t i = 0; i < cell.size(); ++i) {
      const Place a = cell[i], b = cell[(i + 1) % cell.size()];
      const double da = beyond(a), db = beyond(b);
      if (da <= 0) kept.push_back(a);
      if ((da < 0) != (db < 0))
        kept.push_back({a.x + (b.x - a.x) * da / (da - db), a.y + (b.y - a.y) * da / (da - db)});
    }
    cell = std::move(kept);
  }
  return cell;
}

/// Compartments where reed grows: seeds at least 150 m apart on reed ground.
std::vector<Compartment> makeCompartments(const std::vector<Cover>& cover) {
  zp::Random random(606);
  std::vector<Place> seeds;
  for (int tries = 0; tries < 400000 && seeds.size() < 62; ++tries) {
    const Place p{random.between(200, 11800), random.between(200, 8800)};
    const auto i = static_cast<size_t>(p.y / kPixel) * kWidth + static_cast<size_t>(p.x / kPixel);
    const bool near = std::any_of(seeds.begin(), seeds.end(), [&](Place q) {
      return (p.x - q.x) * (p.x - q.x) + (p.y - q.y) * (p.y - q.y) < 150.0 * 150;
    });
    if (!near && cover[i] == Cover::ReedUncut) seeds.push_back(p);
  }
  std::vector<Compartment> out;
  for (size_t i = 0; i < seeds.size(); ++i) {
    Compartment c;
    c.number = static_cast<int>(i) + 1;
    c.seed = seeds[i];
    c.osier = random.uniform() < 0.3;
    c.cut = random.uniform() < 0.42;
    c.lastCut = c.cut ? 2031 : 2026 + static_cast<int>(random.below(4));
    c.waterLevel = static_cast<int>(random.below(36)) - 8;
    c.outline = voronoiCell(i, seeds, kCompartmentRadius);
    out.push_back(std::move(c));
  }
  return out;
}

/// Which compartment a place lies in, or nullptr.
const Compartment* compartmentAt(Place p, const std::vector<Compartment>& all) {
  const Compartment* best = nullptr;
  double nearest = 1e18;
  for (const auto& c : all) {
    const double dx = p.x - c.seed.x, dy = p.y - c.seed.y, d = dx * dx + dy * dy;
    if (d < nearest) nearest = d, best = &c;
  }
  if (best == nullptr || nearest > kCompartmentRadius * kCompartmentRadius) return nullptr;
  if (best->osier && nearest > 105.0 * 105 * (1 + 0.9 * noise(p.x / 110, p.y / 110, 98)))
    return nullptr;
  return best;
}

void plant(Cover& c, const Compartment* where) {
  if (c == Cover::ReedUncut && where != nullptr) {
    if (where->osier)
      c = where->cut ? Cover::OsierYoung : Cover::OsierOld;
    else if (where->cut)
      c = Cover::ReedCut;
  } else if ((c == Cover::HighMarsh || c == Cover::WetMeadow) && where != nullptr && where->osier) {
    c = where->cut ? Cover::OsierYoung : Cover::OsierOld;
  }
}

}  // namespace

int classOf(Cover c) {
  return kWords[static_cast<size_t>(c)].code;
}
std::string subclassOf(Cover c) {
  return kWords[static_cast<size_t>(c)].subclass;
}

zp::Legend havenLegend() {
  zp::Legend l;
  const auto add = [&](const char* name, const char* colour, const char* about) {
    zp::LegendClass c;
    c.code = l.firstFreeCode();
    c.name = name;
    c.colour = zp::colourFrom(colour);
    c.description = about;
    for (const auto& w : kWords)
      if (w.code == c.code) c.subclasses.push_back({w.subclass});
    l.add(std::move(c));
  };
  add("Open water", "#3a6ea5", "Sea, channel and creeks that hold water at low tide.");
  add("Tidal flat", "#c4b296", "Mud and sand that fall dry at low tide, without growth.");
  add("Saltmarsh", "#928e5c",
      "Salt-tolerant growth that the tide reaches, from pioneers to the high marsh.");
  add("Reedbed", "#ba9658", "Reed, cut in winter or left standing.");
  add("Osier bed", "#689658", "Willow grown for rods, young after a cut or old.");
  add("Wet meadow", "#a0c468", "Damp grassland and the grassed sea wall.");
  add("Ploughland", "#d8b074", "Fields under the plough: bare, in leaf or ripe.");
  add("Woodland", "#2c5c38", "Broadleaf and conifer woods, and hedges.");
  add("Built-up", "#b05660", "Houses with gardens, roads, and the quarry.");
  return l;
}

World makeWorld() {
  World w;
  w.estuary = makeEstuary();
  w.texture = makeTexture();
  const auto& e = w.estuary;
  const auto road = edgeDistance(roads(), 30);
  w.before.resize(kPixels);
  w.after.resize(kPixels);
  w.field.resize(kPixels);
  forRows(kHeight, [&](int row) {
    for (int col = 0; col < kWidth; ++col) {
      const size_t i = static_cast<size_t>(row) * kWidth + static_cast<size_t>(col);
      const Place p{(col + 0.5) * kPixel, (row + 0.5) * kPixel};
      const double h = e.height[i];
      const FieldAt f = fieldAt(p);
      w.field[i] = f.number;
      const double dryFrom = 4.35 + 0.5 * noise(p.x / 420, p.y / 420, 95);
      Cover c = h < dryFrom ? wetland(p, h, e.creekDistance[i]) : dryland(p, h, f.number, f.edge);
      Cover town = c;
      if (h > 3.6 && townAt(p, town)) c = town;
      if (h > 3.4 && inQuarry(p)) c = Cover::Quarry;
      if (road[i] < 0) c = Cover::Road;
      w.after[i] = c;
      // Behind the wall there were fields: drained, with ditches instead of creeks.
      const bool reclaimed = e.insidePolder[i] != 0 && h < dryFrom;
      if (reclaimed) {
        c = f.edge < 2.5                       ? Cover::WetMeadow
            : fieldChance(f.number, 53) < 0.45 ? Cover::WetMeadow
                                               : crop(f.number);
      }
      w.before[i] = c;
    }
  });
  w.compartments = makeCompartments(w.after);
  forRows(kHeight, [&](int row) {
    for (int col = 0; col < kWidth; ++col) {
      const size_t i = static_cast<size_t>(row) * kWidth + static_cast<size_t>(col);
      const Place p{(col + 0.5) * kPixel, (row + 0.5) * kPixel};
      const auto* where = compartmentAt(
          {p.x + 9 * noise(p.x / 45, p.y / 45, 96), p.y + 9 * noise(p.x / 45, p.y / 45, 97)},
          w.compartments);
      plant(w.after[i], where);
      plant(w.before[i], where);
      if (e.wallDistance[i] < 0) w.after[i] = w.before[i] = Cover::WallBank;
    }
  });
  return w;
}

}  // namespace haven
