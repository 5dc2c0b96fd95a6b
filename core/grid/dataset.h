#pragma once
#include <memory>

class GDALDataset;

namespace zp {

/// Closes a dataset, and keeps to itself what GDAL says of that.
struct CloseDataset {
  void operator()(GDALDataset* dataset) const;
};
using Dataset = std::unique_ptr<GDALDataset, CloseDataset>;

}  // namespace zp
