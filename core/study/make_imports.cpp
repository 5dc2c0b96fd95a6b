// Steps that bring in what was made elsewhere: class maps and quantities.
#include <fmt/format.h>

#include "base/error.h"
#include "grid/raster_writer.h"
#include "index/histogram.h"
#include "index/import_classes.h"
#include "scene/band_reader.h"
#include "study/making.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

/// Of polygons: onto the grid of the scene that the step names.
void fromPolygons(const Study& study, const Json& step, const CodeMatch& match,
                  const fs::path& target, const Progress& progress) {
  const Grid& grid = needScene(study, step.at("scene")).scene.grid;
  importClasses(readLayer(step.at("file"), grid.crs), step["field"], match, grid, study.legend,
                target, progress);
}

Product classes(const Study& study, const Json& step, const Progress& progress,
                const Product* into) {
  Making making(study, step, ProductKind::ClassMap, ".tif", into);
  const auto match = step.at("match").get<CodeMatch>();
  if (step.contains("field"))
    fromPolygons(study, step, match, making.temporary, progress.part(0, 0.8));
  else
    importClasses(step.at("file").get<std::string>(), match, study.legend, making.temporary,
                  progress.part(0, 0.8));
  making.product.date = step.value("date", "");
  making.product.facts["from"] = step["file"];
  finishClassMap(making, progress.part(0.8, 1));
  return making.finish();
}

/// A quantity with its unit and the period it stands for, as real numbers on its own grid.
Product quantity(const Study& study, const Json& step, const Progress& progress,
                 const Product* into) {
  Making making(study, step, ProductKind::Quantity, ".tif", into);
  const fs::path source = step.at("file").get<std::string>();
  Scene scene = layerScene(source, making.product.name, ValueState::Quantity);
  const BandReader reader(scene, {0});
  RasterSpec spec;
  spec.grid = scene.grid;
  spec.nodata = kNoDataOut;
  BandFacts band;
  band.name = making.product.name;
  band.unit = step.value("unit", "");
  spec.bands = {band};
  spec.metadata = {{"period_from", step.value("from", "")}, {"period_to", step.value("to", "")}};
  RasterWriter writer(making.temporary, spec);
  const auto windows = reader.windows();
  BandBlock block;
  for (size_t i = 0; i < windows.size(); ++i) {
    reader.read(windows[i], block);
    std::vector<float> values(block.band(0), block.band(0) + windows[i].pixels());
    writer.write(1, windows[i], values);
    progress.at(0.8 * static_cast<double>(i + 1) / static_cast<double>(windows.size()));
  }
  writer.finish();
  making.product.date = step.value("to", step.value("from", ""));
  making.product.ramp = step.value("ramp", "dusk");
  making.product.facts = {{"from", source.string()},
                          {"unit", band.unit},
                          {"period", {step.value("from", ""), step.value("to", "")}}};
  finishPicture(making, histogramOf(making.temporary, 1, 16, progress.part(0.8, 1)).statistics);
  return making.finish();
}

}  // namespace

const std::map<std::string, Maker>& importMakers() {
  static const std::map<std::string, Maker> all{{"import-classes", &classes},
                                                {"import-quantity", &quantity}};
  return all;
}

}  // namespace zp
