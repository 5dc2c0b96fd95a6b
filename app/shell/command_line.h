#pragma once
#include <QCommandLineParser>
#include <optional>

namespace zp {

/// What the window is started with.
class CommandLine {
 public:
  CommandLine();

  /// Answers --help, --version and what the package asks for, which need no display: the exit
  /// status then. Nothing: go on.
  std::optional<int> answer(int argc, char** argv);

  QStringList paths() const { return parser_.positionalArguments(); }
  bool has(const QString& option) const { return parser_.isSet(option); }
  QString value(const QString& option) const { return parser_.value(option); }

 private:
  QCommandLineParser parser_;
};

}  // namespace zp
