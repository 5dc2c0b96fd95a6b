// Lines of features as formulas.
#include "feature/line_formula.h"

#include "feature/compute_index.h"
#include "sampling/feature_readings.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

class LineFormula : public ::testing::Test {
 protected:
  Scene scene(ValueState state, const std::vector<std::string>& roles) {
    std::vector<std::vector<float>> bands;
    for (size_t b = 0; b < roles.size(); ++b)
      bands.emplace_back(grid_.pixels(), 0.1F + 0.2F * static_cast<float>(b));
    Scene s = openScene(
        writeFloats(folder_ / "s.tif", grid_, bands, std::vector<std::string>(roles.size(), "x")));
    for (size_t b = 0; b < roles.size(); ++b) s.bands[b].role = roles[b];
    s.state = state;
    return s;
  }
  Folder folder_;
  const Grid grid_ = metricGrid(6, 5);
};

TEST_F(LineFormula, SaysWhatTheFeatureSays) {
  const Scene colours = scene(ValueState::SurfaceReflectance, {"red", "nir", ""});
  const Scene power = scene(ValueState::BackscatterPower, {"vv", "vh"});
  const Scene decibels = scene(ValueState::BackscatterDecibels, {"vv", "vh"});
  const Place at = grid_.centre(2, 2);
  for (const auto& [s, line] :
       std::vector<std::pair<const Scene*, std::string>>{{&colours, "band(nir)"},
                                                         {&colours, "band(2)"},
                                                         {&colours, "index(ndvi)"},
                                                         {&colours, "formula(nir / (red + 1))"},
                                                         {&power, "band(vh)"},
                                                         {&power, "decibels(vh)"},
                                                         {&decibels, "decibels(vv)"}}) {
    const auto formula = formulaOfLine(line, *s);
    ASSERT_TRUE(formula) << line;
    const Scope scope({{"", *s}});
    const auto value = [&](const std::string& of) {
      return readFeaturesAt({at}, grid_.crs, scope, {of}).values[0][0];
    };
    EXPECT_NEAR(value(line), value("formula(" + *formula + ")"), 1e-6) << line;
  }
}

TEST_F(LineFormula, NothingWhereAFormulaCannotSayIt) {
  const Scene s = scene(ValueState::SurfaceReflectance, {"red", "nir", ""});
  for (const char* line : {"", "band(", "band(3)", "band(blue)", "index(ndvi) of july",
                           "neighbourhood(nir)", "index(none)", "formula(july + 1)", "nonsense(1)"})
    EXPECT_FALSE(formulaOfLine(line, s)) << line;
}

}  // namespace
}  // namespace zp
