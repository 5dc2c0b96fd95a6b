#pragma once
#include <cstdint>
#include <string>
#include <vector>

namespace zp {

/// A small picture: red, green, blue and how opaque (255: wholly), pixel by pixel, row by row.
struct Pixels {
  int width = 0, height = 0;
  std::vector<uint8_t> rgba;  // 4 bytes a pixel
  bool empty() const { return rgba.empty(); }
};

/// Its bytes as a PNG file. Error: it cannot be written.
std::string toPng(const Pixels& picture);

}  // namespace zp
