#pragma once
#include <filesystem>
#include <nlohmann/json.hpp>
#include <string>
#include <vector>

#include "base/sentence.h"

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
