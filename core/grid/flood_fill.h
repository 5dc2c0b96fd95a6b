#pragma once
#include <utility>
#include <vector>

namespace zp {

/// Which pixels of `open` are connected by their sides, through open ones, with one of the seeds
/// (column, row). Run by run, after Heckbert (1990).
std::vector<bool> floodFill(const std::vector<bool>& open, int width, int height,
                            std::vector<std::pair<int, int>> seeds);

}  // namespace zp
