#pragma once
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "base/sentence.h"

namespace zp {

/// Shortest form that reads back as the same number; "" for NaN.
std::string shortest(double value);
/// For a person: with the digits of float32 where the value is one, "0.0191" and not
/// "0.019099999219179153".
std::string readable(double value);

/// The whole text as a number, in the C locale; nothing for anything else.
std::optional<double> parseNumber(std::string_view text);
std::optional<long long> parseInteger(std::string_view text);

/// Whether it is well-formed UTF-8, as the Unicode standard has it in its table 3-7.
bool isUtf8(std::string_view text);
/// What a file says, as UTF-8: taken for ISO 8859-1 where it is none.
std::string asUtf8(std::string_view text);

std::string trimmed(std::string_view text);
std::string lowered(std::string_view text);
std::vector<std::string> split(std::string_view text, char separator);

/// "band2" before "band10".
bool naturalLess(std::string_view a, std::string_view b);

/// The known name with the smallest edit distance, when it is near enough to be meant; else "".
std::string nearestName(std::string_view name, const std::vector<std::string>& known);

/// " Did you mean “x”?" or "".
Sentence didYouMean(std::string_view name, const std::vector<std::string>& known);

/// "Dry fields, 2" → "dry-fields-2": lower-case letters and digits with single hyphens.
std::string plainName(std::string_view text);

/// `wanted`, or with -2, -3… the first that is not taken.
std::string freshName(const std::string& wanted, const std::vector<std::string>& taken);

/// One CSV field, quoted where RFC 4180 asks for it.
std::string csvField(std::string_view text, char separator);

/// The first value, as “a, b and c”.
Sentence listed(const std::vector<Sentence>& items);
Sentence listed(const std::vector<std::string>& items);

}  // namespace zp
