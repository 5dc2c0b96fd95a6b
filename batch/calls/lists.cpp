// What methods and features there are.
#include <fmt/format.h>

#include "base/text.h"
#include "calls.h"
#include "feature/feature_kind.h"
#include "mapping/cluster_method.h"
#include "mapping/method.h"

namespace zp {
namespace {

Json described(const std::vector<Parameter>& parameters) {
  Json list = Json::array();
  for (const auto& p : parameters)
    list.push_back({{"id", p.id},
                    {"about", p.about},
                    {"takes", rangeOf(p).text()},
                    {"from_the_start", p.initial.is_null() ? p.unset : textOf(p, p.initial)}});
  return list;
}

/// A method of either sort.
template <class AnyMethod>
Json toldOf(const AnyMethod& m) {
  return {{"id", m.id},       {"about", m.about},   {"assumes", m.assumes},
          {"fails", m.fails}, {"source", m.source}, {"parameters", described(m.parameters)}};
}

/// The same for a person.
std::string listing(const std::string& head, const std::vector<std::string>& paragraphs,
                    const std::vector<Parameter>& parameters) {
  std::string text = head + "\n";
  for (const auto& p : paragraphs)
    if (!p.empty()) text += "  " + p + "\n";
  for (const auto& p : parameters) {
    const std::string initial = p.initial.is_null() ? p.unset : textOf(p, p.initial);
    text += fmt::format("  {}: {}{}. {}\n", p.id, rangeOf(p),
                        initial.empty() ? "" : fmt::format(" ({})", initial), p.about);
  }
  return text + "\n";
}

}  // namespace

namespace calls {

/// Told from the same descriptions that the window builds its controls from.
Call listOfMethods(CLI::App& app) {
  auto* call = app.add_subcommand(
      "methods", "The methods of trained and clustered maps, with their parameters");
  return {call, [](const Progress&) {
            Json list = Json::array();
            std::string text;
            for (const auto* m : methods()) {
              text += listing(m->id, {m->about, m->assumes, m->fails, m->source}, m->parameters);
              Json told = toldOf(*m);
              told["confidence"] = m->support;
              list.push_back(std::move(told));
            }
            Json clustering = Json::array();
            for (const auto* m : clusterMethods()) {
              text += listing(m->id, {m->about, m->assumes, m->fails, m->source}, m->parameters);
              clustering.push_back(toldOf(*m));
            }
            return Json{{"methods", list},
                        {"clustering", clustering},
                        {"text", text},
                        {"outputs", Json::array()}};
          }};
}

Call listOfFeatures(CLI::App& app) {
  auto* call =
      app.add_subcommand("features", "The kinds of features, as --features of map takes them");
  return {call, [](const Progress&) {
            Json list = Json::array();
            std::string text;
            for (const auto* k : featureKinds()) {
              text += listing(lineOf(*k), {k->about, k->source}, k->parameters);
              list.push_back({{"id", k->id},
                              {"about", k->about},
                              {"line", lineOf(*k)},
                              {"parameters", described(k->parameters)}});
            }
            return Json{{"features", list}, {"text", text}, {"outputs", Json::array()}};
          }};
}

}  // namespace calls
}  // namespace zp
