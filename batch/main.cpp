// zpatch: the headless command. Calls live in calls/, one a file; here are the exit codes, the
// signals, the progress bar and the printing.
#include <fmt/format.h>
#include <oneapi/tbb/global_control.h>
#include <signal.h>
#include <unistd.h>

#include <cmath>
#include <cstdio>
#include <new>

#include "base/text.h"
#include "calls.h"
#include "command_of.h"
#include "grid/gdal_start.h"
#include "wrong_call.h"

namespace {

constexpr int kFailed = 1, kWrongCall = 2, kInterrupted = 130;

zp::Progress* running = nullptr;

void onSignal(int) {
  if (running != nullptr) running->cancel();
}

/// A bar on a terminal, nothing elsewhere.
void showProgress(double share) {
  static int last = -1;
  const int percent = static_cast<int>(share * 100);
  if (isatty(STDERR_FILENO) == 0 || percent == last) return;
  last = percent;
  std::fprintf(stderr, "\r%3d %%", percent);
  if (percent >= 100) std::fprintf(stderr, "\r     \r");
}

/// For a person: the digits that pixels in float32 carry, whole numbers in full.
std::string figure(double v) {
  if (std::abs(v) >= 1e6 && std::abs(v) < 1e15) return fmt::format("{:.0f}", v);
  return static_cast<double>(static_cast<float>(v)) == v ? zp::readable(v)
                                                         : fmt::format("{:.7g}", v);
}

/// The areas of square metres for a person, who thinks in hectares and square kilometres.
std::string shownArea(const zp::Json& m2) {
  if (!m2.is_number()) return "area unknown";
  const double v = m2.get<double>();
  return fmt::format("{:.2f} ha, {:.4f} km²", v / 1e4, v / 1e6);
}

std::string shown(const zp::Json& v) {
  if (v.is_string()) return v.get<std::string>();
  if (v.is_null()) return "none";
  if (v.is_number_float()) return figure(v.get<double>());
  if (v.is_array()) {
    std::vector<std::string> parts;
    for (const auto& e : v) parts.push_back(shown(e));
    return fmt::format("{}", fmt::join(parts, "  "));
  }
  if (v.is_object()) {
    std::vector<std::string> parts;
    for (const auto& [key, e] : v.items())
      parts.push_back(key == "area_m2" ? shownArea(e) : key + " " + shown(e));
    return fmt::format("{}", fmt::join(parts, ", "));
  }
  return v.dump();
}

/// The same facts for a person: a line a key, and a line an item below it.
void printPlain(const zp::Json& json) {
  for (const char* whole : {"csv", "text"})
    if (const auto text = json.find(whole); text != json.end()) {
      fmt::print("{}", text->get<std::string>());
      return;
    }
  for (const auto& [key, value] : json.items()) {
    const bool table =
        value.is_array() && !value.empty() && (value[0].is_object() || value[0].is_array());
    if (!table) {
      fmt::print("{:<16} {}\n", key, shown(value));
      continue;
    }
    fmt::print("{}\n", key);
    for (const auto& item : value) fmt::print("  {}\n", shown(item));
  }
}

}  // namespace

/// Does the call that was given, and prints what came of it.
int runCalls(const std::vector<zp::Call>& calls, const CLI::App& app, bool json,
             const zp::Progress& progress) {
  try {
    zp::startGdal();
    for (const auto& call : calls) {
      if (!call.app->parsed()) continue;
      zp::Json result = call.run(progress);
      if (json) result.erase("csv");
      if (json)
        fmt::print("{}\n", result.dump(2, ' ', false, zp::Json::error_handler_t::replace));
      else
        printPlain(result);
    }
    return 0;
  } catch (const CLI::ParseError& e) {
    fmt::print(stderr, "{}\n", zp::wrongCall(app, e));
    return kWrongCall;
  } catch (const zp::Cancelled&) {
    fmt::print(stderr, "Cancelled; nothing was left behind.\n");
    return kInterrupted;
  } catch (const zp::Error& e) {
    fmt::print(stderr, "{}\n", e.what());
  } catch (const std::bad_alloc&) {
    fmt::print(stderr,
               "There is not enough memory; close other programs or use a smaller input.\n");
  } catch (const std::exception& e) {
    fmt::print(stderr, "This could not be done ({}).\n", e.what());
  }
  return kFailed;
}

int main(int argc, char** argv) {
  CLI::App app{"zpatch: the headless command of Zany Patch"};
  app.set_version_flag("--version", "zpatch " ZP_VERSION);
  app.require_subcommand(1);
  app.fallthrough();
  bool json = false;
  int threads = 0;
  app.add_flag("--json", json, "Print one JSON object on standard output");
  app.add_option("--threads", threads, "How many threads to use; all by default")
      ->check(zp::wholeNumber(1, 1024));
  const auto calls = zp::addCalls(app);
  // For the package: see batch/CMakeLists.txt.
  const std::string only = argc == 2 ? argv[1] : "";
  if (only == "--man-page" || only == "--bash-completion") {
    const auto command = zp::commandOf(app);
    fmt::print("{}", only == "--man-page" ? zp::manPage(command, ZP_VERSION)
                                          : zp::bashCompletion(command));
    return 0;
  }
  for (const auto& call : calls)
    call.app->footer(
        "For every call: --json prints one JSON object on standard output; --threads N uses so "
        "many "
        "threads.\nExit: 0 done, 1 could not be done, 2 wrong call, 130 interrupted.");
  try {
    app.parse(argc, argv);
  } catch (const CLI::ParseError& e) {
    if (e.get_exit_code() == 0) return app.exit(e);
    fmt::print(stderr, "{}\n", zp::wrongCall(app, e));
    return kWrongCall;
  }

  std::unique_ptr<oneapi::tbb::global_control> limit;
  if (threads > 0)
    limit = std::make_unique<oneapi::tbb::global_control>(
        oneapi::tbb::global_control::max_allowed_parallelism, static_cast<size_t>(threads));
  zp::Progress progress(&showProgress);
  running = &progress;
  struct sigaction action {};
  action.sa_handler = &onSignal;
  sigaction(SIGINT, &action, nullptr);
  sigaction(SIGTERM, &action, nullptr);

  return runCalls(calls, app, json, progress);
}
