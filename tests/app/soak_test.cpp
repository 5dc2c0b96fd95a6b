// A long day in one window. Not among the tests of every change: run by hand (docs/reliability.md).
#include <unistd.h>

#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class Soak : public RealWindow {
 protected:
  static double mebibytes() {
    long pages = 0, resident = 0;
    std::ifstream("/proc/self/statm") >> pages >> resident;
    return static_cast<double>(resident) * static_cast<double>(sysconf(_SC_PAGESIZE)) / 1048576;
  }
  /// An index, its classes, a look around, points or a map now and then; what was made goes.
  int goRound(int round) {
    const std::string number = std::to_string(round);
    runStep({{"do", "index"},
             {"scene", "s3"},
             {"formula", "ndiff(nir, red) + " + number + " / 100000"},
             {"name", "Index " + number}});
    const std::string index = s().products.back().id;
    runStep(
        {{"do", "threshold"},
         {"product", index},
         {"at", {0.2 + (round % 50) / 100.0}},
         {"classes",
          {{{"name", "Low"}, {"colour", "#aa8844"}}, {{"name", "High"}, {"colour", "#116622"}}}},
         {"name", "Classes " + number}});
    const std::string classes = s().products.back().id;
    int steps = 2;
    if (round % 5 == 0) {
      runStep({{"do", "points"},
               {"over", classes},
               {"plan", "stratified"},
               {"count", 20},
               {"seed", round},
               {"name", "Points " + number}});
      const std::string points = s().products.back().id;
      runStep({{"do", "readings"},
               {"points", points},
               {"from", {index, classes}},
               {"name", "Readings " + number}});
      w().bench().toBin(q(s().products.back().id));
      w().bench().toBin(q(points));
      steps += 2;
    }
    d().stage(round % 6);
    w().view().setCentre({w().view().centre().x + round % 7 * 30.0, w().view().centre().y},
                         10.0 + round % 11);
    d().settle();
    w().view().fit();
    w().bench().toBin(q(classes));
    w().bench().toBin(q(index));
    w().bench().emptyBin();
    d().settle();
    return steps;
  }
};

TEST_F(Soak, DISABLED_MemoryStaysFlatOverAThousandSteps) {
  constexpr int kSteps = 1000, kWarm = 200;
  double warm = 0, most = 0;
  int steps = 0, told = 0;
  for (int round = 0; steps < kSteps; ++round) {
    steps += goRound(round);
    if (steps >= kWarm && warm == 0) warm = mebibytes();
    most = std::max(most, mebibytes());
    if (steps / 100 > told) {
      told = steps / 100;
      std::cout << steps << " steps: " << mebibytes() << " MiB\n" << std::flush;
    }
  }
  EXPECT_LT(most, warm * 1.1) << "grew from " << warm << " MiB after " << kWarm << " steps";
}

}  // namespace
}  // namespace zp
