#include "base/text.h"

namespace zp {

bool isUtf8(std::string_view text) {
  const auto at = [&](size_t i) { return static_cast<unsigned char>(text[i]); };
  for (size_t i = 0; i < text.size();) {
    const unsigned char first = at(i++);
    if (first < 0x80) continue;
    const size_t more = first >= 0xC2 && first <= 0xDF   ? 1
                        : first >= 0xE0 && first <= 0xEF ? 2
                        : first >= 0xF0 && first <= 0xF4 ? 3
                                                         : 0;
    if (more == 0 || more > text.size() - i) return false;
    // Nothing longer than it needs to be, no halves of pairs, nothing beyond U+10FFFF.
    unsigned char least = first == 0xE0 ? 0xA0 : first == 0xF0 ? 0x90 : 0x80;
    unsigned char most = first == 0xED ? 0x9F : first == 0xF4 ? 0x8F : 0xBF;
    for (size_t k = 0; k < more; ++k, least = 0x80, most = 0xBF) {
      const unsigned char next = at(i++);
      if (next < least || next > most) return false;
    }
  }
  return true;
}

std::string asUtf8(std::string_view text) {
  if (isUtf8(text)) return std::string(text);
  std::string out;
  for (const char c : text) {
    const auto code = static_cast<unsigned char>(c);
    if (code < 0x80) {
      out += c;
    } else {
      out += static_cast<char>(0xC0 | code >> 6);
      out += static_cast<char>(0x80 | (code & 0x3F));
    }
  }
  return out;
}

}  // namespace zp
