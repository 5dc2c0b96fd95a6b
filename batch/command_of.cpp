#include "command_of.h"

#include "index/index_book.h"
#include "scene/sensor.h"
#include "wrong_call.h"

namespace zp {
namespace {

/// The book and the presets are read only here: a call needs them only where it names one.
std::vector<std::string> choicesFor(const CLI::Option& option) {
  std::vector<std::string> ids;
  if (option.check_lname("index")) {
    for (const auto& entry : indexBook())
      for (const auto& name : {entry.id, entry.abbreviation})
        if (!name.empty() && name.find(' ') == std::string::npos) ids.push_back(name);
  } else if (option.check_lname("sensor")) {
    for (const auto& preset : sensors()) ids.push_back(preset.id);
  } else {
    ids = choicesOf(option);
  }
  return ids;
}

std::vector<OptionWords> optionsOf(const CLI::App& app) {
  std::vector<OptionWords> all;
  for (const auto* o : app.get_options())
    all.push_back({o->get_name(o->get_positional(), true),
                   o->get_description() + (o->get_required() ? " (needed)" : ""),
                   o->get_items_expected_max() > 0, choicesFor(*o)});
  return all;
}

}  // namespace

CommandWords commandOf(const CLI::App& app) {
  CommandWords command{
      "zpatch",
      "land-cover work without a window",
      "CALL [OPTIONS]",
      "Computes indices, class maps, samples and confusion matrices from the command line, as the "
      "window of Zany Patch does.",
      optionsOf(app),
      {},
      {{"0", "done"},
       {"1", "could not be done; the reason is on standard error"},
       {"2", "wrong call"},
       {"130", "interrupted; nothing was left behind"}}};
  for (const auto* call : app.get_subcommands([](const CLI::App*) { return true; }))
    command.calls.push_back({call->get_name(), call->get_description(), optionsOf(*call)});
  return command;
}

}  // namespace zp
