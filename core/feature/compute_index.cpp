#include "feature/compute_index.h"

#include "base/error.h"
#include "feature/formula_feature.h"
#include "grid/block_pipeline.h"
#include "grid/raster_writer.h"

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

}  // namespace

Statistics computeIndex(const Scope& scope, const Formula& formula, const std::string& name,
                        const std::filesystem::path& temporary, const Layer* inside,
                        const Progress& progress) {
  struct Block : FeatureBlock {
    Statistics statistics;
  };
  FeatureReader reader(scope, {formulaFeature(formula, scope)});
  if (inside != nullptr) reader.keepInside(*inside);
  RasterWriter writer(temporary, indexSpec(scope.grid, name, formula));
  Statistics total;
  forEachBlock<Block>(
      reader.windows(), progress,
      [&](Window w, Block& b) {
        reader.read(w, b);
        b.statistics = {};
        b.statistics.add(b.values.data(), b.values.size());
      },
      [&](Block& b) {
        total.merge(b.statistics);
        writer.write(1, b.window, b.values);
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
