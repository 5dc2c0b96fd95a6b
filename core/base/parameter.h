#pragma once
#include <limits>
#include <string>
#include <utility>
#include <vector>

#include "base/json.h"

namespace zp {

/// What a method or a feature can be told, as data: from it come the controls of the window, the
/// checks and the help of zpatch, and the checks of what stands in a file.
struct Parameter {
  enum class Type {
    Number,
    Whole,
    Choice,
    Text,
    Band,   // of a scene: its role, its number from 1 or its name
    Index,  // of the book: its id or abbreviation
    Shares  // class code → share, above 0; none: all equal
  };
  std::string id, title, about;
  Type type = Type::Number;
  Json initial = nullptr;                                    // null: may be left out
  double lowest = -std::numeric_limits<double>::infinity();  // of a number: not itself allowed
  double highest = std::numeric_limits<double>::infinity();  // of a whole number: the lowest is
  std::vector<std::pair<std::string, std::string>> choices = {};  // id, title
  std::string unset = {};  // what it means to leave it out: "never"
  bool seldom = false;     // set by those who know why: the window folds it away
};

/// Values by the ids of parameters: what is given, checked, and the initial values of the rest.
/// `whose`: "Maximum likelihood", in sentences. Error naming what does not fit.
Json settingsFrom(const std::vector<Parameter>& parameters, const Json& given,
                  const std::string& whose);

/// The value of a parameter from text: "0.5", "equal", "1:0.4,2:0.6". Error when it does not fit.
Json settingFromText(const Parameter& parameter, const std::string& text);
/// And as such a text.
std::string textOf(const Parameter& parameter, const Json& value);

/// Error with the nearest known id.
const Parameter& parameterOf(const std::vector<Parameter>& parameters, const std::string& id,
                             const std::string& whose);

/// "a number above 0", "one of all, visible".
Sentence rangeOf(const Parameter& parameter);

}  // namespace zp
