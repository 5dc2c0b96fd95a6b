#include "grid/block_pipeline.h"
#include "grid/raster_writer.h"
#include "index/histogram.h"
#include "scene/band_reader.h"
#include "study/steps/step_run.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

/// As real numbers, on its own grid.
void copyValues(const Scene& scene, const BandFacts& band,
                const std::map<std::string, std::string>& metadata, const fs::path& target,
                const Progress& progress) {
  const BandReader reader(scene, {0});
  RasterSpec spec;
  spec.grid = scene.grid;
  spec.nodata = kNoDataOut;
  spec.bands = {band};
  spec.metadata = metadata;
  RasterWriter writer(target, spec);
  reduceBlocks(reader, progress, [&](const BandBlock& b) {
    std::vector<float> values = b.values;
    writer.write(1, b.window, values);
  });
  writer.finish();
}

Product runImportQuantity(StepRun& r) {
  const Json& step = r.step();
  const fs::path source = r.file("file");
  const std::string from = step.value("from", ""), to = step.value("to", "");
  r.begin(ProductKind::Quantity, ".tif");
  BandFacts band;
  band.name = r.product.name;
  band.unit = step.value("unit", "");
  copyValues(layerScene(source, r.product.name, ValueState::Quantity), band,
             {{"period_from", from}, {"period_to", to}}, r.temporary, r.progress().part(0, 0.8));
  r.product.date = step.value("to", from);
  r.product.ramp = step.value("ramp", "dusk");
  r.product.facts = {{"from", source.string()}, {"unit", band.unit}, {"period", {from, to}}};
  return r.finishPicture(histogramOf(r.temporary, 1, 16, r.progress().part(0.8, 1)).statistics);
}

}  // namespace

namespace steps {
extern const StepKind importQuantity{
    "import-quantity",
    "A quantity measured or modelled elsewhere, with its unit and the period it stands for",
    {{"file", Holds::File, true, "The raster"},
     {"unit", Holds::Text, false, "Such as °C"},
     {"from", Holds::Text, false, "The period: its first day"},
     {"to", Holds::Text, false, "And its last"},
     {"ramp", Holds::Text, false, "Of its colours"}},
    &runImportQuantity};
}
}  // namespace zp
