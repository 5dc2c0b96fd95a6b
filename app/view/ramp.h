#pragma once
#include <QRgb>
#include <array>
#include <string>
#include <vector>

namespace zp {

/// 256 colours between the stops of a ramp of `data/ramps.json`; the grey ramp for an unknown id.
const std::array<QRgb, 256>& ramp(const std::string& id);
std::vector<std::pair<std::string, std::string>> rampNames();  // id, title

}  // namespace zp
