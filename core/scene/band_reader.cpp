#include "scene/band_reader.h"

#include <fmt/format.h>
#include <fmt/ranges.h>

#include <algorithm>
#include <cmath>
#include <limits>
#include <numeric>

#include "base/error.h"
#include "base/nan.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

/// Pixels of a finer file that are held at once to fill a piece of a coarser grid.
constexpr size_t kMostUnder = size_t{4} << 20;

std::vector<BandSource> sourcesOf(const Scene& scene, std::vector<size_t> bands) {
  if (bands.empty()) {
    bands.resize(scene.bands.size());
    std::iota(bands.begin(), bands.end(), size_t{0});
  }
  std::vector<BandSource> sources;
  for (size_t b : bands) sources.push_back({&scene, b});
  return sources;
}

/// What the values of a band depend on; a file that is written anew is another.
std::string nameOf(const Scene& scene, const SceneBand& band, const Grid& onto) {
  const auto file = [](const fs::path& path) {
    std::error_code none;
    const auto when = fs::last_write_time(path, none).time_since_epoch().count();
    return fmt::format("{}@{}", path.string(), when);
  };
  const auto& c = band.conversion;
  return fmt::format(
      "{}|{}|{}|{}|{}|{}|{}|{},{}|{}|{}|{}|{}", file(band.file), band.reduced.string(), band.number,
      c.scale, c.offset, c.nodata.has_value(), c.nodata.value_or(0), scene.shift.x, scene.shift.y,
      scene.mask.empty() ? "" : file(scene.mask), scene.state == ValueState::ClassCodes,
      fmt::join(onto.transform, ","), onto.crs);
}

bool sameGridAndPlace(const RasterFile& raster, const std::filesystem::path& path, const Grid& grid,
                      const Grid& wanted) {
  return raster.path() == path && grid.sameAs(wanted);
}

}  // namespace

std::vector<const float*> BandBlock::pointers() const {
  std::vector<const float*> p;
  for (size_t i = 0; i < bands; ++i) p.push_back(band(i));
  return p;
}

BandReader::BandReader(const Scene& scene, std::vector<size_t> bands)
    : BandReader(scene.grid, sourcesOf(scene, std::move(bands))) {}

BandReader::BandReader(const Grid& grid, const std::vector<BandSource>& sources) : grid_(grid) {
  auto first = std::make_unique<Handles>();
  for (const auto& s : sources) add(*first, s);
  handles_ = std::make_unique<Pool<Handles>>(std::move(first), &openAgain);
  // Bands of one scene may lie beside each other; another scene that lies nowhere on the grid would
  // give an empty result.
  for (size_t i = 1; i < sources.size(); ++i)
    if (sources[i].scene != sources[0].scene && pixelsUnder(sources_[i], grid_) == 0)
      throw Error("“{}” and “{}” lie nowhere over each other; choose ones that do.",
                  sources[0].scene->name, sources[i].scene->name);
}

std::unique_ptr<BandReader::Handles> BandReader::openAgain(const Handles& first) {
  auto again = std::make_unique<Handles>();
  const auto open = [](const File& f) {
    File one{RasterFile(f.raster.path()), f.grid, f.same, f.reduced};
    if (!f.reduced.empty()) one.raster.lookFrom(f.reduced);
    return one;
  };
  for (const auto& f : first.files) again->files.push_back(open(f));
  for (const auto& m : first.masks) again->masks.push_back(open(m));
  return again;
}

size_t BandReader::fileOf(Handles& h, const std::filesystem::path& path, Place shift) {
  auto& files = h.files;
  for (size_t i = 0; i < files.size(); ++i)
    if (sameGridAndPlace(files[i].raster, path, files[i].grid, files[i].raster.grid().moved(shift)))
      return i;
  RasterFile raster(path);
  const Grid grid = raster.grid().moved(shift);
  if (!canBringTogether(grid, grid_))
    throw Error(
        "“{}” lies on another grid and has no reference system, so it cannot be "
        "brought together with the others; give it one first.",
        path.string());
  files.push_back({std::move(raster), grid, grid.sameAs(grid_)});
  return files.size() - 1;
}

void BandReader::add(Handles& h, const BandSource& from) {
  const Scene& scene = *from.scene;
  const auto& band = scene.bands.at(from.band);
  const size_t file = fileOf(h, band.file, scene.shift);
  File& opened = h.files[file];
  if (!band.reduced.empty() && !opened.raster.hasReducedCopy() &&
      opened.raster.lookFrom(band.reduced))
    opened.reduced = band.reduced;
  if (band.number > opened.raster.bands())
    throw Error("“{}” has no band {} any more; bring the scene in again.", band.file.string(),
                band.number);
  if (from.band == scene.gridBand && !opened.grid.sameAs(scene.grid))
    throw Error(
        "“{}” is not the size the scene had when it was brought in; bring the "
        "scene in again.",
        band.file.string());
  int mask = -1;
  if (!scene.mask.empty()) {
    const auto at = std::find_if(h.masks.begin(), h.masks.end(), [&](const File& m) {
      return sameGridAndPlace(m.raster, scene.mask, m.grid, scene.grid);
    });
    mask = static_cast<int>(at - h.masks.begin());
    if (at == h.masks.end()) {
      RasterFile raster(scene.mask);
      if (raster.grid().width != scene.grid.width || raster.grid().height != scene.grid.height)
        throw Error("The mask of “{}” is not of its size any more; make it again.", scene.name);
      h.masks.push_back({std::move(raster), scene.grid, scene.grid.sameAs(grid_)});
    }
  }
  sources_.push_back(
      {file, band.number, band.conversion,
       scene.state == ValueState::ClassCodes ? Resampling::Nearest : Resampling::Bilinear, mask,
       nameOf(scene, band, grid_)});
}

std::vector<Window> BandReader::windows(size_t bytes) const {
  const auto& files = handles_->first().files;
  const auto at = std::find_if(files.begin(), files.end(), [](const File& f) { return f.same; });
  const size_t budget = std::max<size_t>(1, bytes / (sizeof(float) * sources_.size()));
  if (at == files.end()) return planWindows(grid_, 256, 256, budget);
  return planWindows(grid_, at->raster.blockWidth(), at->raster.blockHeight(), budget);
}

void BandReader::read(Window w, BandBlock& block) const {
  block.window = w;
  block.bands = sources_.size();
  readReduced(w, w.width, w.height, block.values);
}

void BandReader::readReduced(Window w, int width, int height, std::vector<float>& values) const {
  const size_t n = static_cast<size_t>(width) * static_cast<size_t>(height);
  values.resize(n * sources_.size());
  const auto handles = handles_->borrow();
  for (size_t i = 0; i < sources_.size(); ++i) {
    const auto& s = sources_[i];
    float* out = values.data() + i * n;
    const auto known = kept_ ? kept_->find(s.name, w, width, height) : nullptr;
    if (known) {
      std::copy(known->begin(), known->end(), out);
      continue;
    }
    readOne(*handles, s, w, width, height, out);
    if (kept_)
      kept_->keep(s.name, w, width, height, std::make_shared<std::vector<float>>(out, out + n));
  }
}

void BandReader::readOne(const Handles& h, const Source& s, Window w, int width, int height,
                         float* out) const {
  const Grid piece = pieceOf(grid_, w, width, height);
  const bool reduced = width < w.width || height < w.height;
  if (!reduced && w.pixels() > 1 && isBroughtOver(s) && pixelsUnder(s, piece) > kMostUnder) {
    // A finer file under a coarser grid: by halves, rows first, so that each is filled in a row.
    const bool rows = w.height > 1;
    Window first = w, second = w;
    if (rows)
      first.height = w.height / 2, second.y += first.height, second.height -= first.height;
    else
      first.width = w.width / 2, second.x += first.width, second.width -= first.width;
    readOne(h, s, first, first.width, first.height, out);
    return readOne(h, s, second, second.width, second.height, out + first.pixels());
  }
  const bool fromAfar = width * 8 <= w.width && height * 8 <= w.height;
  const File& f = h.files[s.file];
  if (f.same && fromAfar)
    f.raster.readSampled(s.band, w, s.conversion, out, width, height);
  else if (f.same)
    f.raster.read(s.band, w, s.conversion, out, width, height);
  else
    bringOver(h, s, piece, reduced, out);
  if (s.mask >= 0) setAside(h, s, w, piece, out);
}

bool BandReader::isBroughtOver(const Source& s) const {
  const File* mask = maskOf(s);
  return !fileOf(s).same || (mask != nullptr && !mask->same);
}

/// Of the file and its mask, whichever has more under a piece of the grid.
size_t BandReader::pixelsUnder(const Source& s, const Grid& piece) const {
  const auto under = [&](const File& f) {
    return f.same ? piece.pixels() : PixelNet(piece, f.grid).window(0).pixels();
  };
  const File* mask = maskOf(s);
  return std::max(under(fileOf(s)), mask != nullptr && !mask->same ? under(*mask) : 0);
}

void BandReader::bringOver(const Handles& h, const Source& s, const Grid& piece, bool reduced,
                           float* out) const {
  const File& f = h.files[s.file];
  const PixelNet net(piece, f.grid);
  // What a pixel takes in reaches as far beyond its middle as it is wide, wherever the piece ends.
  const Window w = net.window(3 + static_cast<int>(std::min(1e6, std::ceil(net.reduction()))));
  if (w.width == 0 || w.height == 0) return std::fill(out, out + piece.pixels(), kNan);
  // For looking, not more pixels are read than are shown; for computing, all of them count, unless
  // a single pixel has more under it than are held at once.
  double shrink = reduced ? net.reduction() : 1;
  if (piece.pixels() == 1)
    shrink = std::max(shrink, std::sqrt(static_cast<double>(w.pixels()) / (2.0 * kMostUnder)));
  const int width = std::max(1, static_cast<int>(w.width / shrink)),
            height = std::max(1, static_cast<int>(w.height / shrink));
  std::vector<float> values(static_cast<size_t>(width) * static_cast<size_t>(height));
  f.raster.read(s.band, w, s.conversion, values.data(), width, height);
  const Grid from = pieceOf(f.grid, w, width, height);
  // Masked pixels are taken out before they can be mixed with their neighbours.
  if (s.mask >= 0 && h.masks[static_cast<size_t>(s.mask)].grid.sameAs(f.grid)) {
    std::vector<uint16_t> mask(values.size());
    h.masks[static_cast<size_t>(s.mask)].raster.readCodes(1, w, mask.data(), width, height);
    for (size_t i = 0; i < values.size(); ++i)
      if (mask[i] != 0) values[i] = kNan;
  }
  resample(values.data(), from, out, piece, s.resampling);
}

void BandReader::setAside(const Handles& h, const Source& s, Window w, const Grid& piece,
                          float* out) const {
  const File& m = h.masks[static_cast<size_t>(s.mask)];
  std::vector<uint16_t> mask(piece.pixels());
  if (m.same) {
    m.raster.readCodes(1, w, mask.data(), piece.width, piece.height);
  } else {
    const PixelNet net(piece, m.grid);
    const Window under = net.window(1);
    if (under.width == 0 || under.height == 0) return;
    std::vector<uint16_t> codes(under.pixels());
    m.raster.readCodes(1, under, codes.data());
    for (int y = 0; y < piece.height; ++y)
      for (int x = 0; x < piece.width; ++x) {
        const Place p = net.at(x, y);
        const double c = std::floor(p.x) - under.x, r = std::floor(p.y) - under.y;
        if (c >= 0 && r >= 0 && c < under.width && r < under.height)
          mask[static_cast<size_t>(y) * static_cast<size_t>(piece.width) + static_cast<size_t>(x)] =
              codes[static_cast<size_t>(r) * static_cast<size_t>(under.width) +
                    static_cast<size_t>(c)];
      }
  }
  for (size_t i = 0; i < mask.size(); ++i)
    if (mask[i] != 0) out[i] = kNan;
}

}  // namespace zp
