#pragma once
#include <unistd.h>

#include <cstddef>
#include <cstdint>
#include <filesystem>
#include <fstream>
#include <string>

#include "base/error.h"
#include "base/json.h"

/// Bad input ends in an Error, which is a sentence; anything else is found.
template <class F>
int onlyErrors(const uint8_t* data, size_t size, F read) {
  try {
    read(std::string(reinterpret_cast<const char*>(data), size));
  } catch (const zp::Error& e) {
    if (std::string(e.what()).empty()) __builtin_trap();
  }
  return 0;
}

/// What was read can be written down in a study.
template <class T>
void writtenDown(const T& read) {
  zp::Json(read).dump();  // throws where a text is no UTF-8
}

/// A folder of this process, for readers that take a file; below TMPDIR.
inline std::filesystem::path ownFolder() {
  const auto folder =
      std::filesystem::temp_directory_path() / ("zp-fuzz-" + std::to_string(getpid()));
  std::filesystem::create_directories(folder);
  return folder;
}

inline std::filesystem::path written(const std::string& name, const std::string& text) {
  const auto file = ownFolder() / name;
  std::ofstream(file, std::ios::binary) << text;
  return file;
}

/// Takes the first line off.
inline std::string takeLine(std::string& text) {
  const auto end = std::min(text.find('\n'), text.size());
  const std::string line = text.substr(0, end);
  text.erase(0, std::min(end + 1, text.size()));
  return line;
}
