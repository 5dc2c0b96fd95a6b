#pragma once
#include "index/class_change.h"

namespace zp {

/// Where two class maps of one time give different classes, and which for which.
struct Disagreement {
  size_t pixels = 0, different = 0;  // with a class in both; and not the same
  std::vector<FromTo> pairs;         // of different classes, most pixels first
};

/// Writes a class map, on the grid of the first: where both agree their class, dimmed; elsewhere
/// the one class “they disagree”, whose code is above all others. A pixel without a class in
/// either has none. Error: see classChange.
Disagreement mapDisagreement(const std::filesystem::path& first,
                             const std::filesystem::path& second,
                             const std::filesystem::path& temporary,
                             const Progress& progress = Progress());

Json toJson(const Disagreement& told);

}  // namespace zp
