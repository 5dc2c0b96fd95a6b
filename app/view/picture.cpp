#include "view/picture.h"

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "view/ramp.h"

namespace zp {
namespace {

constexpr float kNan = std::numeric_limits<float>::quiet_NaN();

float toDecibels(float power) {
  return power > 0 ? 10 * std::log10(power) : kNan;
}

/// The values that leave 1 % of the valid ones out at each end.
void percentiles(std::vector<float> values, float& low, float& high) {
  values.erase(std::remove_if(values.begin(), values.end(), [](float v) { return std::isnan(v); }),
               values.end());
  if (values.empty()) return;
  const auto at = [&](double share) {
    const auto n = static_cast<std::ptrdiff_t>(share * static_cast<double>(values.size() - 1));
    std::nth_element(values.begin(), values.begin() + n, values.end());
    return values[static_cast<size_t>(n)];
  };
  low = at(0.01), high = at(0.99);
  if (!(high > low)) high = low + 1e-6f + std::abs(low) * 1e-6f;
}

bool isNaturalColour(const Picture& p) {
  if (p.kind != Picture::Kind::Composite || p.singleBand()) return false;
  const char* roles[] = {"red", "green", "blue"};
  for (size_t c = 0; c < 3; ++c)
    if (p.scene.bands[p.bands[c]].role != roles[c]) return false;
  return true;
}

int level(float v, float low, float high) {
  return std::clamp(static_cast<int>((v - low) / (high - low) * 255.0f + 0.5f), 0, 255);
}

/// A piece of the view as a grid in the view's system; with no system, in that of the picture.
Grid gridOf(const MapPiece& piece, const std::string& crs) {
  Grid g;
  g.width = piece.width, g.height = piece.height;
  g.transform = {piece.left, piece.unitsPerPixel, 0, piece.top, 0, -piece.unitsPerPixel};
  g.georeferenced = true;
  g.crs = crs;
  return g;
}

}  // namespace

/// The open files behind a picture, reading channels at any size.
struct PicturePainter::Source {
  Grid grid;
  std::unique_ptr<BandReader> reader;
  std::unique_ptr<FormulaReader> formula;
  std::unique_ptr<RasterFile> file;
  bool classes = false;

  void read(const Picture& p, Window w, int width, int height,
            std::vector<std::vector<float>>& channels, std::vector<uint16_t>& codes) const {
    const size_t n = static_cast<size_t>(width) * static_cast<size_t>(height);
    if (classes) {
      codes.resize(n);
      return file->readCodes(1, w, codes.data(), width, height);
    }
    if (file) {
      channels.assign(1, std::vector<float>(n));
      return file->read(1, w, channels[0].data(), width, height);
    }
    if (formula) {
      channels = formula->reduced(w, width, height);
      return;
    }
    std::vector<float> values;
    reader->readReduced(w, width, height, values);
    channels.assign(reader->bands(), {});
    for (size_t b = 0; b < channels.size(); ++b) {
      const auto from = values.begin() + static_cast<std::ptrdiff_t>(b * n);
      channels[b].assign(from, from + static_cast<std::ptrdiff_t>(n));
      if (p.decibels)
        for (float& v : channels[b]) v = toDecibels(v);
    }
  }
};

QString sceneKey(const Scene& scene) {
  return QString::number(std::hash<std::string>{}(toJson(scene, {}).dump()), 16);
}

Picture compositePicture(const std::string& id, const Scene& scene, std::array<size_t, 3> bands,
                         const QString& title) {
  Picture p;
  p.kind = Picture::Kind::Composite;
  p.of = id;
  p.scene = scene;
  p.bands = bands;
  p.decibels = scene.state == ValueState::BackscatterPower;
  p.title = QString::fromStdString(scene.name);
  p.detail = title;
  p.key = QString("c/%1/%2-%3-%4").arg(sceneKey(scene)).arg(bands[0]).arg(bands[1]).arg(bands[2]);
  return p;
}

Grid gridOf(const Picture& p) {
  if (p.kind == Picture::Kind::None) return {};
  if (p.kind == Picture::Kind::Composite) return p.scene.grid;
  if (p.kind == Picture::Kind::Formula) return p.scope.grid;
  return RasterFile(p.file).grid();
}

PicturePainter::Source& PicturePainter::source(const Picture& p) {
  for (auto& [key, s] : open_)
    if (key == p.key) return *s;
  auto s = std::make_shared<Source>();
  switch (p.kind) {
    case Picture::Kind::Composite: {
      std::vector<size_t> bands(p.bands.begin(), p.bands.end());
      if (p.singleBand()) bands.resize(1);
      s->reader = std::make_unique<BandReader>(p.scene, bands);
      s->grid = p.scene.grid;
      break;
    }
    case Picture::Kind::Formula:
      s->formula = std::make_unique<FormulaReader>(p.scope, std::vector<Formula>{p.formula});
      s->grid = p.scope.grid;
      break;
    default:
      s->file = std::make_unique<RasterFile>(p.file);
      s->grid = s->file->grid();
      s->classes = p.kind == Picture::Kind::Classes;
  }
  if (open_.size() >= 6) open_.erase(open_.begin());
  open_.emplace_back(p.key, s);
  return *open_.back().second;
}

Overview PicturePainter::overview(const Picture& p) {
  Overview o;
  if (p.none()) return o;
  const Source& s = source(p);
  if (s.classes) return o;
  const double shrink = std::max(1.0, std::sqrt(static_cast<double>(s.grid.pixels()) / 300000.0));
  const int w = std::max(1, static_cast<int>(s.grid.width / shrink)),
            h = std::max(1, static_cast<int>(s.grid.height / shrink));
  std::vector<std::vector<float>> channels;
  std::vector<uint16_t> codes;
  s.read(p, {0, 0, s.grid.width, s.grid.height}, w, h, channels, codes);
  for (size_t c = 0; c < std::min<size_t>(3, channels.size()); ++c)
    percentiles(channels[c], o.stretch.low[c], o.stretch.high[c]);
  if (p.ramp == "diverging" && channels.size() == 1 && o.stretch.low[0] < 0 &&
      o.stretch.high[0] > 0) {
    // Its middle colour stands for zero.
    const float reach = std::max(-o.stretch.low[0], o.stretch.high[0]);
    o.stretch.low[0] = -reach, o.stretch.high[0] = reach;
  }
  if (isNaturalColour(p)) {
    // One range for red, green and blue, so that grey stays grey.
    const float low = *std::min_element(o.stretch.low.begin(), o.stretch.low.end());
    const float high = *std::max_element(o.stretch.high.begin(), o.stretch.high.end());
    o.stretch.low.fill(low);
    o.stretch.high.fill(high);
    o.stretch.bright = p.scene.state != ValueState::RawCounts;
  }
  for (size_t c = channels.size(); c < 3; ++c)
    o.stretch.low[c] = o.stretch.low[0], o.stretch.high[c] = o.stretch.high[0];
  o.histogram = histogramOf(channels[0], 200);
  return o;
}

QImage PicturePainter::paint(const Picture& p, const Stretch& stretch, const MapPiece& piece,
                             const std::string& crs) {
  QImage image(piece.width, piece.height, QImage::Format_ARGB32_Premultiplied);
  image.fill(Qt::transparent);
  if (p.none()) return image;
  const Source& s = source(p);
  const PixelNet net(gridOf(piece, crs), s.grid);
  const Window w = net.window();
  if (w.width == 0 || w.height == 0) return image;
  // Not more pixels than the piece shows.
  const Place a = net.at(0, 0), b = net.at(piece.width - 1, piece.height - 1);
  const double across = std::max(1.0, std::abs(b.x - a.x) / piece.width),
               down = std::max(1.0, std::abs(b.y - a.y) / piece.height);
  const int width = std::max(1, static_cast<int>(std::ceil(w.width / across))),
            height = std::max(1, static_cast<int>(std::ceil(w.height / down)));
  std::vector<std::vector<float>> channels;
  std::vector<uint16_t> codes;
  s.read(p, w, width, height, channels, codes);

  std::array<QRgb, 256> colours = ramp(p.ramp);
  std::vector<QRgb> classes;
  if (s.classes) {
    classes.assign(65536, 0);
    for (const auto& c : p.legend.classes)
      if (p.onlyClass == 0 || p.onlyClass == c.code)
        classes[static_cast<size_t>(c.code)] = qRgb(c.colour.r, c.colour.g, c.colour.b);
  }
  std::array<int, 256> lifted;
  for (size_t i = 0; i < 256; ++i)
    lifted[i] = stretch.bright
                    ? static_cast<int>(255 * std::pow(static_cast<double>(i) / 255, 0.62) + 0.5)
                    : static_cast<int>(i);
  const double sx = static_cast<double>(width) / w.width,
               sy = static_cast<double>(height) / w.height;
  for (int y = 0; y < piece.height; ++y) {
    auto* line = reinterpret_cast<QRgb*>(image.scanLine(y));
    for (int x = 0; x < piece.width; ++x) {
      const Place at = net.at(x, y);
      if (!(at.x >= 0 && at.y >= 0 && at.x < s.grid.width && at.y < s.grid.height)) continue;
      const int c = std::clamp(static_cast<int>((at.x - w.x) * sx), 0, width - 1),
                r = std::clamp(static_cast<int>((at.y - w.y) * sy), 0, height - 1);
      const size_t i = static_cast<size_t>(r) * static_cast<size_t>(width) + static_cast<size_t>(c);
      if (s.classes) {
        line[x] = classes[codes[i]];
        continue;
      }
      const float v = channels[0][i];
      if (std::isnan(v)) continue;
      if (channels.size() < 3) {
        line[x] =
            colours[static_cast<size_t>(level(v, stretch.low[0], stretch.high[0]))] | 0xff000000u;
        continue;
      }
      const float g = channels[1][i], bl = channels[2][i];
      if (std::isnan(g) || std::isnan(bl)) continue;
      const auto shown = [&](float value, size_t channel) {
        return lifted[static_cast<size_t>(
            level(value, stretch.low[channel], stretch.high[channel]))];
      };
      line[x] = qRgb(shown(v, 0), shown(g, 1), shown(bl, 2));
    }
  }
  return image;
}

}  // namespace zp
