#include "base/json.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <fstream>
#include <limits>
#include <sstream>

#include "base/error.h"
#include "base/outputs.h"

namespace zp {

Json parseJson(const std::string& text, const std::string& name) {
  constexpr int kDepth = 64;
  bool tooDeep = false;
  const auto limit = [&](int depth, Json::parse_event_t, Json&) {
    if (depth > kDepth) tooDeep = true;
    return !tooDeep;
  };
  try {
    Json json = Json::parse(text, limit);
    if (tooDeep)
      throw Error(fmt::format("“{}” is nested deeper than {} levels; it is not one of our files.",
                              name, kDepth));
    return json;
  } catch (const Json::parse_error& e) {
    const size_t byte = std::min<size_t>(e.byte, text.size());
    const std::string before = text.substr(0, byte == 0 ? 0 : byte - 1);
    const auto line = 1 + std::count(before.begin(), before.end(), '\n');
    const size_t start = before.rfind('\n');
    const size_t column = before.size() - (start == std::string::npos ? 0 : start + 1) + 1;
    throw Error(
        fmt::format("“{}” is not valid JSON at line {}, column {}; mend it or choose "
                    "another file.",
                    name, line, column));
  } catch (const Json::exception&) {
    throw Error(fmt::format("“{}” holds a number that is too large; mend it or choose another file.",
                            name));
  }
}

Json readJson(const std::filesystem::path& file, const std::string& format, int version,
              size_t maxBytes) {
  std::error_code ec;
  const auto size = std::filesystem::file_size(file, ec);
  if (ec || !std::filesystem::is_regular_file(file, ec))
    throw Error(fmt::format("“{}” cannot be read; check the name.", file.string()));
  if (size > maxBytes)
    throw Error(fmt::format("“{}” is larger than {} MiB; it is not one of our files.",
                            file.string(), maxBytes >> 20));
  std::ifstream in(file, std::ios::binary);
  std::stringstream text;
  text << in.rdbuf();
  Json json = parseJson(text.str(), file.string());
  if (format.empty()) return json;
  if (!json.is_object() || !json.contains("format") || json["format"] != format)
    throw Error(fmt::format("“{}” is not a {} file; choose another.", file.string(), format));
  if (!json.contains("version") || !json["version"].is_number_integer())
    throw Error(
        fmt::format("“{}” does not say which version of its format it is; take a copy "
                    "from before.",
                    file.string()));
  if (json["version"] > version)
    throw Error(
        fmt::format("“{}” was written by a newer Zany Patch (version {} of its format); "
                    "open it there.",
                    file.string(), json["version"].dump()));
  return json;
}

void writeJson(const std::filesystem::path& file, const Json& json) {
  writeFileAtomically(file, json.dump(2, ' ', false, Json::error_handler_t::replace) + "\n");
}

Json number(double value) {
  return std::isfinite(value) ? Json(value) : Json(nullptr);
}

Json numbers(const std::vector<double>& values) {
  Json list = Json::array();
  for (double v : values) list.push_back(number(v));
  return list;
}

double numberFrom(const Json& json) {
  return json.is_null() ? std::numeric_limits<double>::quiet_NaN() : json.get<double>();
}

}  // namespace zp
