#include "index/compute_index.h"

#include <fmt/format.h>

#include <algorithm>
#include <limits>
#include <optional>

#include "base/error.h"
#include "grid/block_pipeline.h"
#include "grid/halo.h"
#include "grid/raster_writer.h"
#include "outline/scanline.h"

namespace zp {
namespace {

RasterSpec indexSpec(const Grid& grid, const std::string& name, const Formula& formula) {
  RasterSpec spec;
  spec.grid = grid;
  spec.nodata = kNoDataOut;
  spec.bands.resize(1);
  spec.bands[0].name = name;
  spec.metadata["kind"] = "index";
  spec.metadata["formula"] = formula.text;
  return spec;
}

std::vector<std::string> namesIn(const std::vector<Formula>& formulas) {
  std::vector<std::string> all;
  for (const auto& f : formulas)
    for (const auto& v : f.variables)
      if (std::find(all.begin(), all.end(), v) == all.end()) all.push_back(v);
  return all;
}

}  // namespace

FormulaReader::FormulaReader(const Scope& scope, std::vector<Formula> formulas,
                             std::shared_ptr<KeptBands> kept)
    : FormulaReader(formulas, namesIn(formulas),
                    std::make_shared<BandReader>(scope.grid, scope.sources(namesIn(formulas)))) {
  reader_->keepIn(std::move(kept));
}

std::unique_ptr<FormulaReader> FormulaReader::with(std::vector<Formula> formulas) const {
  for (const auto& name : namesIn(formulas))
    if (std::find(names_.begin(), names_.end(), name) == names_.end()) return nullptr;
  return std::unique_ptr<FormulaReader>(new FormulaReader(std::move(formulas), names_, reader_));
}

FormulaReader::FormulaReader(std::vector<Formula> formulas, std::vector<std::string> names,
                             std::shared_ptr<BandReader> reader)
    : formulas_(std::move(formulas)), names_(std::move(names)), reader_(std::move(reader)) {
  for (const auto& f : formulas_) {
    halo_ = std::max(halo_, f.halo());
    planes_.emplace_back();
    for (const auto& v : f.variables)
      planes_.back().push_back(
          static_cast<size_t>(std::find(names_.begin(), names_.end(), v) - names_.begin()));
  }
}

std::vector<Window> FormulaReader::windows() const {
  return reader_->windows();
}

void FormulaReader::read(Window w, Block& block) const {
  block.window = w;
  block.wider = widened(w, halo_, reader_->grid());
  reader_->readReduced(block.wider, block.wider.width, block.wider.height, block.bands);
}

void FormulaReader::compute(Block& b) const {
  const size_t n = b.wider.pixels();
  b.values.resize(formulas_.size());
  for (size_t i = 0; i < formulas_.size(); ++i) {
    std::vector<const float*> planes;
    for (size_t p : planes_[i]) planes.push_back(b.bands.data() + p * n);
    std::vector<float> values(n);
    if (formulas_[i].windows.empty())
      evaluateFormula(formulas_[i], planes, n, values.data());
    else
      evaluateFormula(formulas_[i], planes, b.wider.width, b.wider.height, values.data());
    b.values[i] = halo_ == 0 ? std::move(values) : cutTo(b.window, values, b.wider);
  }
  b.bands = {};
}

std::vector<std::vector<float>> FormulaReader::reduced(Window w, int width, int height) const {
  const double scale = static_cast<double>(width) / w.width;
  const Window wider = widened(w, halo_, reader_->grid());
  const auto shrunk = [&](int pixels) { return static_cast<int>(pixels * scale + 0.5); };
  const int left = shrunk(w.x - wider.x), top = shrunk(w.y - wider.y);
  const int wide = std::max(left + width, shrunk(wider.width)),
            high = std::max(top + height, shrunk(wider.height));
  std::vector<float> bands;
  if (halo_ == 0)
    reader_->readReduced(w, width, height, bands);
  else
    reader_->readReduced(wider, wide, high, bands);
  const int bw = halo_ == 0 ? width : wide, bh = halo_ == 0 ? height : high;
  const size_t n = static_cast<size_t>(bw) * static_cast<size_t>(bh);
  std::vector<std::vector<float>> all;
  for (size_t i = 0; i < formulas_.size(); ++i) {
    std::vector<const float*> planes;
    for (size_t p : planes_[i]) planes.push_back(bands.data() + p * n);
    std::vector<float> values(n);
    evaluateFormula(formulas_[i], planes, bw, bh, values.data(), std::min(1.0, scale));
    all.push_back(halo_ == 0 ? std::move(values)
                             : cutTo({left, top, width, height}, values, {0, 0, bw, bh}));
  }
  return all;
}

void keepInside(const InsideMask& inside, Window w, std::vector<float>& values) {
  std::vector<uint8_t> mask;
  inside.fill(w, mask);
  for (size_t i = 0; i < values.size(); ++i)
    if (mask[i] == 0) values[i] = std::numeric_limits<float>::quiet_NaN();
}

Statistics computeIndex(const Scope& scope, const Formula& formula, const std::string& name,
                        const std::filesystem::path& temporary, const Layer* inside,
                        const Progress& progress) {
  struct Block : FormulaReader::Block {
    Statistics statistics;
  };
  const FormulaReader reader(scope, {formula});
  std::optional<InsideMask> mask;
  if (inside != nullptr) {
    mask.emplace(inside->shapes, scope.grid);
    if (!mask->any())
      throw Error("“{}” lies outside the scene; choose another outline.", inside->name);
  }
  RasterWriter writer(temporary, indexSpec(scope.grid, name, formula));
  Statistics total;
  runBlocks<Block>(
      reader.windows(), progress,
      [&](Window w) {
        auto b = std::make_shared<Block>();
        reader.read(w, *b);
        return b;
      },
      [&](Block& b) {
        reader.compute(b);
        if (mask) keepInside(*mask, b.window, b.values[0]);
        b.statistics.add(b.values[0].data(), b.values[0].size());
      },
      [&](Block& b) {
        total.merge(b.statistics);
        writer.write(1, b.window, b.values[0]);
      });
  writer.finish();
  if (total.valid == 0 && scope.scenes.size() > 1)
    throw Error("The scenes have no valid pixel in common; choose ones of one place.");
  return total;
}

Statistics computeIndex(const Scene& scene, const Formula& formula, const std::string& name,
                        const std::filesystem::path& temporary, const Layer* inside,
                        const Progress& progress) {
  return computeIndex(Scope(scene), formula, name, temporary, inside, progress);
}

}  // namespace zp
