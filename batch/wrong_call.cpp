#include "wrong_call.h"

#include <fmt/format.h>
#include <fmt/ranges.h>

#include <limits>

#include "base/text.h"

namespace zp {
namespace {

/// The choices stand in the name of the check, which nothing shows.
std::string named(const std::vector<std::string>& known) {
  return fmt::format("|{}", fmt::join(known, "|"));
}

/// The call that was being read, the app itself where there was none.
const CLI::App& callOf(const CLI::App& app) {
  const auto calls = app.get_subcommands();
  return calls.empty() ? app : *calls[0];
}

std::string nameOf(const CLI::App& app) {
  const auto& call = callOf(app);
  return &call == &app ? "zpatch" : "zpatch " + call.get_name();
}

std::vector<std::string> callNames(const CLI::App& app) {
  std::vector<std::string> names;
  for (const auto* c : app.get_subcommands({})) names.push_back(c->get_name());
  return names;
}

std::vector<std::string> optionNames(const CLI::App& app) {
  std::vector<std::string> names;
  for (const auto* of : {&app, &callOf(app)})
    for (const auto* o : of->get_options())
      for (const auto& n : o->get_lnames()) names.push_back("--" + n);
  return names;
}

/// Of the words that were left over, an option before all else: it is what is misspelt mostly.
std::string firstExtra(const CLI::App& app) {
  const auto left = app.remaining(true);
  for (const auto& word : left)
    if (word.rfind("-", 0) == 0) return word;
  return left.empty() ? "" : left.front();
}

std::string unexpected(const CLI::App& app, const std::string& extra) {
  if (extra.rfind("-", 0) == 0)
    return fmt::format("{} has no option “{}”.{} See {} --help.", nameOf(app), extra,
                       didYouMean(extra, optionNames(app)), nameOf(app));
  if (&callOf(app) == &app)
    return fmt::format("“{}” is no call of zpatch.{} The calls are {}.", extra,
                       didYouMean(extra, callNames(app)), listed(callNames(app)));
  return fmt::format("“{}” is one word too many for {}; see {} --help.", extra, nameOf(app),
                     nameOf(app));
}

std::string missing(const CLI::App& app, const std::string& said) {
  const std::string what = said.substr(0, said.find(" is required"));
  if (&callOf(app) == &app)
    return fmt::format("Say what is to be done, as zpatch CALL; the calls are {}.",
                       listed(callNames(app)));
  return fmt::format("{} needs {}; see {} --help.", nameOf(app), what, nameOf(app));
}

/// "Could not convert: --count = abc"
std::string notConverted(const std::string& said) {
  const size_t name = said.find(": "), value = said.find(" = ");
  if (name == std::string::npos || value == std::string::npos) return said;
  return fmt::format("{} takes a number, not “{}”.", said.substr(name + 2, value - name - 2),
                     said.substr(value + 3));
}

std::string pairOf(const std::string& said, const char* word, const char* sentence) {
  const size_t at = said.find(word);
  if (at == std::string::npos) return said;
  return fmt::format(fmt::runtime(sentence), said.substr(0, at),
                     said.substr(at + std::string(word).size()));
}

}  // namespace

std::string wrongCall(const CLI::App& app, const CLI::ParseError& e) {
  const std::string said = e.what();
  switch (static_cast<CLI::ExitCodes>(e.get_exit_code())) {
    case CLI::ExitCodes::ExtrasError:
      return unexpected(app, firstExtra(app));
    case CLI::ExitCodes::RequiredError:
      if (&callOf(app) == &app && !firstExtra(app).empty()) return unexpected(app, firstExtra(app));
      return missing(app, said);
    case CLI::ExitCodes::ConversionError:
      return notConverted(said);
    case CLI::ExitCodes::ArgumentMismatch:
      return fmt::format("{} needs a value; see {} --help.",
                         said.substr(0, said.find_first_of(": ")), nameOf(app));
    case CLI::ExitCodes::ExcludesError:
      return pairOf(said, " excludes ", "{} and {} cannot be given together; give one of them.");
    case CLI::ExitCodes::RequiresError:
      return pairOf(said, " requires ", "{} goes with {}; give both.");
    default:
      break;
  }
  return said;
}

CLI::Validator offering(const std::vector<std::string>& known) {
  return CLI::Validator([](const std::string&) { return std::string(); }, "", named(known));
}

std::vector<std::string> choicesOf(const CLI::Option& option) {
  auto& o = const_cast<CLI::Option&>(option);  // the library asks for checks of what may change
  for (int i = 0;; ++i) {
    const CLI::Validator* check = nullptr;
    try {
      check = o.get_validator(i);
    } catch (const CLI::OptionNotFound&) {
      return {};
    }
    if (check->get_name().rfind('|', 0) == 0) return split(check->get_name().substr(1), '|');
  }
}

CLI::Validator oneOf(const std::string& what, std::vector<std::string> known) {
  const std::string shown = listed(known).text(), name = named(known);
  return CLI::Validator(
      [what, known = std::move(known), shown](const std::string& text) {
        if (std::find(known.begin(), known.end(), text) != known.end()) return std::string();
        return fmt::format("“{}” is no {} here; they are {}.{}", text, what, shown,
                           didYouMean(text, known));
      },
      "", name);
}

CLI::Validator numberAbove(double low) {
  return CLI::Validator(
      [low](const std::string& text) {
        const auto v = parseNumber(text);
        return v && *v > low ? std::string()
                             : fmt::format("“{}” is not a number above {}.", text, readable(low));
      },
      "NUMBER", "above");
}

CLI::Validator numberFrom(double low) {
  return CLI::Validator(
      [low](const std::string& text) {
        const auto v = parseNumber(text);
        return v && *v >= low
                   ? std::string()
                   : fmt::format("“{}” is not a number from {} up.", text, readable(low));
      },
      "NUMBER", "from");
}

CLI::Validator wholeNumber(long long low, long long high) {
  return CLI::Validator(
      [low, high](const std::string& text) {
        const auto v = parseInteger(text);
        if (v && *v >= low && *v <= high) return std::string();
        if (high == std::numeric_limits<long long>::max())
          return fmt::format("“{}” is not a whole number from {} up.", text, low);
        return fmt::format("“{}” is not a whole number from {} to {}.", text, low, high);
      },
      "WHOLE NUMBER", "whole");
}

}  // namespace zp
