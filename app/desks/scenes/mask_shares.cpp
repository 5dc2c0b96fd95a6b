#include "desks/scenes/mask_shares.h"

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "grid/raster_file.h"

namespace zp {
namespace {

/// Of a small look at the mask.
double maskedShare(const std::filesystem::path& mask) {
  const RasterFile file(mask);
  const Grid& g = file.grid();
  const double shrink = std::max(1.0, std::sqrt(static_cast<double>(g.pixels()) / 4e6));
  const int w = std::max(1, static_cast<int>(g.width / shrink)),
            h = std::max(1, static_cast<int>(g.height / shrink));
  std::vector<uint16_t> codes(static_cast<size_t>(w) * static_cast<size_t>(h));
  file.readCodes(1, {0, 0, g.width, g.height}, codes.data(), w, h);
  const auto aside = std::count_if(codes.begin(), codes.end(), [](uint16_t c) { return c != 0; });
  return static_cast<double>(aside) / static_cast<double>(codes.size());
}

}  // namespace

MaskShares::MaskShares(QObject* parent) : QObject(parent), job_(this) {}

std::optional<double> MaskShares::of(const std::filesystem::path& mask) const {
  const auto at = known_.find(mask.string());
  return at == known_.end() ? std::nullopt : std::optional(at->second);
}

void MaskShares::ask(const std::vector<std::filesystem::path>& all) {
  std::vector<std::filesystem::path> masks;
  for (const auto& m : all)
    if (!m.empty() && !of(m)) masks.push_back(m);
  if (masks.empty()) return;
  job_.ask(
      [masks](const Progress& progress) {
        std::map<std::string, double> shares;
        for (const auto& m : masks) {
          progress.check();
          try {
            shares[m.string()] = maskedShare(m);
          } catch (const Error&) {
            shares[m.string()] = 0;  // it went away, which whoever reads the scene says
          }
        }
        return shares;
      },
      [this](const std::map<std::string, double>& shares) {
        known_.insert(shares.begin(), shares.end());
        Q_EMIT known();
      },
      [](const QString&) {});
}

void MaskShares::forget() {
  job_.stop();
  known_.clear();
}

}  // namespace zp
