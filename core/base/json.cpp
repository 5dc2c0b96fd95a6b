#include "base/json.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <limits>

#include "base/error.h"
#include "base/outputs.h"
#include "base/text_file.h"

namespace zp {

namespace {

/// "zany-patch-run-sheet" as a person says it: "run sheet".
std::string wordOfFormat(std::string format) {
  const std::string ours = "zany-patch-";
  if (format.rfind(ours, 0) == 0) format.erase(0, ours.size());
  std::replace(format.begin(), format.end(), '-', ' ');
  return format;
}

constexpr size_t kDepth = 64, kMostKeys = 100000;

/// Builds the tree in one pass: the library's own way looks through all keys of an object for every
/// new one.
class TreeBuilder : public nlohmann::json_sax<Json> {
 public:
  explicit TreeBuilder(std::string name) : name_(std::move(name)) {}
  Json take() { return std::move(root_); }
  size_t wrongAt() const { return wrongAt_; }

  bool null() override { return add(nullptr); }
  bool boolean(bool v) override { return add(v); }
  bool number_integer(number_integer_t v) override { return add(v); }
  bool number_unsigned(number_unsigned_t v) override { return add(v); }
  bool number_float(number_float_t v, const string_t&) override { return add(v); }
  bool string(string_t& v) override { return add(std::move(v)); }
  bool binary(binary_t&) override { return false; }
  bool start_object(size_t) override { return open(Json::object()); }
  bool start_array(size_t) override { return open(Json::array()); }
  bool end_array() override { return close(); }
  bool end_object() override {
    requireDistinctKeys(*open_.back());
    return close();
  }
  bool key(string_t& v) override {
    if (open_.back()->size() >= kMostKeys)
      throw Error(
          "“{}” holds more than {} keys in one object; it is not one of our "
          "files.",
          name_, kMostKeys);
    key_ = std::move(v);
    return true;
  }
  bool parse_error(size_t at, const std::string&, const nlohmann::detail::exception& e) override {
    if (dynamic_cast<const Json::parse_error*>(&e) == nullptr)
      throw Error("“{}” holds a number that is too large; mend it or choose another file.", name_);
    wrongAt_ = at;
    return false;
  }

 private:
  Json* put(Json&& v) {
    if (open_.empty()) {
      root_ = std::move(v);
      return &root_;
    }
    Json& in = *open_.back();
    if (in.is_array()) {
      in.push_back(std::move(v));
      return &in.back();
    }
    auto& object = in.get_ref<Json::object_t&>();
    object.emplace_back(std::move(key_), std::move(v));
    return &object.back().second;
  }
  bool add(Json&& v) {
    put(std::move(v));
    return true;
  }
  bool open(Json&& v) {
    if (open_.size() >= kDepth)
      throw Error("“{}” is nested deeper than {} levels; it is not one of our files.", name_,
                  kDepth);
    open_.push_back(put(std::move(v)));
    return true;
  }
  bool close() {
    open_.pop_back();
    return true;
  }
  void requireDistinctKeys(Json& object) const {
    std::vector<const std::string*> keys;
    for (const auto& [key, value] : object.get_ref<Json::object_t&>()) keys.push_back(&key);
    std::sort(keys.begin(), keys.end(), [](const auto* a, const auto* b) { return *a < *b; });
    for (size_t i = 1; i < keys.size(); ++i)
      if (*keys[i] == *keys[i - 1])
        throw Error("“{}” holds the key “{}” twice in one object; mend it first.", name_, *keys[i]);
  }

  std::string name_, key_;
  Json root_;
  std::vector<Json*> open_;
  size_t wrongAt_ = 0;
};

}  // namespace

Json parseJson(const std::string& text, const std::string& name) {
  TreeBuilder tree(name);
  if (Json::sax_parse(text, &tree)) return tree.take();
  const size_t byte = std::min<size_t>(tree.wrongAt(), text.size());
  const std::string before = text.substr(0, byte == 0 ? 0 : byte - 1);
  const auto line = 1 + std::count(before.begin(), before.end(), '\n');
  const size_t start = before.rfind('\n');
  const size_t column = before.size() - (start == std::string::npos ? 0 : start + 1) + 1;
  throw Error("“{}” is not valid JSON at line {}, column {}; mend it or choose another file.", name,
              line, column);
}

Json readJson(const std::filesystem::path& file, const std::string& format, int version,
              size_t maxBytes) {
  Json json = parseJson(textOfFile(file, maxBytes), file.string());
  if (format.empty()) return json;
  if (!json.is_object() || !json.contains("format") || json["format"] != format)
    throw Error("“{}” is not a {} of Zany Patch; choose another.", file.string(),
                wordOfFormat(format));
  if (!json.contains("version") || !json["version"].is_number_integer())
    throw Error(
        "“{}” does not say which version of its format it is; take a copy "
        "from before.",
        file.string());
  if (json["version"] > version)
    throw Error(
        "“{}” was written by a newer Zany Patch (version {} of its format); "
        "open it there.",
        file.string(), json["version"].dump());
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

Json toJson(const Sentence& s) {
  if (s.values().empty()) return s.pattern();
  return {{"sentence", s.pattern()}, {"values", s.values()}};
}

Sentence sentenceFrom(const Json& json) {
  if (json.is_string()) return Sentence(json.get<std::string>());
  return Sentence::kept(json.at("sentence").get<std::string>(),
                        json.at("values").get<std::vector<std::string>>());
}

}  // namespace zp
