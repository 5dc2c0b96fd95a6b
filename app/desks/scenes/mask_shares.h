#pragma once
#include <filesystem>
#include <map>
#include <optional>
#include <vector>

#include "background/latest.h"

namespace zp {

/// The share of a scene that its mask sets aside, looked at in the background, each mask once.
class MaskShares : public QObject {
  Q_OBJECT
 public:
  explicit MaskShares(QObject* parent);
  /// Nothing while it is not known.
  std::optional<double> of(const std::filesystem::path& mask) const;
  void ask(const std::vector<std::filesystem::path>& masks);
  void forget();

 Q_SIGNALS:
  void known();

 private:
  Latest job_;
  std::map<std::string, double> known_;
};

}  // namespace zp
