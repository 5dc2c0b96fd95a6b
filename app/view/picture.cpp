#include "view/picture.h"

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "feature/formula_feature.h"
#include "outline/scanline.h"
#include "outline/shape_json.h"
#include "radar/decibels.h"
#include "view/ramp.h"

namespace zp {
namespace {

constexpr float kNan = std::numeric_limits<float>::quiet_NaN();
constexpr QChar kDisplaySign(0x1f);  // parts a key's pixels from how they are displayed
constexpr QRgb kLit = 0xffff5ad2u;   // a pink that no land cover wears
constexpr QRgb kHatched = 0xff1c1c1cu;
constexpr int kHatch = 8;  // pixels from line to line; tiles are a multiple of it

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
  // Clamped as a real number: what no int holds would come out darkest.
  const float at = (v - low) / (high - low) * 255.0f + 0.5f;
  return at > 0 ? static_cast<int>(std::min(at, 255.0f)) : 0;
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

namespace {

/// Pixels of a picture, row by row.
struct PixelsRead {
  std::vector<std::vector<float>> channels;  // or
  std::vector<uint16_t> codes;
  std::vector<char> unlike;  // of codes: which are a guess; empty where nothing is known of it
};

void classify(const LearnedMap& map, const std::vector<std::vector<float>>& values, size_t n,
              PixelsRead& out) {
  std::vector<const float*> at;
  for (const auto& one : values) at.push_back(one.data());
  out.codes.resize(n);
  map.classifier->classify(at, n, out.codes.data());
  if (map.unlikeness == nullptr) return;
  std::vector<float> index(n);
  map.unlikeness->of(at, n, index.data());
  for (const float i : index)
    out.unlike.push_back(static_cast<double>(i) > map.unlikeness->limit() ? 1 : 0);
}

}  // namespace

/// The open files behind a picture, reading it at any size.
struct PicturePainter::Source {
  Grid grid;
  std::unique_ptr<BandReader> reader;
  std::unique_ptr<FeatureReader> features;  // of a formula or a learned map
  std::unique_ptr<MapReader> kept;          // what a learned map does not change
  std::unique_ptr<RasterFile> file;
  bool classes = false;

  PixelsRead read(const Picture& p, Window w, int width, int height) const {
    PixelsRead out;
    const size_t n = static_cast<size_t>(width) * static_cast<size_t>(height);
    if (p.learned) {
      classify(*p.learned, features->reduced(w, width, height), n, out);
      if (kept)
        kept->eachReduced(w, width, height, [&](size_t i, int code) {
          out.codes[i] = static_cast<uint16_t>(code);
          if (!out.unlike.empty()) out.unlike[i] = 0;
        });
    } else if (classes) {
      out.codes.resize(n);
      file->readCodes(1, w, out.codes.data(), width, height);
    } else if (file) {
      out.channels.assign(1, std::vector<float>(n));
      file->read(1, w, out.channels[0].data(), width, height);
    } else if (features) {
      out.channels = features->reduced(w, width, height);
    } else {
      readBands(p, w, width, height, out.channels);
    }
    return out;
  }

 private:
  void readBands(const Picture& p, Window w, int width, int height,
                 std::vector<std::vector<float>>& channels) const {
    const size_t n = static_cast<size_t>(width) * static_cast<size_t>(height);
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

Picture displayed(Picture p, const Display& display) {
  p.display = display;
  p.key = p.key.section(kDisplaySign, 0, 0);
  if (display.plain()) return p;
  const std::string text = toJson(display).dump();
  size_t hash = std::hash<std::string>{}(text);
  for (const auto& s : display.part)
    hash = hash * 31 + std::hash<std::string>{}(shapeJson(s).dump());
  p.key += kDisplaySign + QString::number(hash, 16);
  return p;
}

QRgb colourOf(const std::array<QRgb, 256>& ramp, const Stretch& s, float v) {
  if (s.edges.empty())
    return ramp[static_cast<size_t>(level(v, s.low[0], s.high[0]))] | 0xff000000u;
  // A step has the colour of its middle.
  const auto inner = s.edges.begin() + 1, last = s.edges.end() - 1;
  const auto step = static_cast<size_t>(std::upper_bound(inner, last, v) - inner);
  const double middle = (static_cast<double>(step) + 0.5) / static_cast<double>(s.edges.size() - 1);
  return ramp[static_cast<size_t>(middle * 255 + 0.5)] | 0xff000000u;
}

Grid gridOf(const Picture& p) {
  if (p.kind == Picture::Kind::None) return {};
  if (p.kind == Picture::Kind::Composite) return p.scene.grid;
  if (p.kind == Picture::Kind::Formula) return p.scope.grid;
  if (p.learned) return p.learned->scope.grid;
  return RasterFile(p.file).grid();
}

/// Of a formula that is being typed, or a map that is tried, the files stay open.
std::unique_ptr<FeatureReader> PicturePainter::featuresOf(const Picture& p, const Scope& scope,
                                                          const Features& features) const {
  for (const auto& [key, open] : open_) {
    if (!open->features || key.section('/', 0, 1) != p.key.section('/', 0, 1)) continue;
    if (auto same = open->features->with(features)) return same;
  }
  return std::make_unique<FeatureReader>(scope, features, kept_);
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
      s->reader->keepIn(kept_);
      s->grid = p.scene.grid;
      break;
    }
    case Picture::Kind::Formula:
      s->features = featuresOf(p, p.scope, {formulaFeature(p.formula, p.scope)});
      s->grid = p.scope.grid;
      break;
    default:
      s->classes = p.kind == Picture::Kind::Classes;
      if (p.learned) {
        s->features = featuresOf(p, p.learned->scope, p.learned->features);
        if (p.learned->kept)
          s->kept = std::make_unique<MapReader>(*p.learned->kept, p.learned->scope.grid);
        s->grid = p.learned->scope.grid;
        break;
      }
      s->file = std::make_unique<RasterFile>(p.file);
      s->grid = s->file->grid();
  }
  if (open_.size() >= 6) open_.erase(open_.begin());
  open_.emplace_back(p.key, s);
  return *open_.back().second;
}

namespace {

/// Values of a part of a picture that are looked at for its stretch: its window, and in the
/// channels NaN outside the part's shapes.
struct Part {
  Window window;
  std::vector<Shape> shapes;
};

Part partOf(const Picture& p, const Grid& grid) {
  Part part{{0, 0, grid.width, grid.height}, p.display.part};
  if (part.shapes.empty()) return part;
  part.window = bringOnto(grid, p.display.partCrs, part.shapes);
  return part;
}

void keepInside(const Part& part, const Grid& reduced, std::vector<float>& values) {
  if (part.shapes.empty()) return;
  InsideMask(part.shapes, reduced).keep({0, 0, reduced.width, reduced.height}, values.data());
}

void fullRange(const Histogram& h, float& low, float& high) {
  low = static_cast<float>(h.statistics.min), high = static_cast<float>(h.statistics.max);
  if (!(high > low)) high = low + 1e-6f + std::abs(low) * 1e-6f;
}

/// The edges of the steps of a classed display.
std::vector<float> edgesOf(const Display& d, const Stretch& s, std::vector<float> values) {
  std::vector<float> edges;
  if (d.steps == Display::Steps::None) return edges;
  std::erase_if(values, [](float v) { return std::isnan(v); });
  std::sort(values.begin(), values.end());
  for (int i = 0; i <= d.count; ++i) {
    const double share = static_cast<double>(i) / d.count;
    const auto at = static_cast<size_t>(share * static_cast<double>(values.size() - 1));
    edges.push_back(d.steps == Display::Steps::EqualCounts && !values.empty()
                        ? values[at]
                        : s.low[0] + static_cast<float>(share) * (s.high[0] - s.low[0]));
  }
  return edges;
}

}  // namespace

Overview PicturePainter::overview(const Picture& p) {
  Overview o;
  if (p.none()) return o;
  const Source& s = source(p);
  if (s.classes) return o;
  const Part part = partOf(p, s.grid);
  const Window& window = part.window;
  const double shrink = std::max(1.0, std::sqrt(static_cast<double>(window.pixels()) / 300000.0));
  const int w = std::max(1, static_cast<int>(window.width / shrink)),
            h = std::max(1, static_cast<int>(window.height / shrink));
  auto channels = s.read(p, window, w, h).channels;
  const Grid reduced = pieceOf(s.grid, window, w, h);
  Stretch& stretch = o.stretch;
  for (size_t c = 0; c < std::min<size_t>(3, channels.size()); ++c) {
    keepInside(part, reduced, channels[c]);
    o.histograms.push_back(histogramOf(channels[c], 200));
    if (p.display.range == Display::Range::Full)
      fullRange(o.histograms[c], stretch.low[c], stretch.high[c]);
    else
      percentiles(channels[c], stretch.low[c], stretch.high[c]);
  }
  o.histogram = o.histograms[0];
  if (p.ramp == "diverging" && channels.size() == 1) {
    // Its middle colour stands for zero, also where all values lie on one side of it.
    const float reach = std::max(std::abs(stretch.low[0]), std::abs(stretch.high[0]));
    stretch.low[0] = -reach, stretch.high[0] = reach;
  }
  if (isNaturalColour(p)) {
    // One range for red, green and blue, so that grey stays grey.
    const float low = *std::min_element(stretch.low.begin(), stretch.low.end());
    const float high = *std::max_element(stretch.high.begin(), stretch.high.end());
    stretch.low.fill(low);
    stretch.high.fill(high);
    stretch.bright = p.scene.state != ValueState::RawCounts;
  }
  if (p.display.range == Display::Range::ByHand)
    stretch.low = p.display.low, stretch.high = p.display.high;
  for (size_t c = channels.size(); c < 3; ++c)
    stretch.low[c] = stretch.low[0], stretch.high[c] = stretch.high[0];
  if (channels.size() == 1) stretch.edges = edgesOf(p.display, stretch, channels[0]);
  return o;
}

namespace {

/// How what was read becomes colours.
class Shades {
 public:
  Shades(const Picture& p, const Stretch& stretch, bool classes,
         const std::vector<std::vector<float>>& channels, const std::vector<uint16_t>& codes)
      : display_(p.display), stretch_(stretch), channels_(channels), codes_(codes) {
    if (classes) {
      classes_.assign(65536, 0);
      for (const auto& c : p.legend.classes)
        if ((p.onlyClass == 0 || p.onlyClass == c.code) && p.display.hidden.count(c.code) == 0)
          classes_[static_cast<size_t>(c.code)] = qRgb(c.colour.r, c.colour.g, c.colour.b);
    } else if (channels.size() < 3) {
      ramp_ = ramp(p.ramp);
    }
    for (size_t i = 0; i < lifted_.size(); ++i)
      lifted_[i] = stretch.bright
                       ? static_cast<int>(255 * std::pow(static_cast<double>(i) / 255, 0.62) + 0.5)
                       : static_cast<int>(i);
  }

  /// Of the pixel `i` of what was read; 0, transparent, where there is nothing to show.
  QRgb at(size_t i) const {
    if (!classes_.empty()) return classes_[codes_[i]];
    const float v = channels_[0][i];
    if (std::isnan(v)) return 0;
    if (display_.lit) return v >= display_.low[0] && v <= display_.high[0] ? kLit : 0;
    if (channels_.size() < 3) return colourOf(ramp_, stretch_, v);
    const float g = channels_[1][i], b = channels_[2][i];
    if (std::isnan(g) || std::isnan(b)) return 0;
    return qRgb(shown(v, 0), shown(g, 1), shown(b, 2));
  }

 private:
  int shown(float value, size_t channel) const {
    return lifted_[static_cast<size_t>(
        level(value, stretch_.low[channel], stretch_.high[channel]))];
  }

  const Display& display_;
  const Stretch& stretch_;
  const std::vector<std::vector<float>>& channels_;
  const std::vector<uint16_t>& codes_;
  std::vector<QRgb> classes_;  // by code
  std::array<QRgb, 256> ramp_{};
  std::array<int, 256> lifted_{};
};

}  // namespace

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
  const PixelsRead read = s.read(p, w, width, height);
  const Shades shades(p, stretch, s.classes, read.channels, read.codes);
  const double sx = static_cast<double>(width) / w.width,
               sy = static_cast<double>(height) / w.height;
  std::vector<Place> places;
  for (int y = 0; y < piece.height; ++y) {
    auto* line = reinterpret_cast<QRgb*>(image.scanLine(y));
    net.row(y, places);
    for (int x = 0; x < piece.width; ++x) {
      const Place at = places[static_cast<size_t>(x)];
      if (!(at.x >= 0 && at.y >= 0 && at.x < s.grid.width && at.y < s.grid.height)) continue;
      const int c = std::clamp(static_cast<int>((at.x - w.x) * sx), 0, width - 1),
                r = std::clamp(static_cast<int>((at.y - w.y) * sy), 0, height - 1);
      const size_t i = static_cast<size_t>(r) * static_cast<size_t>(width) + static_cast<size_t>(c);
      line[x] = shades.at(i);
      if (!read.unlike.empty() && read.unlike[i] != 0 && (x + y) % kHatch < 2) line[x] = kHatched;
    }
  }
  return image;
}

}  // namespace zp
