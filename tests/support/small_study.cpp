#include "support/small_study.h"

#include "base/random.h"

namespace zp::testing {

Study makeStudy(const Folder& folder) {
  const Grid g = metricGrid(80, 60);
  std::vector<std::vector<float>> bands(3, std::vector<float>(g.pixels()));
  for (size_t i = 0; i < g.pixels(); ++i)
    for (size_t b = 0; b < 3; ++b)
      bands[b][i] = static_cast<float>((i % 80 < 40 ? 0.1 : 0.5) + 0.05 * unit(mix(i, b)));
  writeFloats(folder / "s.tif", g, bands, {"red", "nir", "green"});
  Study study = Study::create(folder / "study", "Small");
  study.addScene(openScene(folder / "s.tif"));
  const auto box = [](double x, double y, double w) {
    return Ring{{500000 + x, 5000000 - y},
                {500000 + x + w, 5000000 - y},
                {500000 + x + w, 5000000 - y - w},
                {500000 + x, 5000000 - y - w}};
  };
  std::vector<TrainingArea> areas(2);
  areas[0] = {1, "left", "", {{box(20, 20, 120)}, {}}};
  areas[1] = {2, "right", "", {{box(500, 100, 150)}, {}}};
  study.setTraining(areas, g.crs);
  return study;
}

std::string add(Study& study, const Json& step) {
  return study.addProduct(runStep(study, step, Progress()));
}

}  // namespace zp::testing
