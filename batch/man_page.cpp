#include "man_page.h"

#include <fmt/format.h>

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

std::string optionsOf(const CLI::App& app) {
  std::string out;
  for (const auto* o : app.get_options())
    out += fmt::format(".TP\n.B {}\n{}{}\n", roff(o->get_name(o->get_positional(), true)),
                       roff(o->get_description()), o->get_required() ? " (needed)" : "");
  return out;
}

}  // namespace

std::string manPage(const CLI::App& app, const std::string& version) {
  std::string out = fmt::format(
      ".TH ZPATCH 1 \"\" \"Zany Patch {}\" \"User commands\"\n.SH NAME\nzpatch \\- {}\n.SH "
      "SYNOPSIS\n"
      ".B zpatch\nCALL [OPTIONS]\n.SH DESCRIPTION\n{}\n.SH OPTIONS OF EVERY CALL\n{}.SH CALLS\n",
      version, "land-cover work without a window",
      "Computes indices, class maps, samples and confusion matrices from the command line, as the "
      "window of Zany Patch does.",
      optionsOf(app));
  for (const auto* call : app.get_subcommands([](const CLI::App*) { return true; }))
    out += fmt::format(".SS {}\n{}\n{}", roff(call->get_name()), roff(call->get_description()),
                       optionsOf(*call));
  out +=
      ".SH EXIT STATUS\n.TP\n.B 0\ndone\n.TP\n.B 1\ncould not be done; the reason is on standard "
      "error\n.TP\n.B 2\nwrong call\n.TP\n.B 130\ninterrupted; nothing was left behind\n";
  return out;
}

}  // namespace zp
