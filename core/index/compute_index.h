#pragma once
#include <filesystem>

#include "base/progress.h"
#include "index/formula.h"
#include "index/scope.h"
#include "index/statistics.h"
#include "outline/layer.h"

namespace zp {

/// Computes a formula over scenes and layers, block by block, to a Float32 GeoTIFF at `temporary`
/// (no data −9999), on the scope's grid. With `inside`, only pixels whose centre lies in one of its
/// polygons (in that grid's system) get a value. Error: a name the scope lacks, an outline outside.
Statistics computeIndex(const Scope& scope, const Formula& formula, const std::string& name,
                        const std::filesystem::path& temporary, const Layer* inside = nullptr,
                        const Progress& progress = Progress());
/// Of one scene by itself.
Statistics computeIndex(const Scene& scene, const Formula& formula, const std::string& name,
                        const std::filesystem::path& temporary, const Layer* inside = nullptr,
                        const Progress& progress = Progress());

/// Values of several formulas over the same windows: those of formulas[i] as values[i].
class FormulaReader {
 public:
  /// What `reduced` reads is kept in `kept`, if there is one.
  FormulaReader(const Scope& scope, std::vector<Formula> formulas,
                std::shared_ptr<KeptBands> kept = nullptr);
  /// Other formulas over the same scope and its open files, for as long as one types; nullptr when
  /// they need bands that are not read here.
  std::unique_ptr<FormulaReader> with(std::vector<Formula> formulas) const;
  const Grid& grid() const { return reader_->grid(); }
  size_t formulas() const { return formulas_.size(); }
  std::vector<Window> windows() const;

  /// What is read of a window, with the pixels around it that the formulas look at.
  struct Block {
    Window window, wider;
    std::vector<float> bands;                // band by band, over `wider`
    std::vector<std::vector<float>> values;  // formula by formula, over `window`
  };
  // For many threads.
  void read(Window window, Block& block) const;
  /// The bands are let go.
  void compute(Block& block) const;
  /// Both, at a smaller size and for looking.
  std::vector<std::vector<float>> reduced(Window window, int width, int height) const;

 private:
  std::vector<Formula> formulas_;
  std::vector<std::vector<size_t>> planes_;  // of each formula, among the bands read
  int halo_ = 0;
  std::vector<std::string> names_;
  std::shared_ptr<BandReader> reader_;

  FormulaReader(std::vector<Formula> formulas, std::vector<std::string> names,
                std::shared_ptr<BandReader> reader);
};

/// Sets what lies outside the polygons to no data.
void keepInside(const class InsideMask& inside, Window w, std::vector<float>& values);

}  // namespace zp
