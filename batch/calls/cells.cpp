#include "sampling/cells.h"

#include "arguments.h"
#include "calls.h"
#include "sampling/readings.h"
#include "wrong_call.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

struct CellsArguments {
  std::string over, inside;
  CellPlan plan;
  bool hexagons = false, pixels = false, centres = false;
  OutputArguments output;
};

PlannedCells cellsOf(const CellsArguments& a, const ReadingSource& over, const Progress& progress) {
  const RasterFile raster(over.file);
  const int band = std::max(1, over.band);
  if (band > raster.bands())
    throw Error("“{}” has no band {}; it has {}.", over.file.string(), band, raster.bands());
  const auto inside = insideFrom(a.inside, raster.grid().crs);
  const Layer* polygons = inside ? &*inside : nullptr;
  if (a.pixels) return pixelsAsCells(groundOf(over.file, false, band), polygons, progress);
  CellPlan plan = a.plan;
  if (a.hexagons) plan.form = CellPlan::Form::Hexagons;
  return planCells(raster.grid(), plan, polygons, progress);
}

Json runCells(const CellsArguments& a, const Progress& progress) {
  const auto over = readingSource(a.over);
  std::vector<fs::path> inputs{over.file};
  if (!a.inside.empty()) inputs.push_back(fileOfLayer(a.inside));
  Outputs outputs(a.output.replace);
  const fs::path temporary = outputs.add(a.output.out, inputs);
  const auto cells = cellsOf(a, over, progress);
  writeLayer(temporary, a.output.out, toLayer(cells, a.centres), {FieldType::Integer});
  outputs.commit();
  return Json{{"cells", cells.shapes.size()}, {"size", cells.size}, {"outputs", names(outputs)}};
}

}  // namespace

namespace calls {

Call cells(CLI::App& app) {
  auto* call = app.add_subcommand("cells", "Squares or hexagons over a raster, to read or label");
  auto a = std::make_shared<CellsArguments>();
  call->add_option("--over", a->over, "Raster to lay them over: F.tif or F.tif:BAND")->required();
  auto* size = call->add_option("--size", a->plan.size,
                                "From side to side, in the unit of the raster's system")
                   ->check(numberAbove(0));
  auto* count = call->add_option("--count", a->plan.count, "About so many over the area")
                    ->check(wholeNumber(1, static_cast<long long>(kMostCells)))
                    ->excludes(size);
  auto* hexagons = call->add_flag("--hexagons", a->hexagons, "Hexagons, not squares");
  call->add_flag("--pixels", a->pixels, "The pixels of the raster that have a value")
      ->excludes(size)
      ->excludes(count)
      ->excludes(hexagons);
  call->add_option("--inside", a->inside, "Polygons that they overlap: FILE or FILE:LAYER");
  call->add_flag("--centres", a->centres, "Write their centre points");
  a->output.addTo(*call, "Vector file to write (.gpkg, .geojson)");
  call->callback([a] {
    if (!a->pixels && !(a->plan.size > 0) && a->plan.count == 0)
      throw CLI::RequiredError("--size, --count or --pixels");
  });
  return {call, [a](const Progress& progress) { return runCells(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
