#include <gtest/gtest.h>

#include <cmath>
#include <limits>
#include <vector>

#include "base/cpu.h"
#include "base/nan.h"
#include "grid/stored_values_kernel.h"

namespace zp {
namespace {

constexpr float kInf = std::numeric_limits<float>::infinity();

TEST(StoredValues, AreScaledInDoubleAndWhatIsNoNumberHasNoValue) {
  std::vector<float> v{0, 1, 65535, 17, kNan, kInf, -kInf, 3e38f, 12345};
  baseline::storedToValues(v.data(), v.size(), 17, 0.0001, -0.1);
  EXPECT_EQ(v[0], -0.1f);
  EXPECT_EQ(v[1], static_cast<float>(1 * 0.0001 - 0.1));
  EXPECT_EQ(v[2], static_cast<float>(65535 * 0.0001 - 0.1));
  for (int i : {3, 4, 5, 6}) EXPECT_TRUE(std::isnan(v[static_cast<size_t>(i)])) << i;
  EXPECT_EQ(v[7], static_cast<float>(static_cast<double>(3e38f) * 0.0001 - 0.1));
  std::vector<float> far{3e38f};
  baseline::storedToValues(far.data(), 1, kNan, 10, 0);
  EXPECT_TRUE(std::isnan(far[0]));  // beyond what a float holds
}

TEST(StoredValues, AreTheSameOnEveryMachine) {
  if (!cpuHasV3()) GTEST_SKIP() << "this machine has baseline kernels only";
  // Fused multiplying and adding would give another last digit here and there.
  for (const auto& [scale, offset] : {std::pair{1.0, 0.0}, {0.1, 0.3}, {2.75e-5, -0.2}}) {
    std::vector<float> a;
    for (int i = 0; i < 65536; ++i) a.push_back(static_cast<float>(i) * 1.7f);
    std::vector<float> b = a;
    baseline::storedToValues(a.data(), a.size(), 34, scale, offset);
    v3::storedToValues(b.data(), b.size(), 34, scale, offset);
    for (size_t i = 0; i < a.size(); ++i)
      ASSERT_TRUE(a[i] == b[i] || (std::isnan(a[i]) && std::isnan(b[i]))) << i;
  }
}

}  // namespace
}  // namespace zp
