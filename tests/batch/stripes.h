#pragma once
#include "base/random.h"
#include "zpatch_run.h"

namespace zp::testing {

/// The stripe that a column of writeStripes lies in, from 0.
inline int stripeOf(size_t column) {
  return column < 15 ? 0 : column < 45 ? 1 : 2;
}

/// 100 by 40 pixels of three stripes of unlike width, with a little noise, in red and nir.
inline Grid writeStripes(const fs::path& file) {
  const Grid g = metricGrid(100, 40);
  Random random(2);
  std::vector<float> red, nir;
  for (size_t i = 0; i < g.pixels(); ++i) {
    const int cover = stripeOf(i % 100);
    red.push_back(static_cast<float>(0.1 + 0.2 * cover + 0.01 * random.uniform()));
    nir.push_back(static_cast<float>(0.6 - 0.1 * cover + 0.01 * random.uniform()));
  }
  writeFloats(file, g, {red, nir}, {"red", "nir"});
  return g;
}

}  // namespace zp::testing
