#include "shell/command_line.h"

#include <QCoreApplication>
#include <cstdio>

#include "base/command_words.h"

namespace zp {
namespace {

struct Option {
  const char *name, *about, *value;  // "": it takes none
  std::vector<std::string> choices = {};
  bool hidden = false;
};

const std::vector<Option>& options() {
  static const std::vector<Option> all{
      {"look", "dusk or daylight", "NAME", {"dusk", "daylight"}},
      {"walk", "Begin the walk through the job, unless it was begun in this study", ""},
      {"tour", "Go through the whole job on the demo study and save pictures to FOLDER", "FOLDER"},
      {"truth", "The demo's hidden truth, for the tour's labels", "FILE"},
      {"measure", "Print how fast the window is; works in FOLDER", "FOLDER", {}, true}};
  return all;
}

constexpr const char* kAbout = "Land-cover mapping from multispectral and radar scenes";
constexpr const char* kPath = "A study, or rasters to bring in";

CommandWords commandWords() {
  CommandWords words{
      "zany-patch",
      "land-cover mapping from multispectral and radar scenes",
      "[OPTIONS] [PATH…]",
      "Opens the window. PATH is a study (its folder, or the study.json in it), or rasters to "
      "bring "
      "in. Everything that the window computes zpatch does, too, without one.",
      {{"-h,--help", "Print the help and exit", false, {}},
       {"-v,--version", "Print the version and exit", false, {}}},
      {},
      {{"0", "the window was closed"}, {"1", "wrong call, or the tour met something unexpected"}}};
  for (const auto& o : options())
    if (!o.hidden)
      words.options.push_back({"--" + std::string(o.name),
                               std::string(o.about) + " (" + o.value + ")", true, o.choices});
  return words;
}

}  // namespace

CommandLine::CommandLine() {
  parser_.setApplicationDescription(kAbout);
  parser_.addHelpOption();
  parser_.addVersionOption();
  parser_.addPositionalArgument("PATH", kPath, "[PATH…]");
  for (const auto& o : options()) {
    QCommandLineOption option(o.name, o.about, o.value);
    if (o.hidden) option.setFlags(QCommandLineOption::HiddenFromHelp);
    parser_.addOption(option);
  }
}

std::optional<int> CommandLine::answer(int argc, char** argv) {
  QCoreApplication withoutScreen(argc, argv);
  QCoreApplication::setApplicationName("zany-patch");
  QCoreApplication::setApplicationVersion(ZP_VERSION);
  const QStringList given = QCoreApplication::arguments();
  if (given.size() == 2 && given[1] == "--man-page") {
    std::fputs(manPage(commandWords(), ZP_VERSION).c_str(), stdout);
    return 0;
  }
  if (given.size() == 2 && given[1] == "--bash-completion") {
    std::fputs(bashCompletion(commandWords()).c_str(), stdout);
    return 0;
  }
  // What belongs to the screen, such as -platform, stands first and is not ours to refuse.
  QStringList ours;
  for (int i = 0; i < given.size(); ++i)
    if (i > 0 && given[i].startsWith("-platform"))
      ++i;
    else
      ours << given[i];
  if (!parser_.parse(ours)) {
    std::fputs(qPrintable(parser_.errorText() + "; see zany-patch --help.\n"), stderr);
    return 1;
  }
  if (parser_.isSet("version")) {
    std::fputs("zany-patch " ZP_VERSION "\n", stdout);
    return 0;
  }
  if (parser_.isSet("help")) {
    std::fputs(qPrintable(parser_.helpText()), stdout);
    return 0;
  }
  return {};
}

}  // namespace zp
