#pragma once
#include <oneapi/tbb/parallel_pipeline.h>
#include <oneapi/tbb/task_arena.h>

#include <algorithm>
#include <memory>
#include <vector>

#include "base/progress.h"
#include "grid/block_size.h"
#include "grid/grid.h"

namespace zp {

/// Blocks in work at once: one for every core, and two that wait to be written.
inline size_t blocksInWork() {
  const auto cores = static_cast<size_t>(oneapi::tbb::this_task_arena::max_concurrency());
  return std::min(cores + 2, kBytesInWork / kBlockBytes);
}

/// The way every raster computation runs: windows are read and computed on all cores, and handed to
/// `write` in order, so the result does not depend on how many cores there are.
///   read: Window → std::shared_ptr<Block>      (many at a time: each through a handle of its own)
///   compute: Block& → void                     (many at a time)
///   write: Block& → void                       (one at a time, in the order of the windows)
template <class Block, class Read, class Compute, class Write>
void runBlocks(const std::vector<Window>& windows, const Progress& progress, Read read,
               Compute compute, Write write) {
  using Handle = std::shared_ptr<Block>;
  size_t next = 0, done = 0;
  namespace tbb = oneapi::tbb;
  tbb::parallel_pipeline(
      blocksInWork(),
      tbb::make_filter<void, size_t>(tbb::filter_mode::serial_in_order,
                                     [&](tbb::flow_control& flow) -> size_t {
                                       progress.check();
                                       if (next == windows.size()) flow.stop();
                                       return next++;
                                     }) &
          tbb::make_filter<size_t, Handle>(tbb::filter_mode::parallel,
                                           [&](size_t i) {
                                             Handle block = read(windows[i]);
                                             compute(*block);
                                             return block;
                                           }) &
          tbb::make_filter<Handle, void>(tbb::filter_mode::serial_in_order, [&](Handle block) {
            write(*block);
            progress.at(static_cast<double>(++done) / static_cast<double>(windows.size()));
          }));
}

}  // namespace zp
