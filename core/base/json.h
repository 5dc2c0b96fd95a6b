#pragma once
#include <cmath>
#include <filesystem>
#include <limits>
#include <nlohmann/json.hpp>
#include <string>
#include <utility>
#include <vector>

#include "base/sentence.h"

namespace nlohmann {

/// Whole numbers out of JSON: one that the type asked for cannot hold is an exception of the
/// library, which by itself would cut it, or worse.
template <class T>
struct adl_serializer<T, std::enable_if_t<std::is_integral_v<T> && !std::is_same_v<T, bool> &&
                                          !std::is_same_v<T, char>>> {
  template <class J>
  static void to_json(J& json, T value) {
    nlohmann::to_json(json, value);
  }
  template <class J>
  static void from_json(const J& json, T& value) {
    const auto take = [&](auto number, bool fits) {
      if (!fits) throw detail::out_of_range::create(406, "number is too large", &json);
      value = static_cast<T>(number);
    };
    if (json.is_number_unsigned()) {
      const auto n = json.template get_ref<const typename J::number_unsigned_t&>();
      take(n, std::in_range<T>(n));
    } else if (json.is_number_integer()) {
      const auto n = json.template get_ref<const typename J::number_integer_t&>();
      take(n, std::in_range<T>(n));
    } else if (json.is_number_float()) {
      const auto n = json.template get_ref<const typename J::number_float_t&>();
      const double end = std::ldexp(1.0, std::numeric_limits<T>::digits);
      take(n, n < end && n >= (std::is_signed_v<T> ? -end : 0));
    } else if (json.is_boolean()) {
      value = json.template get_ref<const typename J::boolean_t&>() ? 1 : 0;
    } else {
      throw detail::type_error::create(302, "type must be number", &json);
    }
  }
};

}  // namespace nlohmann

namespace zp {

/// JSON that keeps the order in which keys were written.
using Json = nlohmann::ordered_json;

/// Reads a JSON file. Error: unreadable, larger than `maxBytes`, nested deeper than 64, more than
/// 100 000 keys or one key twice in an object, not JSON (with line and column), or, when `format`
/// is given, another "format" or a newer "version".
Json readJson(const std::filesystem::path& file, const std::string& format = "", int version = 1,
              size_t maxBytes = 64u << 20);

/// The same for text that is already in memory; `name` stands in messages.
Json parseJson(const std::string& text, const std::string& name);

/// A sentence so that it can still be said in another language.
Json toJson(const Sentence& sentence);
/// And back. Error of the library: not such.
Sentence sentenceFrom(const Json& json);

/// Writes in one step, with two-space indentation.
void writeJson(const std::filesystem::path& file, const Json& json);

/// NaN and infinities as null.
Json number(double value);
Json numbers(const std::vector<double>& values);
/// And back: null is NaN.
double numberFrom(const Json& json);

}  // namespace zp
