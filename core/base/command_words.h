#pragma once
#include <string>
#include <vector>

namespace zp {

/// What a command says of itself, once for its help, its manual page and the completion of the
/// shell.
struct OptionWords {
  std::string names;  // "-h,--help"; a place without dashes is told by its position
  std::string about;
  bool takesValue = false;
  std::vector<std::string> choices;  // of its value; none: any, such as a file
};

struct CallWords {
  std::string name, about;
  std::vector<OptionWords> options;
};

struct CommandWords {
  std::string name, about, synopsis, description;
  std::vector<OptionWords> options;
  std::vector<CallWords> calls;
  std::vector<std::pair<std::string, std::string>> exits;  // status and what it tells
};

/// The manual page (roff, man macros).
std::string manPage(const CommandWords& command, const std::string& version);
/// A script for bash: calls, options, the choices of their values, else files.
std::string bashCompletion(const CommandWords& command);

}  // namespace zp
