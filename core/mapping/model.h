#pragma once
#include <filesystem>

#include "mapping/classifier.h"

namespace zp {

/// All a trained map needs to be made again on another scene: format zany-patch-model.
struct Model {
  std::string method;
  MethodOptions options;
  Legend legend;
  SignatureSet signatures;
};

Json toJson(const Model& model);
/// Error: another format, an unknown method, signatures that are not complete, more than 1024
/// classes or 64 bands.
Model readModel(const std::filesystem::path& file);

}  // namespace zp
