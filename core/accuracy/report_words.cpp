#include "accuracy/report_words.h"

#include <cpl_string.h>
#include <fmt/format.h>

#include <cmath>

namespace zp {

std::string percentText(double share, int decimals) {
  return std::isnan(share) ? "–" : fmt::format("{:.{}f} %", 100 * share, decimals);
}

std::string limitsText(const Estimate& share, int decimals) {
  if (std::isnan(share.low) || std::isnan(share.high)) return "";
  return fmt::format("{:.{}f} to {:.{}f}", 100 * share.low, decimals, 100 * share.high, decimals);
}

std::string hectares(double area) {
  if (std::isnan(area)) return "–";
  const double ha = area / 1e4, size = std::abs(ha);
  if (size > 0 && size < 10) return fmt::format("{:.2f} ha", ha);
  std::string digits = fmt::format("{:.0f}", ha);
  for (int at = static_cast<int>(digits.size()) - 3; at > (ha < 0 ? 1 : 0); at -= 3)
    if (digits.size() > (ha < 0 ? 5u : 4u)) digits.insert(static_cast<size_t>(at), " ");
  return digits + " ha";
}

std::string escaped(const std::string& text) {
  std::string out;
  for (const char c : text) switch (c) {
      case '&':
        out += "&amp;";
        break;
      case '<':
        out += "&lt;";
        break;
      case '>':
        out += "&gt;";
        break;
      case '"':
        out += "&quot;";
        break;
      default:
        out += c;
    }
  return out;
}

std::string base64(const std::string& bytes) {
  char* text =
      CPLBase64Encode(static_cast<int>(bytes.size()), reinterpret_cast<const GByte*>(bytes.data()));
  std::string out(text == nullptr ? "" : text);
  CPLFree(text);
  return out;
}

}  // namespace zp
