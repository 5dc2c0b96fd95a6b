#include "view/ramp.h"

#include <QColor>
#include <map>

#include "base/data_folder.h"
#include "base/json.h"
#include "legend/legend.h"

namespace zp {
namespace {

struct Ramp {
  std::string title;
  std::array<QRgb, 256> colours;
};

std::array<QRgb, 256> between(const std::vector<Colour>& stops) {
  std::array<QRgb, 256> out{};
  for (size_t i = 0; i < 256; ++i) {
    const double at = static_cast<double>(i) / 255 * static_cast<double>(stops.size() - 1);
    const size_t k = std::min(static_cast<size_t>(at), stops.size() - 2);
    const double t = at - static_cast<double>(k);
    const auto mixed = [&](uint8_t a, uint8_t b) {
      return static_cast<int>(a + t * (b - a) + 0.5);
    };
    out[i] = qRgb(mixed(stops[k].r, stops[k + 1].r), mixed(stops[k].g, stops[k + 1].g),
                  mixed(stops[k].b, stops[k + 1].b));
  }
  return out;
}

const std::vector<std::pair<std::string, Ramp>>& all() {
  static const auto ramps = [] {
    std::vector<std::pair<std::string, Ramp>> v;
    const Json json = readJson(dataFile("ramps.json"), "zany-patch-ramps");
    for (const auto& r : json.at("ramps")) {
      std::vector<Colour> stops;
      for (const auto& s : r.at("stops")) stops.push_back(colourFrom(s));
      v.push_back({r.at("id"), {r.at("title"), between(stops)}});
    }
    return v;
  }();
  return ramps;
}

}  // namespace

const std::array<QRgb, 256>& ramp(const std::string& id) {
  for (const auto& [name, r] : all())
    if (name == id) return r.colours;
  return all().front().second.colours;
}

std::vector<std::pair<std::string, std::string>> rampNames() {
  std::vector<std::pair<std::string, std::string>> names;
  for (const auto& [id, r] : all()) names.emplace_back(id, r.title);
  return names;
}

}  // namespace zp
