#include "base/command_words.h"

#include <fmt/format.h>
#include <fmt/ranges.h>

#include <algorithm>
#include <cctype>

#include "base/text.h"

namespace zp {
namespace {

/// Text as roff takes it: no line that starts a request, no escapes, hyphens as they are typed.
std::string roff(const std::string& text) {
  std::string out;
  for (const char c : text) {
    if (c == '\\')
      out += "\\e";
    else if (c == '-')
      out += "\\-";
    else if ((c == '.' || c == '\'') && (out.empty() || out.back() == '\n'))
      out += std::string("\\&") + c;
    else
      out += c;
  }
  return out;
}

std::string roffOf(const std::vector<OptionWords>& options) {
  std::string out;
  for (const auto& o : options)
    out += fmt::format(".TP\n.B {}\n{}\n", roff(o.names), roff(o.about));
  return out;
}

std::string upper(std::string text) {
  std::transform(text.begin(), text.end(), text.begin(),
                 [](unsigned char c) { return static_cast<char>(std::toupper(c)); });
  return text;
}

std::vector<std::string> flagsOf(const std::vector<OptionWords>& options) {
  std::vector<std::string> flags;
  for (const auto& o : options)
    for (const auto& name : split(o.names, ','))
      if (name.rfind("--", 0) == 0) flags.push_back(name);
  return flags;
}

/// The branches for a value: `place` is the call it belongs to.
std::string valueBranches(const std::string& place, const std::vector<OptionWords>& options) {
  std::string out;
  for (const auto& o : options) {
    if (!o.takesValue) continue;
    std::vector<std::string> patterns;
    for (const auto& flag : flagsOf({o})) patterns.push_back(place + ":" + flag);
    if (patterns.empty()) continue;
    out += fmt::format("    {}) ", fmt::join(patterns, "|"));
    out += o.choices.empty() ? "COMPREPLY=(); compopt -o default; return ;;\n"
                             : fmt::format("words=\"{}\" ;;\n", fmt::join(o.choices, " "));
  }
  return out;
}

}  // namespace

std::string manPage(const CommandWords& command, const std::string& version) {
  std::string out = fmt::format(
      ".TH {} 1 \"\" \"Zany Patch {}\" \"User commands\"\n.SH NAME\n{} \\- {}\n.SH SYNOPSIS\n.B "
      "{}\n{}\n.SH DESCRIPTION\n{}\n.SH OPTIONS{}\n{}",
      upper(command.name), version, roff(command.name), roff(command.about), roff(command.name),
      roff(command.synopsis), roff(command.description),
      command.calls.empty() ? "" : " OF EVERY CALL", roffOf(command.options));
  if (!command.calls.empty()) out += ".SH CALLS\n";
  for (const auto& call : command.calls)
    out += fmt::format(".SS {}\n{}\n{}", roff(call.name), roff(call.about), roffOf(call.options));
  out += ".SH EXIT STATUS\n";
  for (const auto& [status, tells] : command.exits)
    out += fmt::format(".TP\n.B {}\n{}\n", status, roff(tells));
  return out;
}

std::string bashCompletion(const CommandWords& command) {
  std::vector<std::string> names;
  std::string values = valueBranches("*", command.options), flags;
  for (const auto& call : command.calls) {
    names.push_back(call.name);
    values += valueBranches(call.name, call.options);
    flags +=
        fmt::format("    {}) words=\"{}\" ;;\n", call.name, fmt::join(flagsOf(call.options), " "));
  }
  std::string function = command.name;
  std::replace(function.begin(), function.end(), '-', '_');
  const std::string own = fmt::format("{}", fmt::join(flagsOf(command.options), " "));
  return fmt::format(R"(# bash completion of {0}, made from the texts of its help
_{1}() {{
  local words="" call="" word
  local current="${{COMP_WORDS[COMP_CWORD]}}" before="${{COMP_WORDS[COMP_CWORD-1]}}"
  for word in "${{COMP_WORDS[@]:1:COMP_CWORD-1}}"; do
    case " {2} " in *" $word "*) call="$word"; break ;; esac
  done
  case "$call:$before" in
{3}  esac
  if [ -z "$words" ] && [ -z "$call" ]; then words="{2} {4}"
  elif [ -z "$words" ] && [[ "$current" == -* ]]; then
    case "$call" in
{5}    esac
    words="$words {4}"
  fi
  COMPREPLY=($(compgen -W "$words" -- "$current"))
}}
complete -o default -F _{1} {0}
)",
                     command.name, function, fmt::format("{}", fmt::join(names, " ")), values, own,
                     flags.empty() ? "      *) ;;\n" : flags);
}

}  // namespace zp
