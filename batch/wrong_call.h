#pragma once
#include <CLI/CLI.hpp>

namespace zp {

/// What is wrong with a call, in our words: the library speaks of options and conversions.
std::string wrongCall(const CLI::App& app, const CLI::ParseError& e);

/// Checks of an option's text, whose sentences say what it takes.
CLI::Validator oneOf(const std::string& what, std::vector<std::string> known);
/// Takes anything; these are offered when the shell completes the value.
CLI::Validator offering(const std::vector<std::string>& known);
/// What `oneOf` or `offering` has for an option.
std::vector<std::string> choicesOf(const CLI::Option& option);
CLI::Validator numberAbove(double low);
CLI::Validator numberFrom(double low);
CLI::Validator wholeNumber(long long low, long long high);

}  // namespace zp
