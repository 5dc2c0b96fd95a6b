#include "base/text_file.h"

#include <fstream>
#include <sstream>

#include "base/error.h"

namespace zp {

std::string textOfFile(const std::filesystem::path& file, size_t maxBytes) {
  std::error_code ec;
  const auto size = std::filesystem::file_size(file, ec);
  if (ec || !std::filesystem::is_regular_file(file, ec))
    throw Error("“{}” cannot be read; check the name.", file.string());
  if (size > maxBytes)
    throw Error("“{}” is larger than {} MiB; it is not one of our files.", file.string(),
                maxBytes >> 20);
  std::ifstream in(file, std::ios::binary);
  std::stringstream text;
  text << in.rdbuf();
  return text.str();
}

}  // namespace zp
