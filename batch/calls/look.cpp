#include "arguments.h"
#include "calls.h"
#include "grid/block_pipeline.h"
#include "grid/crs.h"
#include "index/statistics.h"
#include "scene/band_reader.h"

namespace zp {
namespace calls {

Call look(CLI::App& app) {
  auto* call = app.add_subcommand("look", "Facts of a scene: size, system, bands, statistics");
  auto a = std::make_shared<SceneArguments>();
  a->addTo(*call);
  return {call, [a](const Progress& progress) {
            const Scene scene = a->open();
            std::vector<Statistics> statistics(scene.bands.size());
            const BandReader reader(scene, {});
            reduceBlocks(reader, progress, [&](const BandBlock& block) {
              for (size_t b = 0; b < block.bands; ++b)
                statistics[b].add(block.band(b), block.window.pixels());
            });
            Json bands = Json::array();
            for (size_t b = 0; b < scene.bands.size(); ++b) {
              const auto& band = scene.bands[b];
              Json one = {{"number", b + 1},
                          {"name", band.name},
                          {"role", band.role.empty() ? Json(nullptr) : Json(band.role)},
                          {"nodata", band.conversion.nodata ? number(*band.conversion.nodata)
                                                            : Json(nullptr)}};
              one.update(toJson(statistics[b]));
              bands.push_back(std::move(one));
            }
            const std::string crs = crsName(scene.grid.crs);
            return Json{{"width", scene.grid.width},
                        {"height", scene.grid.height},
                        {"crs", crs.empty() ? Json(nullptr) : Json(crs)},
                        {"pixel_size", {scene.grid.pixelWidth(), scene.grid.pixelHeight()}},
                        {"values", idOf(scene.state)},
                        {"date", scene.date.empty() ? Json(nullptr) : Json(scene.date)},
                        {"bands", bands},
                        {"outputs", Json::array()}};
          }};
}

}  // namespace calls
}  // namespace zp
