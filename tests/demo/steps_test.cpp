// What the steps of a study make of the demo, as it was when these checksums were written down.
#include <gtest/gtest.h>

#include <cstring>

#include "base/cpu.h"
#include "base/json.h"
#include "base/random.h"
#include "outline/layer.h"
#include "study/step.h"
#include "support/rasters.h"

namespace zp {
namespace {

using testing::Folder;

class Checksum {
 public:
  void add(const void* data, size_t bytes) {
    uint64_t h = bytes;
    const auto* at = static_cast<const unsigned char*>(data);
    for (size_t i = 0; i < bytes; i += 8) {
      uint64_t word = 0;
      std::memcpy(&word, at + i, std::min<size_t>(8, bytes - i));
      h = (h ^ word) * 0x9e3779b97f4a7c15ull;
      h ^= h >> 29;
    }
    sum_ = mix(sum_, h);
  }
  void add(const std::string& text) { add(text.data(), text.size()); }
  std::string text() const { return fmt::format("{:016x}", sum_); }

 private:
  uint64_t sum_ = 0;
};

void addRaster(Checksum& sum, const std::filesystem::path& file) {
  const RasterFile raster(file);
  sum.add(raster.grid().transform.data(), sizeof(raster.grid().transform));
  for (int b = 1; b <= raster.bands(); ++b) {
    sum.add(raster.facts(b).name);
    std::vector<double> row(static_cast<size_t>(raster.grid().width));
    for (int y = 0; y < raster.grid().height; ++y) {
      raster.readWide(b, {0, y, raster.grid().width, 1}, {{}, 1, 0}, row.data());
      sum.add(row.data(), row.size() * sizeof(double));
    }
  }
}

/// Its values and facts; not the container, which the libraries make.
std::string checksumOf(const Product& p, const std::string& folder) {
  Checksum sum;
  const std::string ending = p.file.extension();
  if (ending == ".tif") {
    addRaster(sum, p.file);
  } else if (ending == ".gpkg") {
    const Layer layer = readLayer(p.file.string());
    sum.add(toCsv(layer.table));
    for (const auto& s : layer.shapes) {
      sum.add(s.points.data(), s.points.size() * sizeof(Place));
      for (const auto& ring : s.rings) sum.add(ring.data(), ring.size() * sizeof(Place));
    }
  } else {
    sum.add(testing::textOf(p.file));
  }
  std::string facts = nlohmann::json(p.facts).dump();  // whatever their order
  for (size_t at; (at = facts.find(folder)) != std::string::npos;) facts.erase(at, folder.size());
  sum.add(facts + p.date + p.ramp + idOf(p.kind));
  std::string inputs;
  for (const auto& i : p.inputs) inputs += fmt::format("{} {};", i.id, i.revision);
  sum.add(inputs);
  return sum.text();
}

TEST(DemoSteps, MakeWhatTheyAlwaysMade) {
  if (!cpuHasV3()) GTEST_SKIP() << "the checksums are those of x86-64-v3";
  const Folder folder;
  const auto place = folder / "study";
  std::filesystem::copy(std::filesystem::path(HAVEN) / "study", place,
                        std::filesystem::copy_options::recursive);
  Study study = Study::open(place);
  study.setTraining(readTrainingAreas((place / "outlines/outlines.gpkg").string() + ":training",
                                      {"code", "class", "subclass"}, study.scenes[2].scene.grid.crs),
                    study.scenes[2].scene.grid.crs);
  const Json expected = Json::parse(testing::textOf(DEMO_STEPS "/checksums.json"));
  std::string sheet = testing::textOf(DEMO_STEPS "/steps.json");
  for (size_t at; (at = sheet.find("{study}")) != std::string::npos;)
    sheet.replace(at, 7, place.string());
  const Json steps = Json::parse(sheet)["steps"];
  ASSERT_EQ(steps.size(), expected.size());
  for (Json step : steps) {
    const std::string as = step["as"];
    step.erase("as");
    ASSERT_EQ(study.addProduct(runStep(study, step, Progress())), as);
    EXPECT_EQ(checksumOf(*study.product(as), place.string()), expected.value(as, ""))
        << as << ": " << step.dump();
  }
}

}  // namespace
}  // namespace zp
