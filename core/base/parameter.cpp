#include "base/parameter.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "base/text.h"

namespace zp {
namespace {

using Type = Parameter::Type;

std::vector<std::string> idsOf(const Parameter& p) {
  std::vector<std::string> ids;
  for (const auto& c : p.choices) ids.push_back(c.first);
  return ids;
}

bool isCode(const std::string& text) {
  const auto code = parseInteger(text);
  return code && *code >= 1 && *code <= 65535;
}

bool inRange(const Parameter& p, const Json& v) {
  const double value = v.get<double>();
  const bool above = p.type == Type::Whole ? value >= p.lowest : value > p.lowest;
  return std::isfinite(value) && above && value <= p.highest;
}

bool fits(const Parameter& p, const Json& v) {
  switch (p.type) {
    case Type::Number:
      return v.is_number() && inRange(p, v);
    case Type::Whole:
      return v.is_number_integer() && inRange(p, v);
    case Type::Text:
    case Type::Band:
    case Type::Index:
      return v.is_string() && !trimmed(v.get<std::string>()).empty();
    case Type::Choice: {
      const auto ids = idsOf(p);
      return v.is_string() && std::find(ids.begin(), ids.end(), v.get<std::string>()) != ids.end();
    }
    case Type::Shares:
      if (!v.is_object()) return false;
      for (const auto& [code, share] : v.items())
        if (!isCode(code) || !share.is_number() || !(share.get<double>() > 0) ||
            !std::isfinite(share.get<double>()))
          return false;
      return true;
  }
  return false;
}

[[noreturn]] void refuse(const Parameter& p, const std::string& text) {
  throw Error("“{}” does not fit “{}”; it takes {}.", text, p.id, rangeOf(p));
}

}  // namespace

Sentence rangeOf(const Parameter& p) {
  const bool low = std::isfinite(p.lowest), high = std::isfinite(p.highest);
  switch (p.type) {
    case Type::Text:
      return Sentence("a text");
    case Type::Band:
      return Sentence("a band by its role, number or name");
    case Type::Index:
      return Sentence("an index of the book");
    case Type::Choice:
      return Sentence("one of {}", fmt::format("{}", fmt::join(idsOf(p), ", ")));
    case Type::Shares:
      return Sentence("equal, or code:share such as 1:0.4,2:0.6, each share above 0");
    case Type::Whole:
      if (low && high)
        return Sentence("a whole number from {} to {}", shortest(p.lowest), shortest(p.highest));
      return Sentence("a whole number");
    case Type::Number:
      break;
  }
  if (low && high)
    return Sentence("a number above {} and at most {}", shortest(p.lowest), shortest(p.highest));
  return low ? Sentence("a number above {}", shortest(p.lowest)) : Sentence("a number");
}

const Parameter& parameterOf(const std::vector<Parameter>& all, const std::string& id,
                             const std::string& whose) {
  std::vector<std::string> ids;
  for (const auto& p : all) {
    if (p.id == id) return p;
    ids.push_back(p.id);
  }
  if (ids.empty()) throw Error("{} has no parameters, so none called “{}”.", whose, id);
  throw Error("{} has no parameter “{}”; it has {}.{}", whose, id, listed(ids),
              didYouMean(id, ids));
}

Json settingsFrom(const std::vector<Parameter>& all, const Json& given, const std::string& whose) {
  Json settings = Json::object();
  for (const auto& p : all) settings[p.id] = p.initial;
  if (given.is_null()) return settings;
  if (!given.is_object())
    throw Error("The parameters of {} are not in the form name: value.", whose);
  for (const auto& [id, value] : given.items()) {
    const Parameter& p = parameterOf(all, id, whose);
    if (!(value.is_null() && p.initial.is_null()) && !fits(p, value)) refuse(p, value.dump());
    settings[id] = value;
  }
  return settings;
}

Json settingFromText(const Parameter& p, const std::string& text) {
  Json value;
  switch (p.type) {
    case Type::Text:
    case Type::Band:
    case Type::Index:
    case Type::Choice:
      value = trimmed(text);
      break;
    case Type::Whole:
      if (const auto n = parseInteger(trimmed(text))) value = *n;
      break;
    case Type::Number:
      if (const auto n = parseNumber(trimmed(text))) value = *n;
      break;
    case Type::Shares:
      value = Json::object();
      if (text == "equal") return value;
      for (const auto& part : split(text, ',')) {
        const auto pair = split(part, ':');
        const auto share = pair.size() == 2 ? parseNumber(pair[1]) : std::nullopt;
        if (!share || !isCode(trimmed(pair[0]))) refuse(p, part);
        value[trimmed(pair[0])] = *share;
      }
  }
  if (!fits(p, value)) refuse(p, text);
  return value;
}

std::string textOf(const Parameter& p, const Json& value) {
  if (value.is_null()) return "";
  if (value.is_string()) return value.get<std::string>();
  if (p.type != Type::Shares) return value.is_number_integer() ? value.dump() : shortest(value);
  if (value.empty()) return "equal";
  std::vector<std::string> parts;
  for (const auto& [code, share] : value.items())
    parts.push_back(code + ":" + shortest(share.get<double>()));
  return fmt::format("{}", fmt::join(parts, ","));
}

}  // namespace zp
