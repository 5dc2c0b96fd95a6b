#pragma once
#include <oneapi/tbb/parallel_pipeline.h>
#include <oneapi/tbb/task_arena.h>

#include <algorithm>
#include <memory>
#include <mutex>
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

/// The way every raster computation runs: windows are worked on by all cores, and handed on in
/// order, so the result does not depend on how many cores there are. Blocks are used again, with
/// what they held last: fresh memory for each would cost more time than most computations.
///   work: (Window, Block&) → void      (many at a time: each reads through a handle of its own)
///   inOrder: Block& → void             (one at a time, in the order of the windows)
template <class Block, class Work, class InOrder>
void forEachBlock(const std::vector<Window>& windows, const Progress& progress, Work work,
                  InOrder inOrder) {
  using Handle = std::shared_ptr<Block>;
  size_t next = 0, done = 0;
  std::mutex mutex;
  std::vector<Handle> free;
  const auto takeBlock = [&] {
    const std::lock_guard lock(mutex);
    if (free.empty()) return std::make_shared<Block>();
    Handle block = std::move(free.back());
    free.pop_back();
    return block;
  };
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
                                             Handle block = takeBlock();
                                             work(windows[i], *block);
                                             return block;
                                           }) &
          tbb::make_filter<Handle, void>(tbb::filter_mode::serial_in_order, [&](Handle block) {
            inOrder(*block);
            progress.at(static_cast<double>(++done) / static_cast<double>(windows.size()));
            const std::lock_guard lock(mutex);
            free.push_back(std::move(block));
          }));
}

/// A pass that only reads: blocks are read on all cores, and visited one at a time in order.
template <class Reader, class Visit>
void reduceBlocks(const Reader& reader, const Progress& progress, Visit visit) {
  using Block = typename Reader::Block;
  forEachBlock<Block>(
      reader.windows(), progress, [&](Window w, Block& block) { reader.read(w, block); },
      [&](Block& block) { visit(static_cast<const Block&>(block)); });
}

}  // namespace zp
